// One bender: by test bends or by its numbers, with what they come to while they are typed.
import { useQuery, useQueryClient } from "@tanstack/react-query";
import type { FormEvent, ReactNode } from "react";
import { useStore } from "zustand";
import { benderNumbers } from "@/api/benders";
import { versionsOf } from "@/api/history";
import { keys } from "@/api/queries";
import { DraftsDialog } from "@/features/drafts/DraftsDialog";
import { useDraftsOf } from "@/features/drafts/useDraftsOf";
import { VersionList } from "@/features/history/VersionList";
import { PLACE_NAMES, placeWords } from "@/kinds/placeWords";
import { BENDER_KIND } from "@/kinds/words";
import {
  asForm,
  asInRun,
  type BenderDocument,
  documentOf,
  EMPTY_FORM,
  type BenderForm as Form,
  formOf,
  MARK_NAMES,
  type OwnBender,
  type TestRow,
} from "@/model/benders";
import type { BenderKind, RunDocument, Units } from "@/model/document";
import { type OpenDocument, save } from "@/model/savedDocuments";
import { isLike } from "@/model/stored";
import { Button } from "@/ui/Button";
import { ConflictDialog } from "@/ui/ConflictDialog";
import { SavingState } from "@/ui/SavingState";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { Select } from "@/ui/Select";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { EvaluatedNumbers } from "./EvaluatedNumbers";
import { MeasuredBends } from "./MeasuredBends";
import { TestRows } from "./TestRows";
import { type OpenedBender, useOpenBender } from "./useOpenBender";

type Props = {
  opened: OpenedBender;
  conduit: RunDocument["conduit"];
  units: Units;
  close: () => void;
  use: (bender: OwnBender) => void;
};

const CONDITION = {
  unsaid: say("not said"),
  good: "good",
  worn: "worn",
  "out-of-use": say("out of use"),
} as const satisfies Record<Form["condition"], string>;

const STAMPED = {
  front: say("Front mark"),
  back: say("Back-of-bend"),
  centre: say("Centre mark"),
} as const;

export function BenderForm({ opened, conduit, units, close, use }: Props) {
  const { each, form, put, kept } = useOpenBender(opened, conduit, units);
  const queries = useQueryClient();
  const saving = useStore(each.store, (state) => state.saving);
  const stored = useStore(each.store, (state) => state.kept);
  const drafts = useDraftsOf("bender", each.target.id);
  const document = documentOf(form, units, conduit);
  const begun = form.by === "numbers" ? form.radius !== "" : form.tests.some(isBegun);
  const worked = useQuery({
    queryKey: ["bender-numbers", JSON.stringify(document)],
    queryFn: ({ signal }) => benderNumbers(document, signal),
    enabled: begun,
    retry: false,
    staleTime: Infinity,
  });
  const field = (name: "radius" | "take_up" | "hook" | "heel" | "commanded", label: string) => (
    <TextField
      label={label}
      value={form[name]}
      autoComplete="off"
      onChange={(event) => put({ [name]: event.target.value })}
    />
  );

  const keep = async (event: FormEvent) => {
    event.preventDefault();
    each.store.getState().setSaving({ state: "waiting" });
    await save(each as OpenDocument);
    if (kept.current) {
      use(asInRun(kept.current, units));
    }
  };

  return (
    <form onSubmit={(event) => void keep(event)} className="grid gap-4">
      <Row>
        <TextField
          label={say("Name")}
          value={form.name}
          placeholder={say("the old half-inch")}
          maxLength={80}
          onChange={(event) => put({ name: event.target.value })}
        />
        <div className="grid content-start gap-1">
          <span className="text-sm font-medium">{say("Kind")}</span>
          <Select
            label={say("Kind")}
            value={form.kind}
            options={Object.entries(BENDER_KIND).map(([value, label]) => ({ value, label }))}
            onChange={(kind) => put({ kind: kind as BenderKind })}
            className="min-h-10 justify-between"
          />
        </div>
      </Row>
      <SegmentedControl
        label={say("Known by")}
        value={form.by}
        options={[
          { value: "tests", label: say("What was measured") },
          { value: "numbers", label: say("Its numbers") },
        ]}
        onChange={(by) => put({ by })}
      />
      {form.by === "tests" ? <TestRows form={form} put={put} units={units} /> : null}
      <Row>
        {field("take_up", form.by === "tests" ? say("Take-up as stamped") : say("Take-up"))}
        {field("radius", form.by === "tests" ? say("Radius as stamped") : say("Centreline radius"))}
      </Row>
      <EvaluatedNumbers query={worked} units={units} />
      {form.by === "tests" && worked.data?.tested ? (
        <MeasuredBends form={form} put={put} bends={worked.data.tested.bends} units={units} />
      ) : null}
      <Row>
        {field("hook", say("Straight ahead of the mark"))}
        {field("heel", say("Straight behind the arc"))}
        {field("commanded", say("Bent to, for 90° to stay"))}
        {form.kind === "ratchet" || form.kind === "mechanical" ? (
          <TextField
            label={say("Degrees per click")}
            value={form.degrees_per_click}
            onChange={(event) => put({ degrees_per_click: event.target.value })}
          />
        ) : null}
        <UsualPlace form={form} put={put} />
      </Row>
      <Stamps form={form} put={put} />
      <Condition form={form} put={put} />
      {saving.state === "saved" ? null : <SavingState saving={saving} kept={stored} />}
      <div className="flex gap-2">
        <Button type="submit" weight="main" disabled={!worked.data}>
          {say("Keep it and use it")}
        </Button>
        <Button weight="quiet" onClick={close}>
          {say("Back")}
        </Button>
      </div>
      <ConflictDialog each={each} />
      {opened.kept ? (
        <section aria-label={say("Earlier versions")} className="border-t border-line pt-3">
          <h3 className="font-semibold">{say("Every version that was saved")}</h3>
          <VersionList
            each={each}
            versions={versionsOf("bender", opened.kept.id)}
            taken={({ document, version }) => ({
              document: formOf(document as unknown as BenderDocument),
              version,
            })}
            done={() => void queries.invalidateQueries({ queryKey: keys.benders })}
          />
        </section>
      ) : null}
      {drafts ? (
        <DraftsDialog
          each={each}
          drafts={drafts.drafts}
          openTabs={drafts.tabs}
          problem={(draft) => (isForm(draft) ? "" : say("part of it is missing"))}
          restore={(draft) => put(asForm(draft.document as Form))}
        />
      ) : null}
    </form>
  );
}

