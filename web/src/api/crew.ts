// The crew: who is in it, who is invited, what was done, and where one is signed in oneself.
import {
  type QueryClient,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from "@tanstack/react-query";
import { client, type Schemas, unwrap } from "./client";
import { makePasskey, takeOffPasskey } from "./passkeys";
import { useSession } from "./queries";

export type Role = Schemas["CrewRole"];
export type Act = Schemas["Act"];
export type CrewMember = Schemas["CrewMember"];
export type MadeLink = Schemas["MadeLink"];
export type RecordEntry = Schemas["RecordEntry"];

const crewKey = ["crew"];
const recordKey = ["crew", "record"];
const sessionsKey = ["sessions"];

/** Whether whoever is signed in may do that, by their role. */
export function useMay(act: Act): boolean {
  return useSession().data?.member?.may.includes(act) ?? false;
}

export function useCrew() {
  return useQuery({ queryKey: crewKey, queryFn: () => unwrap(client.GET("/api/crew")) });
}

const RECORD_PAGE = 100;

/** What was done in the crew, page by page, the newest first. */
export function useRecord() {
  return useInfiniteQuery({
    queryKey: recordKey,
    queryFn: ({ pageParam }) =>
      unwrap(
        client.GET("/api/crew/record", {
          params: { query: pageParam === undefined ? {} : { before: pageParam } },
        }),
      ),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.length < RECORD_PAGE ? undefined : page.at(-1)?.id),
    gcTime: 0,
  });
}

function forgetCrew(queries: QueryClient): void {
  void queries.invalidateQueries({ queryKey: crewKey });
}

export function useInvite() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { role: Role; email: string }) =>
      unwrap(client.POST("/api/crew/invitations", { body })),
    onSuccess: () => forgetCrew(queries),
  });
}

/** A change of somebody, or of an invitation; the crew is asked for anew. */
export type CrewChange =
  | { readonly what: "role"; readonly id: number; readonly role: Role }
  | {
      readonly what: "put out" | "let in" | "no second factor" | "withdraw";
      readonly id: number;
    };

async function change(asked: CrewChange): Promise<void> {
  const path = { member_id: asked.id };
  switch (asked.what) {
    case "role":
      await unwrap(
        client.PUT("/api/crew/members/{member_id}", {
          params: { path },
          body: { role: asked.role },
        }),
      );
      return;
    case "put out":
      await unwrap(client.DELETE("/api/crew/members/{member_id}", { params: { path } }));
      return;
    case "let in":
      await unwrap(client.POST("/api/crew/members/{member_id}/bring-back", { params: { path } }));
      return;
    case "no second factor":
      await unwrap(
        client.DELETE("/api/crew/members/{member_id}/second-factor", { params: { path } }),
      );
      return;
    case "withdraw":
      await unwrap(
        client.DELETE("/api/crew/invitations/{link_id}", {
          params: { path: { link_id: asked.id } },
        }),
      );
  }
}

export function useCrewChange() {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSettled: () => forgetCrew(queries) });
}

export function usePasswordLink() {
  return useMutation({
    mutationFn: (memberId: number) =>
      unwrap(
        client.POST("/api/crew/members/{member_id}/password-link", {
          params: { path: { member_id: memberId } },
        }),
      ),
  });
}

export function useSessions(wanted: boolean) {
  return useQuery({
    queryKey: sessionsKey,
    queryFn: () => unwrap(client.GET("/api/sessions")),
    enabled: wanted,
    gcTime: 0,
  });
}

/** Signs out somewhere else: at one place, or at all of them. */
export function useEndSession() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (name: string | null) =>
      unwrap(
        name === null
          ? client.DELETE("/api/sessions")
          : client.DELETE("/api/sessions/{name}", { params: { path: { name } } }),
      ),
    onSettled: () => void queries.invalidateQueries({ queryKey: sessionsKey }),
  });
}

const secondFactorKey = ["second-factor"];

export function useSecondFactor(wanted: boolean) {
  return useQuery({
    queryKey: secondFactorKey,
    queryFn: () => unwrap(client.GET("/api/session/second-factor")),
    enabled: wanted,
    gcTime: 0,
  });
}

/** The steps of a second factor: a secret for the phone and a code of it, a passkey of this device,
 *  and taking off one of these, or all. */
export function useSecondFactorSteps() {
  const queries = useQueryClient();
  const onSuccess = () => void queries.invalidateQueries({ queryKey: secondFactorKey });
  const begin = useMutation({
    mutationFn: (password: string) =>
      unwrap(client.POST("/api/session/second-factor", { body: { password } })),
  });
  const confirm = useMutation({
    mutationFn: (code: string) =>
      unwrap(client.PUT("/api/session/second-factor", { body: { code } })),
    onSuccess,
  });
  const turnOff = useMutation({
    mutationFn: (password: string) =>
      unwrap(client.DELETE("/api/session/second-factor", { body: { password } })),
    onSuccess,
  });
  const makeKey = useMutation({ mutationFn: makePasskey, onSuccess });
  const takeOff = useMutation({
    mutationFn: ({ id, password }: { id: number; password: string }) =>
      takeOffPasskey(id, password),
    onSuccess,
  });
  return { begin, confirm, turnOff, makeKey, takeOff };
}
