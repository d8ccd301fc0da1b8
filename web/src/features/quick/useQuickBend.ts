// A quick bend as it stands: the sentence, what it is made from and with, and the run that it is.
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { quickBend } from "@/api/planning";
import type { RunDocument, Units } from "@/model/document";
import { type Habit, lastHabit, rememberHabit } from "@/model/remembered";
import { isLike, readStored, writeStored } from "@/model/stored";
import { LANGUAGE_OF } from "@/model/wording";
import { isWhole, QUICK_KINDS, type QuickKind, type QuickName, type Values } from "./sentences";

const KEY = "yarrow.quick";

export type Sentence = {
  readonly units: Units;
  readonly kind: QuickName;
  readonly values: Values;
  /** What was typed in place of picked words; empty where they were picked. */
  readonly typed: string;
};

const FIRST: Sentence = { units: "in", kind: "stub", values: {}, typed: "" };

export function useQuickBend() {
  const [sentence, setSentence] = useState<Sentence>(() => {
    const units = readStored(KEY, isLike(FIRST.units as string)) === "mm" ? "mm" : "in";
    return { ...FIRST, units };
  });
  const [habit, setHabit] = useState<Habit>(() => lastHabit(sentence.units));
  const kind: QuickKind = QUICK_KINDS[sentence.kind];
  const picked = () => kind.say(sentence.values, LANGUAGE_OF[sentence.units]);
  const said = sentence.typed || (isWhole(kind, sentence.values) ? picked() : "");
  const query = useQuery({
    queryKey: ["quick", said, sentence.units, habit],
    queryFn: ({ signal }) =>
      quickBend({ format: "yarrow.quick/1", units: sentence.units, said, ...habit }, signal),
    retry: false,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const change = (next: Partial<Sentence>) => setSentence((now) => ({ ...now, ...next }));
  const use = (next: Habit) => {
    setHabit(next);
    rememberHabit({ units: sentence.units, ...next } as RunDocument);
  };
  const changeUnits = (units: Units) => {
    writeStored(KEY, units);
    change({ units, values: {}, typed: "" });
    setHabit(lastHabit(units));
  };
  return {
    sentence,
    kind,
    said,
    habit,
    change,
    use,
    changeUnits,
    run: said ? (query.data?.run ?? null) : null,
    expected: query.error?.message ?? query.data?.expected ?? "",
    completions: query.data?.completions ?? [],
  };
}

export type QuickBend = ReturnType<typeof useQuickBend>;