type PartProps = Pick<ReturnType<typeof useOpenBender>, "form" | "put">;

function UsualPlace({ form, put }: PartProps) {
  return (
    <div className="grid content-start gap-1">
      <span className="text-sm font-medium">{say("Usually worked")}</span>
      <Select
        label={say("Where it is usually worked")}
        value={form.place}
        options={Object.entries(placeWords(say("as its kind is"), PLACE_NAMES, form.place)).map(
          ([value, label]) => ({ value, label }),
        )}
        onChange={(place) => put({ place: place as Form["place"] })}
      />
    </div>
  );
}

function Stamps({ form, put }: PartProps) {
  return (
    <Row>
      {MARK_NAMES.map((mark) => (
        <TextField
          key={mark}
          label={say("{stamped} is stamped", { stamped: STAMPED[mark] })}
          value={form.marks[mark]}
          maxLength={40}
          onChange={(event) => put({ marks: { ...form.marks, [mark]: event.target.value } })}
        />
      ))}
    </Row>
  );
}

function Condition({ form, put }: PartProps) {
  return (
    <Row>
      <div className="grid content-start gap-1">
        <span className="text-sm font-medium">{say("Condition")}</span>
        <Select
          label={say("Condition")}
          value={form.condition}
          options={Object.entries(CONDITION).map(([value, label]) => ({ value, label }))}
          onChange={(condition) => put({ condition: condition as Form["condition"] })}
        />
      </div>
      <TextField
        label={say("To be checked by")}
        type="date"
        value={form.check_due}
        onChange={(event) => put({ check_due: event.target.value })}
      />
      <TextField
        label={say("Notes")}
        value={form.notes}
        maxLength={400}
        onChange={(event) => put({ notes: event.target.value })}
      />
    </Row>
  );
}

/** Whether enough of a test is typed that something can be said of it. */
function isBegun(test: TestRow): boolean {
  return test.tail !== "" || test.commanded !== "" || test.clicks !== "";
}

// A draft from before a bender had its place is a form too: it leaves the place as it is.
const {
  place: _since,
  notes: _notes,
  condition: _condition,
  check_due: _due,
  ...ALWAYS_HAD
} = EMPTY_FORM;
const isForm = isLike(ALWAYS_HAD);

function Row({ children }: { children: ReactNode }) {
  return <div className="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">{children}</div>;
}
