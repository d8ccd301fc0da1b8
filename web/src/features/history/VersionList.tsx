// Every version that was saved, newest first and page by page, and the way back to each.
import { useInfiniteQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useStore } from "zustand";
import { Refused } from "@/api/client";
import { PAGE, type Versions } from "@/api/history";
import { forgetLists } from "@/api/queries";
import type { OpenDocument } from "@/model/savedDocuments";
import { outcome, type Theirs } from "@/model/saving";
import { Button } from "@/ui/Button";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";

export type VersionProps<D, Detail> = {
  each: OpenDocument<D>;
  versions: Versions<Detail>;
  /** What was brought back, as this screen has it. */
  taken: (detail: Detail) => Theirs<D>;
  done: () => void;
};

export function VersionList<D, Detail>(props: VersionProps<D, Detail>) {
  const { each, versions, taken, done } = props;
  const baseVersion = useStore(each.store, (state) => state.baseVersion);
  const unsaved = useStore(each.store, (state) => state.saving.state !== "saved");
  const queries = useQueryClient();
  const [problem, setProblem] = useState("");
  const pages = useInfiniteQuery({
    queryKey: versions.key,
    queryFn: ({ pageParam }) => versions.list(pageParam),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.length < PAGE ? undefined : page.at(-1)?.version),
    gcTime: 0,
  });
  const restore = async (version: number) => {
    try {
      each.store.getState().takeTheirs(taken(await versions.restore(version, baseVersion)));
      done();
      forgetLists(queries);
      await queries.invalidateQueries({ queryKey: versions.key });
    } catch (error) {
      if (error instanceof Refused && error.status === 409) {
        each.store.getState().setSaving(outcome(error));
        done();
      } else {
        setProblem(error instanceof Error ? error.message : say("That did not work. Try again."));
      }
    }
  };
  if (pages.isError) {
    return <p role="alert">{pages.error.message}</p>;
  }
  return (
    <>
      {unsaved ? (
        <p className="pb-2 text-sm text-soft">
          {say("What you changed has to be saved before another version comes back.")}
        </p>
      ) : null}
      {problem ? (
        <p role="alert" className="mb-2 border-l-3 border-brick bg-brick-soft px-3 py-2">
          {problem}
        </p>
      ) : null}
      <ol className="divide-y divide-line">
        {pages.data?.pages.flat().map(({ version, saved_at, saved_by, restored_from }) => (
          <li key={version} className="flex items-center gap-3 py-2">
            <span className="w-8 font-semibold">{version}</span>
            <span className="flex-1">
              {moment(saved_at)}
              <span className="block text-sm text-soft">
                {saved_by}
                {restored_from
                  ? say(", restored from {restoredFrom}", { restoredFrom: restored_from })
                  : ""}
              </span>
            </span>
            {version === baseVersion ? (
              <span className="text-sm text-soft">{say("this one")}</span>
            ) : (
              <Button disabled={unsaved} onClick={() => void restore(version)}>
                {say("Restore")}
              </Button>
            )}
          </li>
        ))}
      </ol>
      {pages.hasNextPage ? (
        <Button
          className="mt-3 px-3"
          disabled={pages.isFetchingNextPage}
          onClick={() => void pages.fetchNextPage()}
        >
          {say("Earlier versions")}
        </Button>
      ) : null}
    </>
  );
}
