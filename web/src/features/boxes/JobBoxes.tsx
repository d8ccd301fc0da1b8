// The boxes of a job: those that its runs name, and what is told of them.
import { Link } from "react-router";
import { useBoxes } from "@/api/boxes";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";
import { boxAddress } from "./boxAddress";

export function JobBoxes({ jobId }: { jobId: number }) {
  const boxes = useBoxes(jobId).data ?? [];
  if (boxes.length === 0) {
    return null;
  }
  return (
    <section aria-label={say("Boxes")} className="mt-8">
      <h2 className="mb-2 text-lg font-bold">{say("Boxes")}</h2>
      <ul className="divide-y divide-line overflow-hidden rounded-lg border border-line bg-paper">
        {boxes.map(({ name, runs, told, passes }) => (
          <li key={name}>
            <Link
              to={boxAddress(jobId, name)}
              className="flex items-center gap-4 px-4 py-3 hover:bg-accent-soft"
            >
              <span className="min-w-0 flex-1">
                <span className="flex items-center gap-2 font-semibold">
                  <span className="truncate">{name}</span>
                  {passes ? null : (
                    <span className="text-brick" title={say("something about it does not do")}>
                      <Icon name="stop" className="size-4" />
                      <span className="sr-only">{say("something about it does not do")}</span>
                    </span>
                  )}
                </span>
                <span className="block truncate text-sm text-soft">
                  {runs.length === 0 ? say("no run meets here") : runs.join(", ")}
                </span>
              </span>
              <span className="text-sm text-soft">{told ? "" : say("nothing told of it yet")}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
