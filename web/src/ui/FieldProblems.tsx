// What can't be read, each by the name of its row and field, with the way to it.
import { expectedInWords } from "@/api/inWords";
import { focusField } from "./focusField";

type Props = { problems: ReadonlyMap<string, string>; document: unknown };

export function FieldProblems({ problems, document }: Props) {
  return [...problems].map(([path, expected]) => (
    <p key={path} role="alert" className="py-1 text-sm text-brick">
      <button
        type="button"
        className="text-left underline-offset-3 hover:underline pointer-coarse:min-h-11"
        onClick={() => focusField(path)}
      >
        {expectedInWords(path, expected, document)}
      </button>
    </p>
  ));
}
