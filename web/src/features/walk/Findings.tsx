// Findings of a run in words, each with its fix one touch away.
import { useCatalogue } from "@/api/queries";
import { setAtPath } from "@/model/commands";
import { takeSize } from "@/model/conduit";
import type { Finding } from "@/model/document";
import { usePlanner } from "@/state/PlannerContext";
import { FindingRow, FixButton } from "@/ui/FindingRow";

export function Findings({ findings }: { findings: readonly Finding[] }) {
  return findings.map((finding) => (
    <FindingRow
      key={`${finding.code}-${finding.text}`}
      finding={finding}
      fix={finding.remedy ? <Fix remedy={finding.remedy} /> : null}
    />
  ));
}

type FixProps = { remedy: NonNullable<Finding["remedy"]> };

function Fix({ remedy }: FixProps) {
  const change = usePlanner((state) => state.change);
  const { label, path, value } = remedy;
  return path === "conduit.size" ? (
    <OtherSize remedy={remedy} />
  ) : (
    <FixButton label={label} onClick={() => change(setAtPath(path, value))} />
  );
}

/** Another size of conduit wants a bender that takes it. */
function OtherSize({ remedy: { label, value } }: FixProps) {
  const change = usePlanner((state) => state.change);
  const benders = useCatalogue().data?.benders ?? [];
  return <FixButton label={label} onClick={() => change(takeSize(benders, String(value)))} />;
}
