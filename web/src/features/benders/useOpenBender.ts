// A bender's form as a document that is kept while it is typed, and saved when its button says so.
import { useQueryClient } from "@tanstack/react-query";
import { useMemo, useRef } from "react";
import { useStore } from "zustand";
import { keepBender } from "@/api/benders";
import { Refused, type Schemas } from "@/api/client";
import { keys } from "@/api/queries";
import { useMemberName } from "@/features/drafts/useMemberName";
import { type BenderDocument, type BenderForm, documentOf, formOf } from "@/model/benders";
import type { RunDocument, Units } from "@/model/document";
import type { OpenDocument } from "@/model/savedDocuments";
import { createSavedStore, type DocumentStore } from "@/model/savedStore";
import { useSavedDocument } from "@/ui/useSavedDocument";
import { say } from "@/words/say";

export type OpenedBender = {
  readonly form: BenderForm;
  readonly kept: { readonly id: number; readonly version: number } | null;
};

type OpenBender = OpenDocument<BenderForm, DocumentStore<BenderForm>>;

export function useOpenBender(opened: OpenedBender, conduit: RunDocument["conduit"], units: Units) {
  const queries = useQueryClient();
  const member = useMemberName();
  const kept = useRef<Schemas["BenderDetail"] | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: one form, opened once
  const each = useMemo(
    (): OpenBender => ({
      store: createSavedStore(opened.form, opened.kept?.version ?? 0, false),
      member,
      target: {
        kind: "bender",
        id: String(opened.kept?.id ?? "new"),
        title: say("Bender, {form}", { form: opened.form.name || say("new") }),
      },
      send: async (form, version) => {
        const was = opened.kept && { ...opened.kept, version };
        kept.current = await keepBender(documentOf(form, units, conduit), was).catch(inForm);
        return kept.current;
      },
      done: () => void queries.invalidateQueries({ queryKey: keys.benders }),
    }),
    [],
  );
  useSavedDocument(each, { byItself: false });
  const form = useStore(each.store, (state) => state.current());
  const put = (fields: Partial<BenderForm>) =>
    each.store.getState().change((before) => ({ ...before, ...fields }));
  return { each, form, put, kept };
}

/** Someone else's version as this form has it. Throws it again. */
function inForm(error: unknown): never {
  if (error instanceof Refused && error.status === 409) {
    const problem = error.problem as Schemas["ConflictProblem"];
    const document = formOf(problem.theirs.document as unknown as BenderDocument);
    throw new Refused(409, { ...problem, theirs: { ...problem.theirs, document } } as never);
  }
  throw error;
}
