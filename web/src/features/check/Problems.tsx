// Everything that can't be read, by its field, where a form has no place for each.
import { expectedInWords } from "@/api/inWords";

export function Problems({
  problems,
  refusal,
}: {
  problems: ReadonlyMap<string, string>;
  refusal: string;
}) {
  if (problems.size === 0 && !refusal) {
    return null;
  }
  return (
    <div role="alert" className="border-l-3 border-brick bg-brick-soft px-3 py-1.5 text-sm">
      {refusal ? <p>{refusal}</p> : null}
      {[...problems].map(([path, expected]) => (
        <p key={path}>{expectedInWords(path, expected)}</p>
      ))}
    </div>
  );
}
