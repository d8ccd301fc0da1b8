// One long work: how far it is with a way to stop it, then its file, or why there is none.
import { isUnderWay, type LongWork, workFile } from "@/api/work";
import { IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { ProgressBar } from "@/ui/ProgressBar";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

const MAKES: Record<LongWork["kind"], string> = {
  archive: say("The job's file"),
  sheets: say("All sheets"),
  "cut-list": say("Fewer sticks"),
};

const COUNTS: Record<LongWork["kind"], string> = {
  archive: say("documents"),
  sheets: say("runs"),
  "cut-list": say("steps"),
};

type Props = { work: LongWork; stop: () => void; dismiss: () => void };

export function WorkRow({ work, stop, dismiss }: Props) {
  const { kind } = work;
  if (isUnderWay(work)) {
    return (
      <li className="flex flex-wrap items-center gap-x-3">
        <span className="min-w-24">{MAKES[kind]}</span>
        <ProgressBar
          label={MAKES[kind]}
          far={work.of > 0 ? work : null}
          what={COUNTS[kind]}
          waits={work.state === "waiting"}
          stop={stop}
        />
      </li>
    );
  }
  return (
    <li className="flex items-center gap-x-3" data-work={work.state}>
      <span className="flex min-w-0 flex-1 flex-wrap items-center gap-x-3">
        <span className="min-w-24">{MAKES[kind]}</span>
        <Outcome work={work} />
      </span>
      <IconButton label={say("Put away")} onClick={dismiss}>
        <Icon name="close" />
      </IconButton>
    </li>
  );
}

function Outcome({ work }: { work: LongWork }) {
  if (work.state === "done") {
    return (
      <span className="text-sm text-soft">
        {sayWith("Made: {file}", {
          file: (
            <a className="underline hover:text-ink" href={workFile(work.id)}>
              {work.file_name}
            </a>
          ),
        })}
        {work.left_out.length > 0
          ? ` ${say("Left out, because they can't be read: {names}.", { names: work.left_out.join(", ") })}`
          : null}
      </span>
    );
  }
  return work.state === "failed" ? (
    <span role="alert" className="text-sm text-brick">
      {work.problem}
    </span>
  ) : (
    <span className="text-sm text-soft">{say("Stopped")}</span>
  );
}
