// A run in its job's list: its shape, what it is, how far it is, and what can be done with it.
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { client, type Schemas, unwrap } from "@/api/client";
import { forgetLists, putStage, useJobs } from "@/api/queries";
import { bounds, fitInto, type Point2, polyline } from "@/geometry/views";
import { IconButton } from "@/ui/Button";
import { Icon, type IconName } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { Reading } from "@/ui/Reading";
import { Select } from "@/ui/Select";
import { JUST_MADE } from "@/ui/useNamedFirst";
import { say } from "@/words/say";
import { STAGE_WORDS, STAGES, type Stage } from "./stages";

const WORST: Record<string, { icon: IconName; colour: string; text: string }> = {
  error: { icon: "stop", colour: "text-brick", text: say("can't be made as written") },
  warning: { icon: "warn", colour: "text-amber", text: say("has a warning") },
};

export function RunRow({ run, jobId }: { run: Schemas["RunSummary"]; jobId: number }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const worst = WORST[run.worst_finding];
  const others = (useJobs().data ?? []).filter(({ id }) => id !== jobId);
  const path = { path: { run_id: run.id } };
  const act = useMutation({
    mutationFn: (call: () => Promise<unknown>) => call(),
    onSuccess: () => forgetLists(queries),
  });
  const stage = (next: Stage) => act.mutate(() => putStage(run.id, next));
  const duplicate = () =>
    act.mutate(async () => {
      const made = await unwrap(client.POST("/api/runs/{run_id}/duplicate", { params: path }));
      await navigate(`/runs/${made.id}`, JUST_MADE);
    });
  const move = (to: number) =>
    act.mutate(() =>
      unwrap(
        client.POST("/api/runs/{run_id}/move", { params: { ...path, query: { job_id: to } } }),
      ),
    );
  return (
    <li
      data-run={run.id}
      // Of a long list what is out of sight is neither laid out nor painted.
      className="[contain-intrinsic-block-size:auto_3.75rem] [content-visibility:auto] grid grid-cols-[1fr_auto_auto] items-center gap-x-3 px-3 py-1.5 hover:bg-accent-soft desk:grid-cols-[1fr_9rem_8.5rem_auto]"
    >
      <Link to={`/runs/${run.id}`} className="flex min-h-11 min-w-0 items-center gap-4">
        <SmallShape shape={run.shape} />
        <span className="min-w-0">
          <span className="flex items-center gap-2 font-semibold">
            <span className="truncate">{run.name}</span>
            {worst ? (
              <span className={worst.colour} title={worst.text}>
                <Icon name={worst.icon} className="size-4" />
                <span className="sr-only">{worst.text}</span>
              </span>
            ) : null}
          </span>
          <span className="block truncate text-sm text-soft">
            {run.wall ? `${run.wall.name} · ` : ""}
            {say("{conduit} · {bendDegrees}° bent · {updatedBy}, {updatedAt}", {
              conduit: run.conduit,
              bendDegrees: Math.round(run.bend_degrees),
              updatedBy: run.updated_by,
              updatedAt: new Date(run.updated_at).toLocaleDateString(undefined, {
                day: "numeric",
                month: "short",
              }),
            })}
          </span>
          {act.error ? (
            <span role="alert" className="block text-sm text-brick">
              {act.error.message}
            </span>
          ) : null}
        </span>
      </Link>
      <span className="max-desk:hidden">
        <Select
          look="word"
          label={say("Stage of {name}", { name: run.name })}
          value={run.stage}
          options={STAGES.map((value) => ({ value, label: STAGE_WORDS[value] }))}
          onChange={(next) => stage(next as Stage)}
        />
      </span>
      <Reading text={run.cut_length_text} className="text-right text-lg font-semibold" />
      <Menu
        trigger={
          <IconButton label={say("{name}: duplicate, move, stage", { name: run.name })}>
            <Icon name="more" className="size-4" />
          </IconButton>
        }
        actions={[
          { label: say("Duplicate"), run: duplicate },
          ...STAGES.filter((each) => each !== run.stage).map((each, at) => ({
            label: STAGE_WORDS[each],
            run: () => stage(each),
            ...(at === 0 ? { group: say("It is") } : {}),
          })),
          ...others.map(({ id, name }, at) => ({
            label: name,
            run: () => move(id),
            ...(at === 0 ? { group: say("Move it to") } : {}),
          })),
        ]}
      />
    </li>
  );
}

const SHAPE = { left: 3, top: 3, right: 61, bottom: 33 };

/** The pipe's corners, small. */
function SmallShape({ shape }: { shape: readonly (readonly number[])[] }) {
  const points = shape.map(([x = 0, y = 0]): Point2 => [x, -y]);
  const placed = fitInto(bounds(points.length > 0 ? points : [[0, 0]]), SHAPE);
  return (
    <svg viewBox="0 0 64 36" className="h-9 w-16 shrink-0" aria-hidden="true">
      <polyline
        points={polyline(points, placed.place)}
        fill="none"
        strokeWidth="2.5"
        strokeLinejoin="round"
        className="stroke-ink"
      />
    </svg>
  );
}
