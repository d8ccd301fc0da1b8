// Quick bend: one sentence, and its marks at once, on the planner's own engine. Nothing is kept
// until it is made a run.
import { useLayoutEffect, useState } from "react";
import { Link } from "react-router";
import { useStore } from "zustand";
import { createStore } from "zustand/vanilla";
import { Stick } from "@/drawing/Stick";
import { AccountMenu } from "@/features/account/AccountMenu";
import { SayLine } from "@/features/walk/SayLine";
import { emptyRun } from "@/model/document";
import { createPlannerStore } from "@/model/store";
import { LANGUAGE_OF, usualRules } from "@/model/wording";
import { JobContext, PlanContext, StoreContext } from "@/state/PlannerContext";
import { type PlanState, usePlan } from "@/state/usePlan";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";
import { BentWith } from "./BentWith";
import { MakeRun } from "./MakeRun";
import { QuickMarks } from "./QuickMarks";
import { QuickSentence } from "./QuickSentence";
import { useQuickBend } from "./useQuickBend";

const TYPED = { in: "offset 4 3/8 30 at 33", mm: "set 110 30 at 840" } as const;

export default function QuickScreen() {
  const quick = useQuickBend();
  const { sentence, run, said } = quick;
  const job = {
    id: 0,
    name: "",
    rules: usualRules(sentence.units),
    language: LANGUAGE_OF[sentence.units],
    wall: null,
  };
  const [store] = useState(() =>
    createPlannerStore(
      0,
      emptyRun("", sentence.units, quick.habit.conduit, quick.habit.bender),
      0,
      false,
    ),
  );
  useLayoutEffect(() => {
    if (run) {
      store.getState().change(() => run, "quick");
    }
  }, [store, run]);
  const document = useStore(store, (state) => state.history.present);
  const { planned, current } = usePlan(document, job.language);
  const [plans] = useState(() => createStore<PlanState>(() => planned));
  useLayoutEffect(() => plans.setState(planned, true), [plans, planned]);
  const [saying, setSaying] = useState(false);
  const ready = run !== null && document === run && current && planned.plan !== null;
  return (
    <StoreContext value={store}>
      <JobContext value={job}>
        <PlanContext value={plans}>
          <div className="flex h-full flex-col">
            <TopBar
              title={say("Quick bend")}
              actions={
                <>
                  <MakeRun run={run} />
                  <AccountMenu />
                </>
              }
            >
              <Link to="/" className="text-soft hover:text-ink max-desk:hidden">
                {say("Jobs")}
              </Link>
              <h1 className="font-semibold">{say("Quick bend")}</h1>
              <span className="text-soft max-desk:hidden">
                {say("nothing is kept until you say so")}
              </span>
            </TopBar>
            <main data-current={ready} className="relative min-h-0 flex-1 overflow-auto">
              <div className="px-5 pt-5 desk:px-12 desk:pt-8">
                <QuickSentence quick={quick} />
                <div className="mt-3 flex flex-wrap items-start gap-x-8 gap-y-2">
                  <SayLine
                    className="w-full max-w-sm"
                    label={say("or say it")}
                    placeholder={TYPED[sentence.units]}
                    text={sentence.typed}
                    completions={saying && sentence.typed ? quick.completions : []}
                    whole={Boolean(sentence.typed && run)}
                    onType={(typed) => quick.change({ typed })}
                    // What is typed next is another sentence.
                    onEnter={(field) => field.select()}
                    onOpen={setSaying}
                  />
                  <BentWith quick={quick} />
                </div>
                <p role="status" className="mt-1 min-h-5 text-sm text-soft">
                  {said && !run && quick.expected
                    ? say("Still to come: {expected}", { expected: quick.expected })
                    : ""}
                </p>
              </div>
              <div className={ready ? "" : "opacity-60"}>
                {run && planned.plan ? (
                  <QuickMarks />
                ) : (
                  <p className="px-5 py-10 text-soft desk:px-12">
                    {say("The mark stands here as soon as the sentence has its numbers.")}
                  </p>
                )}
              </div>
            </main>
            {run && planned.plan ? <Stick /> : null}
          </div>
        </PlanContext>
      </JobContext>
    </StoreContext>
  );
}
