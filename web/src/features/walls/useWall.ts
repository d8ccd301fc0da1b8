// A framed wall as it is changed: its plan at once, saved a moment after the last change.
import { useQueryClient } from "@tanstack/react-query";
import { useLayoutEffect, useMemo, useState } from "react";
import { createStore } from "zustand";
import { keys } from "@/api/queries";
import { type JobWall, planWall, saveWall, type WallPlan } from "@/api/walls";
import { useOpened } from "@/features/documents/useOpened";
import type { Draft } from "@/model/draft";
import type { WallDocument } from "@/model/walls";
import { useCheck } from "@/state/useCheck";
import { fieldTypedIn } from "@/ui/fieldTypedIn";
import { useSavedDocument } from "@/ui/useSavedDocument";
import type { Editing, WallChecks } from "./WallField";

export function useWall(wall: JobWall, drafts: readonly Draft[]) {
  const queries = useQueryClient();
  const { each, document } = useOpened<WallDocument>(wall, drafts, {
    target: { kind: "wall", id: String(wall.id), title: `${wall.job_name}, ${wall.name}` },
    send: (next, baseVersion) => saveWall(wall.id, next, baseVersion),
    done: () => {
      void queries.invalidateQueries({ queryKey: keys.walls(wall.job_id) });
      void queries.invalidateQueries({ queryKey: keys.wallRuns(wall.id) });
    },
  });
  const checked = useCheck<WallDocument, WallPlan>(`wall ${wall.id}`, document, planWall);
  useSavedDocument(each, { readable: checked.readable });
  const { problems, answer: plan } = checked;
  const [checks] = useState(() => createStore<WallChecks>(() => ({ problems, plan })));
  useLayoutEffect(() => checks.setState({ problems, plan }, true), [checks, problems, plan]);
  const editing = useMemo(
    (): Editing => ({
      documents: each.store,
      checks,
      change: (next) => each.store.getState().change(next, fieldTypedIn()),
    }),
    [each, checks],
  );
  return { ...checked, each, document, editing };
}
