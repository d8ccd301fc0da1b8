// What was put to something on the walk, and what else could be: each way with its price.
import { Collapsible, RadioGroup } from "radix-ui";
import { memo, useState } from "react";
import { CandidateShape } from "@/drawing/CandidateShape";
import { bendsName } from "@/kinds/kinds";
import { FIELD } from "@/kinds/words";
import { pick } from "@/model/commands";
import type { Candidate, Choice } from "@/model/document";
import { useOfJob, usePlanner, usePlanState } from "@/state/PlannerContext";
import { useWidestOfLine } from "@/state/useExpected";
import { classes } from "@/ui/classes";
import { Figures } from "@/ui/Figures";
import { Icon } from "@/ui/Icon";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { ExpectedHalf } from "./ExpectedBand";

export function Candidates({ index }: { index: number }) {
  const choice = usePlanState(({ plan }) => plan?.choices.find(({ feature }) => feature === index));
  if (!choice) {
    return null;
  }
  if (choice.together_with != null) {
    return (
      <p className="mt-1 text-sm text-soft">
        {say("Taken in one with line {togetherWith}. To have its own bends, pick others there.", {
          togetherWith: choice.together_with + 1,
        })}
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
        <span className="font-semibold">
          <NameOf candidate={taken} />
        </span>
        {others > 0 ? (
          <span className="ml-auto flex items-center gap-1 text-sm whitespace-nowrap text-soft">
            {say("of {candidates}", { candidates: choice.candidates.length })}
            <Icon
              name="down"
              className="size-3.5 transition-transform group-data-[state=open]/choice:rotate-180"
            />
          </span>
        ) : null}
      </Collapsible.Trigger>
      {taken.fits && taken.usual && choice.by !== "person" ? null : (
        <p className={classes("mt-0.5 px-0.5 text-sm", taken.fits ? "text-soft" : "text-brick")}>
          {choice.by === "person" ? say("Your pick. ") : say("Yarrow's choice. ")}
          <Figures text={taken.reason} />
        </p>
      )}
      <Collapsible.Content>
        <Compared choice={choice} taken={taken} />
      </Collapsible.Content>
    </Collapsible.Root>
  );
});

function Compared({ choice, taken }: { choice: Choice; taken: Candidate }) {
  const change = usePlanner((state) => state.change);
  const [looked, setLooked] = useState("");
  const fitting = choice.candidates.filter(({ fits }) => fits);
  const others = choice.candidates.filter(({ fits }) => !fits);
  const chosen = choice.by === "person" ? taken.id : "";
  return (
    <RadioGroup.Root
      aria-label={say("Ways to take it")}
      value={chosen}
      onValueChange={(id) => {
        const found = choice.candidates.find((candidate) => candidate.id === id);
        if (found) {
          change(pick(found.path, found.value));
        }
      }}
      className="mt-1 rounded-md border border-line bg-paper p-1.5 text-sm"
    >
      <div className="flex gap-1.5 overflow-x-auto pb-1">
        {[...fitting, ...others].map((candidate) => (
          <Card key={candidate.id} candidate={candidate} look={() => setLooked(candidate.id)} />
        ))}
      </div>
      <Detail
        feature={choice.feature}
        candidate={choice.candidates.find(({ id }) => id === looked) ?? taken}
      />
      {choice.by === "person" && taken.path.endsWith(".pick") ? (
        <button
          type="button"
          onClick={() => change(pick(taken.path, ""))}
          className="min-h-8 w-full border-t border-line px-2 text-left font-semibold text-accent pointer-coarse:min-h-11"
        >
          {say("Let Yarrow choose")}
        </button>
      ) : null}
    </RadioGroup.Root>
  );
}

/** One way as a drawing with its price: what it bends, the room it takes, what it does to a pull. */
function Card({ candidate, look }: { candidate: Candidate; look: () => void }) {
  const { fits, taken, usual } = candidate;
  return (
    <RadioGroup.Item
      value={candidate.id}
      data-candidate={candidate.id}
      onPointerEnter={look}
      onFocus={look}
      className={classes(
        "w-24 shrink-0 rounded-md border px-1.5 py-1 text-left leading-snug hover:border-accent",
        taken ? "border-accent bg-accent-soft" : "border-line",
        !fits && "text-soft",
      )}
    >
      <CandidateShape candidate={candidate} />
      <span className="block truncate text-xs font-semibold">
        <NameOf candidate={candidate} narrow />
      </span>
      <span className="block text-xs">
        <span className="sr-only">{say("bends")} </span>
        {round(candidate.degrees)}°, <span className="sr-only">{say("pull")} </span>×
        {candidate.pull.toFixed(1)}
      </span>
      <span className="block text-xs">
        {fits ? <Reading text={candidate.room_text} /> : say("does not fit")}
        {fits ? (usual ? say(", usual") : say(" long")) : ""}
      </span>
    </RadioGroup.Item>
  );
}

/** What there is to say of the way that is looked at, else of the one that is taken. */
function Detail({ feature, candidate }: { feature: number; candidate: Candidate }) {
  return (
    <p className={classes("px-1 text-xs", candidate.fits ? "text-soft" : "text-brick")}>
      <span className="font-semibold">
        <NameOf candidate={candidate} />.
      </span>{" "}
      <Figures text={candidate.reason} />
      {candidate.bends > 0 ? (
        <>
          {" "}
          {sayWith("Pipe {pipe}, before {before}{after}{air}.", {
            pipe: <Reading text={candidate.pipe_text} />,
            before: <Reading text={candidate.before_text} />,
            after: candidate.after_text
              ? sayWith(", after {after}", { after: <Reading text={candidate.after_text} /> })
              : null,
            air: candidate.air_text
              ? sayWith(", air {air}", { air: <Reading text={candidate.air_text} /> })
              : null,
          })}
          {candidate.fits ? <Within feature={feature} candidate={candidate} /> : null}
        </>
      ) : null}
    </p>
  );
}

/** How far the number of this line that may come out farthest off is, by this way. */
function Within({ feature, candidate }: { feature: number; candidate: Candidate }) {
  const { path, value, taken } = candidate;
  const widest = useWidestOfLine(feature, taken ? null : pick(path, value));
  if (!widest) {
    return null;
  }
  const { expected, marking } = widest;
  return (
    <>
      {" "}
      {sayWith("In 19 of 20 its {field} comes out within {half}.", {
        field: FIELD[expected.field as keyof typeof FIELD],
        half: <ExpectedHalf expected={expected} marking={marking} />,
      })}
    </>
  );
}

/** What a way to bend is called where the job is. */
function NameOf({ candidate, narrow = false }: { candidate: Candidate; narrow?: boolean }) {
  const { language } = useOfJob();
  const kind = bendsName(candidate.kind, narrow ? "narrow" : "wide", language);
  const both = candidate.together ? say(", over both") : "";
  return candidate.bends > 0 ? `${kind} ${round(candidate.angle)}°${both}` : kind;
}

function round(degrees: number): string {
  return String(Math.round(degrees * 10) / 10);
}
