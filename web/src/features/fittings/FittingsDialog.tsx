// The fittings that the crew has measured itself: name, what each is like, where the pipe ends.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo } from "react";
import { useStore } from "zustand";
import { type Fittings, loadFittings, saveFittings } from "@/api/benders";
import { versionsOf } from "@/api/history";
import { keys, useCatalogue } from "@/api/queries";
import { useMemberName } from "@/features/drafts/useMemberName";
import { addFitting, type FittingsDocument, removeFitting, setFitting } from "@/model/fittings";
import type { OpenDocument } from "@/model/savedDocuments";
import { createSavedStore, type DocumentStore } from "@/model/savedStore";
import { LANGUAGE_OF, nameIn } from "@/model/wording";
import { usePlanner } from "@/state/PlannerContext";
import { Button, IconButton } from "@/ui/Button";
import { ConflictDialog } from "@/ui/ConflictDialog";
import { Dialog } from "@/ui/Dialog";
import { Icon } from "@/ui/Icon";
import { SavingState } from "@/ui/SavingState";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { useSavedDocument } from "@/ui/useSavedDocument";
import { say } from "@/words/say";
import { FittingsHistory } from "./FittingsHistory";

type Props = { open: boolean; onOpenChange: (open: boolean) => void };

export function FittingsDialog({ open, onOpenChange }: Props) {
  const list = useQuery({
    queryKey: keys.fittingsOpened,
    queryFn: loadFittings,
    enabled: open,
    gcTime: 0,
    staleTime: Infinity,
  });
  return (
    <Dialog
      title={say("The crew's fittings")}
      description={say(
        "Screw a pipe in and measure how far it goes beyond the face; short of it, with a minus. It is what a run is cut by.",
      )}
      open={open}
      onOpenChange={onOpenChange}
    >
      {list.data ? <Opened list={list.data} /> : <p className="text-soft">{say("Opening …")}</p>}
    </Dialog>
  );
}

type OpenFittings = OpenDocument<FittingsDocument, DocumentStore<FittingsDocument>>;

function Opened({ list }: { list: Fittings }) {
  const queries = useQueryClient();
  const member = useMemberName();
  const units = usePlanner((state) => state.history.present.units);
  const each = useMemo(
    (): OpenFittings => ({
      store: createSavedStore<FittingsDocument>(list.document, list.version, false),
      member,
      target: { kind: "fittings", id: "own", title: say("The crew's fittings") },
      send: saveFittings,
      done: () => void queries.invalidateQueries({ queryKey: keys.fittings }),
    }),
    [list, member, queries],
  );
  const document = useStore(each.store, (state) => state.current());
  const saving = useStore(each.store, (state) => state.saving);
  const kept = useStore(each.store, (state) => state.kept);
  const saved = useStore(each.store, (state) => state.baseVersion > 0);
  const change = each.store.getState().change;
  const own = document.fittings ?? [];
  // What is half typed is kept as a draft, and sent once it is whole.
  const whole = own.every(({ name, beyond }) => name.trim() && String(beyond).trim());
  useSavedDocument(each, { readable: whole });
  const kinds = useCatalogue().data?.fittings ?? [];
  return (
    <>
      {own.length === 0 ? <p className="pb-3 text-soft">{say("None yet.")}</p> : null}
      <ul className="grid gap-3 pb-3">
        {own.map((fitting, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a fitting is known by its place while its name is typed
          <li key={at} className="grid grid-cols-[1fr_auto] items-end gap-2" data-fitting={at}>
            <TextField
              label={say("Name")}
              maxLength={80}
              value={fitting.name}
              onChange={(event) => change(setFitting(at, { name: event.target.value }))}
            />
            <IconButton
              label={say("Take out {name}", { name: fitting.name || say("this fitting") })}
              onClick={() => change(removeFitting(at))}
            >
              <Icon name="close" className="size-4" />
            </IconButton>
            <div className="col-span-2 flex flex-wrap items-end gap-x-2 text-sm">
              <span className="text-soft">{say("like a")}</span>
              <Select
                look="word"
                label={say("What {name} is like", { name: fitting.name || say("it") })}
                value={fitting.like}
                options={kinds.map(({ kind, names }) => ({
                  value: kind,
                  label: nameIn(names, LANGUAGE_OF[fitting.units]),
                }))}
                onChange={(like) => change(setFitting(at, { like }))}
              />
              <TextField
                label={say("Pipe beyond its face")}
                className="w-40"
                value={String(fitting.beyond)}
                onChange={(event) => change(setFitting(at, { beyond: event.target.value }))}
              />
              <span className="text-soft">{fitting.units}</span>
            </div>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-3">
        <Button weight="main" onClick={() => change(addFitting(units))}>
          {say("Add a fitting")}
        </Button>
        <SavingState saving={saving} kept={kept} />
        {saved ? <FittingsHistory each={each} versions={versionsOf("fittings", 0)} /> : null}
      </div>
      <p className="pt-3 text-xs text-soft">
        {say("A photograph of each has its place in the list, and can't be put there yet.")}
      </p>
      <ConflictDialog each={each} />
    </>
  );
}
