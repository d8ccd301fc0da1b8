// What is kept of the signed-in person on this device, and what waits for the server.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { useNavigate } from "react-router";
import { onAway, useAway } from "@/api/reaching";
import { useMemberName } from "@/features/drafts/useMemberName";
import { allDrafts } from "@/model/drafts";
import { saveAll } from "@/model/savedDocuments";
import { type Home, onHome } from "@/pocket/home";
import { keptJobs } from "@/pocket/keptJobs";
import { titleOf, waitingOf } from "@/pocket/waiting";

/** One thing that waits: what it is, and why it was not taken. */
export type Waits = { readonly title: string; readonly problem: string };

const LOOK_MS = 2000;

export function useWaiting(): readonly Waits[] {
  const member = useMemberName();
  const away = useAway();
  const found = useQuery({
    queryKey: ["waiting", member],
    queryFn: () => allWaiting(member).catch(() => []),
    refetchInterval: away ? LOOK_MS : false,
  });
  return found.data ?? [];
}

async function allWaiting(member: string): Promise<readonly Waits[]> {
  const { drafts } = await allDrafts(member);
  const changes = (await waitingOf(member)).map((each) => ({
    title: titleOf(each),
    problem: each.problem,
  }));
  const documents = drafts
    .filter(({ waits, problem }) => waits || problem)
    .map(({ title, problem = "" }) => ({ title, problem }));
  return [...changes, ...documents];
}

export function useKeptJobs() {
  const member = useMemberName();
  return useQuery({ queryKey: ["kept", member], queryFn: keptJobs });
}

/** What follows from being without the server, or with it again: lists are asked for anew, and a run
 *  that was made here is at its own address. */
export function useHome(): void {
  const queries = useQueryClient();
  const navigate = useNavigate();
  useEffect(() => {
    const look = () => void queries.invalidateQueries({ queryKey: ["waiting"] });
    const home = async ({ moved }: Home) => {
      const at = moved.find(({ localId }) => location.pathname.startsWith(`/runs/${localId}`));
      if (at) {
        await saveAll();
        const to = location.pathname.replace(String(at.localId), String(at.id));
        await navigate(to, { replace: true });
      }
      await queries.invalidateQueries();
    };
    const ends = [onAway(look), onHome((each) => void home(each))];
    return () => {
      for (const end of ends) {
        end();
      }
    };
  }, [queries, navigate]);
}
