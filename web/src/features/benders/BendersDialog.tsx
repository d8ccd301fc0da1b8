// The crew's own benders: what is there, and the way to another.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useBenders } from "@/api/benders";
import { bringBack, loadRemovedBenders, putAway } from "@/api/history";
import { keys } from "@/api/queries";
import { RemovedList } from "@/features/history/RemovedList";
import { BENDER_KIND } from "@/kinds/words";
import { asInRun, EMPTY_FORM, formOf, isDue, type OwnBender } from "@/model/benders";
import type { RunDocument, Units } from "@/model/document";
import { LANGUAGE_OF, term, wordFor } from "@/model/wording";
import { usePlanState } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { BenderForm } from "./BenderForm";
import type { OpenedBender } from "./useOpenBender";

const PLACES = { in: 3, mm: 1 } as const;

function Figure({ name, value, units }: { name: string; value: number; units: Units }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="text-ink">{Number(value.toFixed(PLACES[units]))}</dd>
    </div>
  );
}

function today(): string {
  return new Date().toISOString().slice(0, 10);
}

type Props = {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  conduit: RunDocument["conduit"];
  units: Units;
  use: (bender: OwnBender) => void;
};

export function BendersDialog({ open, onOpenChange, conduit, units, use }: Props) {
  const benders = useBenders();
  const queries = useQueryClient();
  const takenOut = useQuery({
    queryKey: keys.removedBenders,
    queryFn: loadRemovedBenders,
    enabled: open,
  });
  const [opened, setOpened] = useState<OpenedBender | null>(null);
  const listed = benders.data ?? [];
  const figures = usePlanState(({ plan }) => plan?.bender);

  const put = (bender: OwnBender) => {
    use(bender);
    setOpened(null);
    onOpenChange(false);
  };
  const remove = async (id: number) => {
    await putAway("bender", id);
    await queries.invalidateQueries({ queryKey: keys.benders });
  };

  if (opened) {
    return (
      <Dialog
        wide
        title={opened.kept ? say("Change this bender") : "A bender of your own"}
        description={say(
          "Bend, measure what came out, and its take-up, radius, springback and scale follow.",
        )}
        open={open}
        onOpenChange={(next) => {
          setOpened(null);
          onOpenChange(next);
        }}
      >
        <BenderForm
          opened={opened}
          conduit={conduit}
          units={units}
          close={() => setOpened(null)}
          use={put}
        />
      </Dialog>
    );
  }
  return (
    <Dialog
      title={say("The crew's benders")}
      description={say(
        "A printed deduct belongs to one shoe and one pipe. What you measured on yours counts.",
      )}
      open={open}
      onOpenChange={onOpenChange}
    >
      {figures ? (
        <div className="mb-3 rounded-md bg-raised px-3 py-2 text-sm text-soft">
          <p className="pb-1 font-medium text-ink">
            {say("In hand: {name}", { name: figures.name })}
          </p>
          <dl className="grid grid-cols-4 gap-2">
            <Figure name={say("Take-up")} value={figures.take_up} units={units} />
            <Figure name={say("Radius")} value={figures.radius} units={units} />
            <Figure
              name={say("Least {stub}", { stub: wordFor(term("stub"), LANGUAGE_OF[units]) })}
              value={figures.least_stub}
              units={units}
            />
            <div>
              <dt>{say("Springback")}</dt>
              <dd className="text-ink">
                {figures.springback_typical ? say("usual") : say("measured")}
              </dd>
            </div>
          </dl>
        </div>
      ) : null}
      {listed.length === 0 ? (
        <p className="pb-3 text-soft">
          {say("None yet. Bend a test 90 and put in what came out.")}
        </p>
      ) : (
        <ul className="mb-3 divide-y divide-line">
          {listed.map(({ id, version, document, numbers, carried }) => (
            <li key={id} className="flex flex-wrap items-center gap-2 py-2">
              <span className="min-w-40 flex-1">
                <span className="font-semibold">{numbers.name}</span>
                {isDue(document.bender, today()) ? (
                  <span className="ml-2 text-sm font-semibold text-amber">
                    {say("due for a check")}
                  </span>
                ) : null}
                {document.bender.condition === "out-of-use" ? (
                  <span className="ml-2 text-sm font-semibold text-brick">{say("out of use")}</span>
                ) : null}
                <span className="block text-sm text-soft">
                  {sayWith("{benderKind}, {conduitName}, take-up {takeUp}, radius {radius}", {
                    benderKind: BENDER_KIND[numbers.kind],
                    conduitName: numbers.conduit_name,
                    takeUp: <Reading text={numbers.take_up_text} />,
                    radius: <Reading text={numbers.radius_text} />,
                  })}
                </span>
              </span>
              <Button onClick={() => put(asInRun({ carried }, units))}>{say("Use it here")}</Button>
              <Button
                weight="quiet"
                onClick={() => setOpened({ form: formOf(document), kept: { id, version } })}
              >
                {say("Change")}
              </Button>
              <Button weight="quiet" onClick={() => void remove(id)}>
                {say("Remove")}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Button weight="main" onClick={() => setOpened({ form: EMPTY_FORM, kept: null })}>
        {say("Add a bender")}
      </Button>
      <RemovedList
        title={say("Taken out")}
        things={takenOut.data ?? []}
        bringBack={async ({ id }) => {
          await bringBack("bender", id);
          await queries.invalidateQueries({ queryKey: keys.benders });
        }}
      />
    </Dialog>
  );
}
