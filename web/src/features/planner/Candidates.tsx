// What was put to something on the walk, and what else could be: each way with its price.
import { Collapsible, RadioGroup } from "radix-ui";
import { memo } from "react";
import { bendsName } from "@/kinds/kinds";
import { pick } from "@/model/commands";
import type { Candidate, Choice } from "@/model/document";
import { usePlanner, usePlanState } from "@/state/PlannerContext";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { Reading } from "@/ui/Reading";

export function Candidates({ index }: { index: number }) {
  const choice = usePlanState(({ plan }) => plan?.choices.find(({ feature }) => feature === index));
  if (!choice) {
    return null;
  }
  if (choice.together_with != null) {
    return (
      <p className="mt-1 text-sm text-soft">
        Taken in one with line {choice.together_with + 1}. To have its own bends, pick others there.
      </p>
    );
  }
  return <Answer choice={choice} />;
}

const Answer = memo(function Answer({ choice }: { choice: Choice }) {
  const taken = choice.candidates.find((candidate) => candidate.taken);
  const others = choice.candidates.length - 1;
  if (!taken) {
    return null;
  }
  return (
    <Collapsible.Root className="group/choice mt-1.5">
      <Collapsible.Trigger
        data-compare={choice.feature}
        disabled={others === 0}
        className="flex min-h-8 w-full items-baseline gap-1.5 rounded-md border border-line bg-paper px-2.5 py-1 text-left enabled:hover:border-accent pointer-coarse:min-h-11"
      >
        <Icon name="bend" className="size-4 self-center text-accent" />
        <span className="font-semibold">{nameOf(taken)}</span>
        {others > 0 ? (
          <span className="ml-auto flex items-center gap-1 text-sm whitespace-nowrap text-soft">
            of {choice.candidates.length}
            <Icon
              name="down"
              className="size-3.5 transition-transform group-data-[state=open]/choice:rotate-180"
            />
          </span>
        ) : null}
      </Collapsible.Trigger>
      <p className={classes("mt-0.5 px-0.5 text-sm", taken.fits ? "text-soft" : "text-brick")}>
        {choice.by === "person" ? "Your pick. " : "Yarrow's choice. "}
        <Figures text={taken.reason} />
      </p>
      <Collapsible.Content>
        <Compared choice={choice} taken={taken} />
      </Collapsible.Content>
    </Collapsible.Root>
  );
});

function Compared({ choice, taken }: { choice: Choice; taken: Candidate }) {
  const change = usePlanner((state) => state.change);
  const most = Math.max(...choice.candidates.map(({ degrees }) => degrees), 1);
  const fitting = choice.candidates.filter(({ fits }) => fits);
  const others = choice.candidates.filter(({ fits }) => !fits);
  const chosen = choice.by === "person" ? taken.id : "";
  return (
    <RadioGroup.Root
      aria-label="Ways to take it"
      value={chosen}
      onValueChange={(id) => {
        const found = choice.candidates.find((candidate) => candidate.id === id);
        if (found) {
          change(pick(found.path, found.value));
        }
      }}
      className="mt-1 rounded-md border border-line bg-paper text-sm"
    >
      <div
        aria-hidden="true"
        className="grid grid-cols-[1fr_3.4rem_3.6rem_2.6rem] gap-x-1 px-2 pt-1 text-xs text-soft"
      >
        <span />
        <span className="text-right">bends</span>
        <span className="text-right">room</span>
        <span className="text-right">pull</span>
      </div>
      {[...fitting, ...others].map((candidate) => (
        <Row key={candidate.id} candidate={candidate} most={most} />
      ))}
      {choice.by === "person" && taken.path.endsWith(".pick") ? (
        <button
          type="button"
          onClick={() => change(pick(taken.path, ""))}
          className="min-h-8 w-full border-t border-line px-2 text-left font-semibold text-accent pointer-coarse:min-h-11"
        >
          Let Yarrow choose
        </button>
      ) : null}
    </RadioGroup.Root>
  );
}

function Row({ candidate, most }: { candidate: Candidate; most: number }) {
  return (
    <RadioGroup.Item
      value={candidate.id}
      data-candidate={candidate.id}
      className={classes(
        "block w-full border-t border-line px-2 py-1 text-left hover:bg-raised",
        candidate.taken && "bg-accent-soft",
        !candidate.fits && "text-soft",
      )}
    >
      <span className="grid grid-cols-[1fr_3.4rem_3.6rem_2.6rem] items-baseline gap-x-1">
        <span className={classes(candidate.fits && "font-semibold")}>
          {candidate.taken ? (
            <Icon name="check" className="mr-0.5 inline size-3.5 text-accent" />
          ) : null}
          {nameOf(candidate, "narrow")}
        </span>
        <span className="text-right">
          <span className="sr-only">bends </span>
          {round(candidate.degrees)}°
          <span aria-hidden="true" className="block h-1 rounded-full bg-ground">
            <svg
              className="block h-1 w-full"
              viewBox="0 0 100 4"
              preserveAspectRatio="none"
              aria-hidden="true"
            >
              <rect
                width={(candidate.degrees / most) * 100}
                height="4"
                rx="2"
                className={candidate.fits ? "fill-arc" : "fill-strong-line"}
              />
            </svg>
          </span>
        </span>
        <span className="text-right">
          <span className="sr-only">takes </span>
          <Reading text={candidate.room_text} />
        </span>
        <span className="text-right">
          <span className="sr-only">pull </span>×{candidate.pull.toFixed(1)}
        </span>
      </span>
      <span
        className={classes(
          "block text-xs leading-snug",
          candidate.fits ? "text-soft" : "text-brick",
        )}
      >
        <Figures text={candidate.reason} />
      </span>
      {candidate.bends > 0 ? (
        <span className="block text-xs leading-snug text-soft">
          pipe <Reading text={candidate.pipe_text} />, before{" "}
          <Reading text={candidate.before_text} />
          {candidate.after_text ? (
            <>
              , after <Reading text={candidate.after_text} />
            </>
          ) : null}
          {candidate.air_text ? (
            <>
              , air <Reading text={candidate.air_text} />
            </>
          ) : null}
        </span>
      ) : null}
    </RadioGroup.Item>
  );
}

function nameOf(candidate: Candidate, room: "wide" | "narrow" = "wide"): string {
  const kind = bendsName(candidate.kind, room);
  const both = candidate.together ? ", over both" : "";
  return candidate.bends > 0 ? `${kind} ${round(candidate.angle)}°${both}` : kind;
}

function round(degrees: number): string {
  return String(Math.round(degrees * 10) / 10);
}
