// A piece that fits is bent, and the run is left for the drawing again.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import type { BenchRun } from "@/api/bench";
import { forgetLists, putStage } from "@/api/queries";
import type { useBench } from "./useBench";

type Of = {
  readonly run: BenchRun;
  readonly piece: number;
  readonly offered: ReturnType<typeof useBench>["offered"];
};

export function useItFits({ run, piece, offered }: Of) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    // A run of several pieces is bent when the last of them is: who bends them says so.
    mutationFn: async () => {
      await offered("fits");
      return piece ? null : putStage(run.id, "bent");
    },
    onSuccess: () => {
      forgetLists(queries);
      void navigate(`/runs/${run.id}`);
    },
    networkMode: "always",
  });
}
