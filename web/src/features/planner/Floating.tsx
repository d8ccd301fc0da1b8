// The numbers of a line that may float, and what they became so that both ends meet.
import { KINDS } from "@/kinds/kinds";
import { FIELD } from "@/kinds/words";
import { type Line, looseOf } from "@/model/document";
import { usePlanState } from "@/state/PlannerContext";
import { Reading } from "@/ui/Reading";
import { sayWith } from "@/words/sayWith";

type Floating = { readonly field: string; readonly word: string; readonly loose: boolean };

/** What a line's menu offers to let float or to hold. */
export function floats(line: Line): Floating[] {
  const loose = looseOf(line);
  return KINDS[line.kind].floats.map((field) => ({
    field,
    word: FIELD[field],
    loose: loose.includes(field),
  }));
}

export function Floating({ line, index }: { line: Line; index: number }) {
  const solved = usePlanState(({ plan }) => plan?.solved);
  const loose = floats(line).filter(({ loose }) => loose);
  if (loose.length === 0) {
    return null;
  }
  return (
    <p className="mt-1 text-sm text-soft">
      {loose.map(({ field, word }, at) => {
        const moved = solved?.find((one) => one.feature === index && one.field === field);
        return (
          <span key={field}>
            {at > 0 ? "; " : ""}
            {sayWith("its {word} floats{became}", {
              word,
              became: moved ? (
                <>
                  {": "}
                  <span className="font-semibold text-ink">
                    <Reading text={moved.became_text} />
                  </span>
                </>
              ) : null,
            })}
          </span>
        );
      })}
    </p>
  );
}
