// The planner's screen: three panes and the stick at a desk, one pane and the stick on a phone.
import { ToggleGroup } from "radix-ui";
import { useCallback, useLayoutEffect, useState } from "react";
import { useStore } from "zustand";
import { createStore } from "zustand/vanilla";
import { Stick } from "@/drawing/Stick";
import type { RunDocument } from "@/model/document";
import type { OpenDocument } from "@/model/savedDocuments";
import type { PlannerStore } from "@/model/store";
import { JobContext, type OfJob, PlanContext, StoreContext } from "@/state/PlannerContext";
import { PiecesContext, useWantedPieces } from "@/state/usePieces";
import { type PlanState, usePlan } from "@/state/usePlan";
import { ConflictDialog } from "@/ui/ConflictDialog";
import { classes } from "@/ui/classes";
import { onceOpened } from "@/ui/onceOpened";
import { useSavedDocument } from "@/ui/useSavedDocument";
import { say } from "@/words/say";
import { Header } from "./Header";
import { MarksPane } from "./MarksPane";
import { SettingsBar } from "./SettingsBar";
import { ShapePane } from "./ShapePane";
import { useShortcuts } from "./useShortcuts";
import { Walk } from "./Walk";

const ShortcutsDialog = onceOpened(async () => (await import("./ShortcutsDialog")).ShortcutsDialog);

const PANES = { walk: say("Walk"), shape: say("Shape"), marks: say("Marks") } as const;
type Pane = keyof typeof PANES;

type Props = { each: OpenDocument<RunDocument, PlannerStore>; job: OfJob };

export function Planner({ each, job }: Props) {
  const { store } = each;
  const document = useStore(store, (state) => state.history.present);
  const { pieces, wanted } = useWantedPieces(document, job.language);
  const { planned, current, readable } = usePlan(document, job.language, wanted);
  const [plans] = useState(() => createStore<PlanState>(() => planned));
  useLayoutEffect(() => plans.setState(planned, true), [plans, planned]);
  const [pane, setPane] = useState<Pane>("walk");
  const [help, setHelp] = useState(false);
  const [adding, setAdding] = useState(false);
  useSavedDocument(each, { readable });
  const showHelp = useCallback(() => setHelp(true), []);
  const add = useCallback(() => setAdding(true), []);
  useShortcuts(store, showHelp, add);
  const shown = (name: Pane) => (pane === name ? "" : "max-desk:hidden");
  return (
    <StoreContext value={store}>
      <JobContext value={job}>
        <PlanContext value={plans}>
          <PiecesContext value={pieces}>
            <div className="relative flex h-full flex-col overflow-hidden">
              <Header each={each as OpenDocument} job={job} showShortcuts={showHelp} />
              <SettingsBar />
              <main
                data-current={current}
                className="grid min-h-0 flex-1 desk:grid-cols-[21rem_minmax(0,1fr)_19rem]"
              >
                <section
                  aria-label={say("The walk")}
                  className={classes(
                    "relative min-h-0 overflow-auto border-r border-line bg-paper",
                    shown("walk"),
                  )}
                >
                  <Walk adding={adding} setAdding={setAdding} />
                </section>
                <section
                  aria-label={say("The shape")}
                  className={classes("relative min-h-0 min-w-0 bg-canvas", shown("shape"))}
                >
                  <ShapePane />
                </section>
                <section
                  aria-label={say("Marks")}
                  className={classes(
                    "relative min-h-0 overflow-auto border-l border-line bg-paper",
                    shown("marks"),
                  )}
                >
                  <MarksPane />
                </section>
              </main>
              <Stick />
              <nav
                aria-label={say("What to show")}
                className="border-t border-line bg-paper desk:hidden"
              >
                <ToggleGroup.Root
                  type="single"
                  aria-label={say("What to show")}
                  value={pane}
                  onValueChange={(next) => {
                    if (next) {
                      setPane(next as Pane);
                    }
                  }}
                  className="grid grid-cols-3"
                >
                  {Object.entries(PANES).map(([name, title]) => (
                    <ToggleGroup.Item
                      key={name}
                      value={name}
                      className="min-h-12 border-t-3 border-transparent font-medium text-soft -outline-offset-4 data-[state=on]:border-accent data-[state=on]:font-semibold data-[state=on]:text-accent"
                    >
                      {title}
                    </ToggleGroup.Item>
                  ))}
                </ToggleGroup.Root>
              </nav>
            </div>
            <ConflictDialog each={each} />
            <ShortcutsDialog open={help} onOpenChange={setHelp} />
          </PiecesContext>
        </PlanContext>
      </JobContext>
    </StoreContext>
  );
}
