// Every kind of walk line, in the order in which the menu offers them.

import type { Language } from "@/api/planning";
import type { LineKind } from "@/model/document";
import { wordFor } from "@/model/wording";
import { say } from "@/words/say";
import { block } from "./block";
import { box } from "./box";
import { boxOffset } from "./boxOffset";
import { end } from "./end";
import { hole } from "./hole";
import { kick } from "./kick";
import type { AnySpec, KindSpec } from "./kindSpec";
import { ledge } from "./ledge";
import { offset } from "./offset";
import { round } from "./round";
import { saddle3 } from "./saddle3";
import { saddle4 } from "./saddle4";
import { turn } from "./turn";
import { wall } from "./wall";

const SPECS: { [K in LineKind]: KindSpec<K> } = {
  wall,
  round,
  block,
  ledge,
  hole,
  box,
  offset,
  turn,
  saddle3,
  saddle4,
  kick,
  box_offset: boxOffset,
  end,
};

export const KINDS: Record<LineKind, AnySpec> = SPECS;

/** What a way to bend is called: a kind of line's name, or that nothing is bent. */
export function bendsName(kind: string, room: "wide" | "narrow", language: Language): string {
  if (!(kind in KINDS)) {
    return kind === "straight" ? say("Straight on") : kind;
  }
  const { label, short = label } = KINDS[kind as LineKind];
  return wordFor(room === "narrow" ? short : label, language);
}
