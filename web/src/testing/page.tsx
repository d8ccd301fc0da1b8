// What a test of a part of the page stands on: a server that answers as it is told, and the planner
// with a run and its plan.
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
import { vi } from "vitest";
import { createStore } from "zustand/vanilla";
import type { Plan, RunDocument } from "@/model/document";
import { createPlannerStore } from "@/model/store";
import { JobContext, type OfJob, PlanContext, StoreContext } from "@/state/PlannerContext";
import { PiecesContext, type PiecesState } from "@/state/usePieces";
import type { PlanState } from "@/state/usePlan";

export type Asked = { readonly method: string; readonly path: string; readonly body: unknown };
type Answer = unknown | ((asked: Asked) => unknown);

/** A refusal, as the server words it. */
export function refusal(status: number, problem: object): Response {
  return Response.json({ errors: [], message: "", code: "", ...problem }, { status });
}

/** Answers requests by `POST /api/plan` and the like; what it was asked, in order. One that is not
 * listed is not reached. */
export function serve(answers: Readonly<Record<string, Answer>>): Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const { pathname, search } = new URL(request.url);
    const text = await request.text();
    const one = {
      method: request.method,
      path: `${pathname}${search}`,
      body: text ? JSON.parse(text) : null,
    };
    asked.push(one);
    const key = `${request.method} ${pathname}`;
    if (!(key in answers)) {
      throw new TypeError("not reached");
    }
    const answer = answers[key];
    const found = typeof answer === "function" ? await answer(one) : answer;
    return found instanceof Response ? found : Response.json(found);
  });
  return asked;
}

export function within(ui: ReactNode): ReactNode {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return (
    <QueryClientProvider client={queries}>
      <MemoryRouter>{ui}</MemoryRouter>
    </QueryClientProvider>
  );
}

/** Draws something that stands by itself. */
export function draw(ui: ReactNode) {
  return { user: userEvent.setup(), ...render(within(ui)) };
}

export const RUN: RunDocument = {
  format: "yarrow.run/1",
  name: "Feed",
  units: "in",
  conduit: { type: "emt", size: "1/2" },
  bender: "hand-emt-1/2",
  walk: [
    { kind: "offset", at: "33", rise: "4 3/8", toward: "left", angle: 30 },
    { kind: "end", at: "60" },
  ],
};

type OfPlanner = {
  readonly run?: RunDocument;
  readonly plan?: Plan | null;
  readonly problems?: Readonly<Record<string, string>>;
  readonly state?: Partial<PlanState>;
  readonly pieces?: Partial<PiecesState>;
  readonly job?: Partial<OfJob>;
};

const JOB: OfJob = { id: 1, name: "Cellar", rules: "us", language: "en-US", wall: null };

/** Draws a part of the planner, with a run and what is known of its plan. */
export function drawPlanner(ui: ReactNode, of: OfPlanner = {}) {
  const store = createPlannerStore(1, of.run ?? RUN, 1, false);
  const plan = createStore<PlanState>(() => ({
    plan: of.plan ?? null,
    problems: new Map(Object.entries(of.problems ?? {})),
    offline: false,
    stale: false,
    refusal: "",
    ...of.state,
  }));
  const pieces = createStore<PiecesState>(() => ({
    made: undefined,
    old: false,
    looking: 0,
    ...of.pieces,
  }));
  const drawn = draw(
    <StoreContext.Provider value={store}>
      <JobContext.Provider value={{ ...JOB, ...of.job }}>
        <PlanContext.Provider value={plan}>
          <PiecesContext.Provider value={pieces}>{ui}</PiecesContext.Provider>
        </PlanContext.Provider>
      </JobContext.Provider>
    </StoreContext.Provider>,
  );
  return { ...drawn, store, plan, document: () => store.getState().history.present };
}

/** What is read of a table: its rows, their cells by a space each. */
export function rows(): string[] {
  return screen
    .getAllByRole("row")
    .map((row) => [...row.children].map((cell) => said(cell)).join(" | "));
}

/** What an element says to a reader: a reading once, as it is read out. */
export function said(element: Element): string {
  const copy = element.cloneNode(true) as Element;
  for (const hidden of copy.querySelectorAll("[aria-hidden=true]")) {
    hidden.remove();
  }
  return (copy.textContent ?? "").replace(/\s+/g, " ").trim();
}
