// A document as someone left it unsaved.

/** What a draft is of: its kind, and which one of it. */
export type Target = {
  readonly kind: "run" | "box" | "bender" | "stock" | "fittings" | "wall" | "site";
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
};

/** Something in the store that can't be read: why, and all of it as text. */
export type BrokenDraft = { readonly key: string; readonly why: string; readonly text: string };
