// What the page has to know of a kind of walk line: its words, its fields, and where it is offered.
import type { Line, LineKind, LineOf, Toward } from "@/model/document";
import type { Words } from "@/model/wording";
import type { FIELD } from "./words";

/** A part of a line's sentence: words, or a field of the line where it stands in them. */
export type Part<Field extends string = string> =
  | Words
  | { length: Field; label: Words; placeholder?: string }
  | { word: Field; label: string; words: Record<string, string>; usual: string }
  | { fitting: Field; label: string }
  | { value: Field }
  | { side: Toward }
  | { angle: number }
  | { from: "turn" }
  | { own: OwnPart };

/** Parts that are more than one field: features/planner/ownParts.tsx draws them. */
export type OwnPart = "offset-angle" | "end-box" | "end-held" | "fixed-end";

type FieldOf<K extends LineKind> = Extract<keyof LineOf<K>, string>;

type Spec<L extends Line, Field extends string> = {
  /** What it is called in the menu, and where ways to bend are compared. */
  label: Words;
  /** The same where there is little room. */
  short?: Words;
  /** Where it is offered: as something that is there, as a bend by name, or not at all. */
  group: "there" | "bends" | "none";
  /** In the menu, what it may be. */
  hint?: string;
  /** The field that the cursor goes to. */
  first: Field;
  newLine: L;
  /** Whether the tape is hooked anew after it. */
  endsLeg: boolean;
  /** The numbers that may float until both ends meet. */
  floats: readonly (Field & keyof typeof FIELD)[];
  /** What its name asks for. */
  name: string;
  sentence: readonly Part<Field>[];
  /** What is rarely changed, a line each. */
  quiet: readonly (readonly Part<Field>[])[];
};

export type KindSpec<K extends LineKind> = Spec<LineOf<K>, FieldOf<K>>;

/** A kind's, whichever it is. */
export type AnySpec = Spec<Line, string>;
