// A document as someone left it unsaved.
import type { Kind } from "@/documents/registry";

/** What a draft is of: its kind, and which one of it. */
export type Target = {
  readonly kind: Kind;
  readonly id: string;
  /** What a person calls it, and where it is, for the list of drafts. */
  readonly title: string;
};

/** A document as someone left it unsaved: one a person, a target and a tab. */
export type Draft = Target & {
  readonly shape: 1;
  readonly member: string;
  readonly tab: string;
  readonly baseVersion: number;
  readonly changed: number;
  readonly document: unknown;
  /** Whether it is only the server that is missing: it is sent when that is there again. */
  readonly waits?: boolean;
  /** Why the server did not take it, when it was sent by itself. */
  readonly problem?: string;
};

/** Something in the store that can't be read: why, and all of it as text. */
export type BrokenDraft = { readonly key: string; readonly why: string; readonly text: string };

/** What was left unsaved of a document, and the tabs that are open. */
export type LeftUnsaved = {
  readonly drafts: readonly Draft[];
  readonly tabs: ReadonlySet<string>;
};
