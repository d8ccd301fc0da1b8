// Two documents side by side, field by field, where they differ.
import { differences } from "@/model/differences";
import { say } from "@/words/say";

type Props = {
  readonly mine: unknown;
  readonly theirs: unknown;
  readonly names: readonly [string, string];
};

export function Differences({ mine, theirs, names }: Props) {
  const found = differences(mine, theirs);
  if (found.length === 0) {
    return <p className="mb-4">{say("Both say the same.")}</p>;
  }
  return (
    <table className="mb-4 w-full text-sm">
      <thead className="text-left text-soft">
        <tr>
          <th className="font-normal">{say("Field")}</th>
          <th className="font-normal">{names[0]}</th>
          <th className="font-normal">{names[1]}</th>
        </tr>
      </thead>
      <tbody>
        {found.map(({ path, mine: own, theirs: other }) => (
          <tr key={path} className="border-t border-line align-top">
            <td className="py-1 pr-3 text-soft">{pathWords(path)}</td>
            <td className="py-1 pr-3 font-semibold">{own}</td>
            <td className="py-1 font-semibold">{other}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** `walk[0].at` as `line 1, at`. */
function pathWords(path: string): string {
  return path
    .replace(/walk\[(\d+)\]/, (_, index: string) =>
      say("line {index}", { index: Number(index) + 1 }),
    )
    .replace(".", ", ")
    .replaceAll("_", " ");
}
