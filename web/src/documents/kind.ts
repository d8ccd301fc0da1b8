// What a kind of saved documents is to the page: one file and one row of the registry each. Everything
// that is done with all kinds (drafts, histories, what was removed, opening, sheets) goes by it.
import type { LARGE_PAPERS, LargePaper, PAPERS } from "./papers";

export type DocumentKind = {
  /** Where one of them is, at the API; what names it there stands in braces. */
  readonly at: `/api/${string}`;
  /** What a person calls one, with its article: it is opened under that name. */
  readonly called: string;
  /** What a job's removed ones are listed by there, and under which heading; null, where none can be
   * removed from a job. */
  readonly removed: { readonly list: string; readonly title: string } | null;
  /** The address of its screen; null, where it is shown in a window over another. */
  readonly path: string | null;
};

/** A kind that a job has some of: named, planned as it is typed, and printed on sheets. */
export type KindInJob = DocumentKind & {
  readonly removed: { readonly list: string; readonly title: string };
  readonly path: string;
  readonly inJob: {
    readonly title: string;
    /** What the button says that makes a new one. */
    readonly another: string;
    /** What the field of its name is called, and what removes it. */
    readonly nameLabel: string;
    readonly removeLabel: string;
    /** Where its sheet leads back to. */
    readonly backLabel: string;
    readonly papers: typeof PAPERS | typeof LARGE_PAPERS;
    readonly firstPaper: LargePaper;
  };
};
