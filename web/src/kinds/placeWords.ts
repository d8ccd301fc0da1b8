// The places that a bender is worked at, as they are said in a sentence.
import type { Place } from "@/model/commands";
import { say } from "@/words/say";

/** What stands for "nothing was said". */
export const USUAL = "usual";

const PLACES: Readonly<Record<Place, string>> = {
  floor: say("on the floor"),
  air: say("in the air"),
  stand: say("on a stand"),
  bench: say("at a bench"),
  blocks: say("on blocks"),
  edge: say("over an edge"),
};

export const PLACE_NAMES = Object.keys(PLACES) as Place[];

/** The words to choose from: as usual, what the tool takes, and what was said of it anyhow. */
export function placeWords(
  usual: string,
  takes: readonly Place[],
  chosen: Place | typeof USUAL,
): Record<Place | typeof USUAL, string> {
  const shown = chosen === USUAL || takes.includes(chosen) ? takes : [...takes, chosen];
  const words = {
    [USUAL]: usual,
    ...Object.fromEntries(shown.map((each) => [each, PLACES[each]])),
  };
  return words as Record<Place | typeof USUAL, string>;
}
