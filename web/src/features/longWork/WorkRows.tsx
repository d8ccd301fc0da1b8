// The rows of long work, with why something could not be asked for.
import type { useLongWork } from "./useLongWork";
import { WorkRow } from "./WorkRow";

export function WorkRows({
  works,
  problem,
  stop,
  dismiss,
}: Pick<ReturnType<typeof useLongWork>, "works" | "problem" | "stop" | "dismiss">) {
  return works.length > 0 || problem ? (
    <div
      role="status"
      className="my-4 border-l-3 border-strong-line bg-paper px-3 py-2 print:hidden"
    >
      {problem ? (
        <p role="alert" className="text-brick">
          {problem}
        </p>
      ) : null}
      <ul className="grid gap-1.5">
        {works.map((work) => (
          <WorkRow
            key={work.id}
            work={work}
            stop={() => stop(work.id)}
            dismiss={() => dismiss(work.id)}
          />
        ))}
      </ul>
    </div>
  ) : null;
}
