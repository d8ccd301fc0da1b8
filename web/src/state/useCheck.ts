// The answer to a document as it stands, the last good one kept while something is half typed.
import { useQuery } from "@tanstack/react-query";
import { Refused } from "@/api/client";
import { useShared } from "./useShared";

const KEEP_MS = 60_000;

export type Checked<T> = {
  readonly answer: T | null;
  /** Whether the answer is from before something that can't be read. */
  readonly old: boolean;
  /** Whether it is already that of the last key press. */
  readonly current: boolean;
  /** What can't be read, by path. */
  readonly problems: ReadonlyMap<string, string>;
  readonly refusal: string;
  /** Whether the document can be read, as it stands; null until that is known. */
  readonly readable: boolean | null;
};

const NO_PROBLEMS: ReadonlyMap<string, string> = new Map();

export function useCheck<D, T>(
  name: string,
  document: D,
  ask: (document: D, signal: AbortSignal) => Promise<T>,
): Checked<T> {
  const query = useQuery({
    queryKey: ["check", name, JSON.stringify(document)],
    queryFn: ({ signal }) => ask(document, signal),
    retry: false,
    staleTime: Infinity,
    gcTime: KEEP_MS,
    networkMode: "always",
  });
  const answer = useShared(query.data);
  const error = query.error instanceof Refused ? query.error : null;
  const problems = error
    ? new Map(error.problem.errors.map(({ path, expected }) => [path, expected]))
    : NO_PROBLEMS;
  return {
    answer,
    old: error !== null,
    current: query.data !== undefined,
    problems,
    refusal: error && problems.size === 0 ? error.message : "",
    readable: query.isPending ? null : problems.size === 0,
  };
}

/** The word on a path, or on what lies below it. */
export function problemAt(problems: ReadonlyMap<string, string>, path: string) {
  const found = [...problems].find(
    ([at]) => at === path || at.startsWith(`${path}.`) || at.startsWith(`${path}[`),
  );
  return found?.[1];
}
