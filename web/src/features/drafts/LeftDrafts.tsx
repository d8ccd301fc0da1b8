// Everything that was left unsaved on this machine, also of what is gone: opened, made new, let go.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { Refused, type Schemas } from "@/api/client";
import { createRun, forgetLists } from "@/api/queries";
import type { BrokenDraft, Draft } from "@/model/draft";
import { allDrafts, draftKey, dropDraft } from "@/model/drafts";
import { openTabs } from "@/model/tab";
import { Button } from "@/ui/Button";
import { downloadJson } from "@/ui/downloadJson";
import { moment } from "@/ui/moment";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { useMemberName } from "./useMemberName";

type Props = { jobs: readonly Schemas["JobSummary"][] };

export function LeftDrafts({ jobs }: Props) {
  const member = useMemberName();
  const queries = useQueryClient();
  const left = useQuery({
    queryKey: ["left", member],
    queryFn: async () => {
      const { drafts, broken } = await allDrafts(member);
      const tabs = await openTabs();
      return { drafts: drafts.filter(({ tab }) => !tabs.has(tab)), broken };
    },
    gcTime: 0,
    networkMode: "always",
  });
  const { drafts = [], broken = [] } = left.data ?? {};
  const gone = () => queries.invalidateQueries({ queryKey: ["left", member] });
  if (drafts.length + broken.length === 0) {
    return null;
  }
  return (
    <section className="mt-8">
      <h2 className="mb-2 text-lg font-semibold">{say("Unsaved on this machine")}</h2>
      <ul className="divide-y divide-line rounded-lg border border-line bg-paper">
        {drafts.map((draft) => (
          <LeftDraft key={draftKey(draft)} draft={draft} jobs={jobs} gone={gone} />
        ))}
        {broken.map((each) => (
          <BrokenOne key={each.key} broken={each} gone={gone} />
        ))}
      </ul>
    </section>
  );
}

type OneProps = Props & { draft: Draft; gone: () => Promise<void> };

function LeftDraft({ draft, jobs, gone }: OneProps) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [chosen, setJob] = useState("");
  const job = chosen || String(jobs[0]?.id ?? "");
  const [problem, setProblem] = useState("");
  const discard = async () => {
    await dropDraft(draftKey(draft));
    await gone();
  };
  const asNew = async () => {
    try {
      const run = await createRun(Number(job), draft.document as Schemas["RunDocument"]);
      await dropDraft(draftKey(draft));
      forgetLists(queries);
      await navigate(`/runs/${run.id}`);
    } catch (error) {
      setProblem(error instanceof Refused ? error.message : say("That did not work. Try again."));
    }
  };
  const isRun = draft.kind === "run";
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 p-4 desk:justify-end">
      <span className="w-full">
        <span className="block font-semibold">{draft.title}</span>
        <span className="text-sm text-soft">
          {moment(draft.changed)}
          {draft.waits ? say(", waits for a connection") : ""}
        </span>
        {draft.problem ? <span className="block text-sm text-brick">{draft.problem}</span> : null}
        {problem ? (
          <span role="alert" className="block text-sm text-brick">
            {problem}
          </span>
        ) : null}
      </span>
      {isRun ? (
        <Link
          to={`/runs/${draft.id}`}
          className="font-semibold text-accent underline underline-offset-3"
        >
          {say("Open the run")}
        </Link>
      ) : null}
      {isRun && jobs.length > 0 ? (
        <span className="flex flex-wrap items-center gap-2">
          <Button onClick={() => void asNew()}>{say("Save as a new run in")}</Button>
          <Select
            look="word"
            label={say("Job of the new run")}
            value={job}
            options={jobs.map(({ id, name }) => ({ value: String(id), label: name }))}
            onChange={setJob}
          />
        </span>
      ) : null}
      <Button weight="quiet" onClick={() => downloadJson(draft.document, draft.title)}>
        {say("Download")}
      </Button>
      <Button weight="quiet" onClick={() => void discard()}>
        {say("Discard")}
      </Button>
    </li>
  );
}

function BrokenOne({ broken, gone }: { broken: BrokenDraft; gone: () => Promise<void> }) {
  return (
    <li className="flex flex-wrap items-center gap-4 p-4">
      <span className="flex-1 text-brick">
        {say("A draft can't be read: {why}.", { why: broken.why })}
      </span>
      <Button weight="quiet" onClick={() => downloadJson(broken.text, "draft")}>
        {say("Download")}
      </Button>
      <Button weight="quiet" onClick={() => void dropDraft(broken.key).then(gone)}>
        {say("Discard")}
      </Button>
    </li>
  );
}
