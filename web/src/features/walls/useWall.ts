// A framed wall as it is changed.
import { useQueryClient } from "@tanstack/react-query";
import { useLayoutEffect, useMemo, useState } from "react";
import { createStore } from "zustand";
import { keys } from "@/api/queries";
import { type JobWall, planWall, type WallPlan } from "@/api/walls";
import { usePlanned } from "@/features/documents/usePlanned";
import type { Draft } from "@/model/draft";
import type { Editing, WallChecks } from "./WallField";

export function useWall(wall: JobWall, drafts: readonly Draft[]) {
  const queries = useQueryClient();
  const planned = usePlanned<"wall", WallPlan>("wall", wall, drafts, planWall, () => {
    void queries.invalidateQueries({ queryKey: keys.wallRuns(wall.id) });
  });
  const { problems, answer: plan, each, change } = planned;
  const [checks] = useState(() => createStore<WallChecks>(() => ({ problems, plan })));
  useLayoutEffect(() => checks.setState({ problems, plan }, true), [checks, problems, plan]);
  const editing = useMemo(
    (): Editing => ({ documents: each.store, checks, change }),
    [each, checks, change],
  );
  return { ...planned, editing };
}
