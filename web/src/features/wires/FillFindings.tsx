// What a check says beside its verdict, each with its fix and its source.
import type { Finding } from "@/model/document";
import { FindingRow, FixButton } from "@/ui/FindingRow";

type Props = {
  findings: readonly Finding[];
  take?: (path: string, value: string) => void;
};

export function FillFindings({ findings, take }: Props) {
  if (findings.length === 0) {
    return null;
  }
  return (
    <div>
      {findings.map((finding) => (
        <FindingRow
          key={`${finding.code}-${finding.text}`}
          finding={finding}
          fix={take && finding.remedy ? <Taken remedy={finding.remedy} take={take} /> : null}
        />
      ))}
    </div>
  );
}

type TakenProps = {
  remedy: NonNullable<Finding["remedy"]>;
  take: NonNullable<Props["take"]>;
};

function Taken({ remedy: { label, path, value }, take }: TakenProps) {
  return <FixButton label={label} onClick={() => take(path, String(value))} />;
}
