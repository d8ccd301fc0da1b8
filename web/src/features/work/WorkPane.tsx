// The order of work: everything that is done for the run, ticked off with a thumb, and what an
// inspector asks, answered from the same ticks.
import type { OrderOfWork } from "@/api/planning";
import { Findings } from "@/features/walk/Findings";
import { WordField } from "@/features/walk/fields";
import { setCut, tick, ticked } from "@/model/joints";
import { useDocument, usePlanner } from "@/state/PlannerContext";
import { useWork } from "@/state/useWork";
import { Checkbox } from "@/ui/Checkbox";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { say, sayOf } from "@/words/say";
import { sayWith } from "@/words/sayWith";

const CUT = { plan: say("by its figure"), offered: say("once it was offered up") } as const;

export default function WorkPane() {
  const { work, old } = useWork();
  const done = useDocument().done ?? [];
  const cut = useDocument().joints?.cut ?? "plan";
  const change = usePlanner((state) => state.change);
  if (!work) {
    return <p className="px-4 py-2 text-soft">{say("Putting the work in order …")}</p>;
  }
  if (work.items.length === 0) {
    return (
      <div className="px-4">
        <p className="py-2 text-soft">{say("No work: the run can't be made as it is written.")}</p>
        <Findings findings={work.findings} />
      </div>
    );
  }
  const count = work.items.filter(({ id }) => ticked(done, id)).length;
  return (
    <div className={old ? "opacity-60" : ""}>
      <div className="px-4 pb-3">
        <p className="pb-1 text-sm">
          {sayWith("{count} done", {
            count: (
              <span className="font-semibold" data-work-done>
                {say("{count} of {items}", { count, items: work.items.length })}
              </span>
            ),
          })}
        </p>
        {work.stale > 0 ? (
          <p
            role="status"
            className="mt-2 border-l-3 border-amber bg-amber-soft px-2.5 py-1 text-sm"
          >
            {sayOf(
              work.stale,
              "One tick was of work that has changed since: it is open again.",
              "{stale} ticks were of work that has changed since: it is open again.",
              { stale: work.stale },
            )}
          </p>
        ) : null}
        <p className="pt-2 text-sm">
          {sayWith("The piece that goes up last is cut {cut}", {
            cut: (
              <WordField
                label={say("How the last piece is cut")}
                value={cut}
                words={CUT}
                onChange={(next) => change(setCut(next))}
              />
            ),
          })}
        </p>
        <p className="pt-1 text-sm text-soft">
          <Figures text={work.takes_up} />
        </p>
      </div>
      <ol>
        {work.items.map((item) => (
          <WorkRow
            key={item.id}
            item={item}
            done={ticked(done, item.id)}
            onTick={(next) => change(tick(item.id, next))}
          />
        ))}
      </ol>
      <Inspection work={work} />
    </div>
  );
}

type RowProps = {
  item: OrderOfWork["items"][number];
  done: boolean;
  onTick: (done: boolean) => void;
};

function WorkRow({ item, done, onTick }: RowProps) {
  return (
    <li
      data-work={item.kind}
      className={classes("border-t border-line px-4 py-2", done && "text-soft")}
    >
      <Checkbox checked={done} onChange={onTick}>
        <span className="font-semibold">
          {item.piece ? say("Piece {piece}: ", { piece: item.piece }) : ""}
          {item.title}
        </span>
        {item.people > 1 ? (
          <span className="text-sm text-soft">
            {" "}
            {say("· {people} people", { people: item.people })}
          </span>
        ) : null}
      </Checkbox>
      {done ? null : (
        <div className="pl-7 text-sm">
          <p>
            <Figures text={item.do} />
          </p>
          <p className="text-soft">
            {sayWith("Check: {check}", { check: <Figures text={item.check} /> })}
          </p>
          <p className="pt-0.5 text-xs text-soft">{item.caution}</p>
        </div>
      )}
    </li>
  );
}

function Inspection({ work }: { work: OrderOfWork }) {
  return (
    <section className="border-t border-line px-4 pt-3">
      <h3 className="pb-1 text-sm font-semibold text-soft">{say("What an inspector asks")}</h3>
      <ul className="text-sm">
        {work.inspection.map(({ name, open, items }) => (
          <li key={name} className="flex items-center gap-2 py-0.5" data-inspected={open === 0}>
            {open === 0 ? (
              <Icon name="check" className="size-4 text-moss" />
            ) : (
              <span className="size-4 rounded-full border border-strong-line" aria-hidden="true" />
            )}
            <span>{name}</span>
            <span className="ml-auto text-soft">
              {open === 0 ? say("ticked") : say("{open} of {items} open", { open, items })}
            </span>
          </li>
        ))}
      </ul>
      <p className="pt-2 text-xs text-soft">
        {say(
          "Answered from the ticks above. A plan, for a licensed electrician to check. Local code decides.",
        )}
      </p>
    </section>
  );
}
