// The sentence: a word that is picked, and its numbers, typed where they stand.
import { LANGUAGE_OF, wordFor } from "@/model/wording";
import { InlineInput } from "@/ui/InlineInput";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { QUICK_KINDS, QUICK_NAMES, type QuickName } from "./sentences";
import type { QuickBend } from "./useQuickBend";

export function QuickSentence({ quick }: { quick: QuickBend }) {
  const { sentence, kind, change } = quick;
  const language = LANGUAGE_OF[sentence.units];
  const type = (field: string, text: string) =>
    change({ values: { ...sentence.values, [field]: text }, typed: "" });
  return (
    <p className="flex flex-wrap items-baseline gap-x-2.5 gap-y-1 text-2xl desk:text-3xl">
      <Select
        look="word"
        label={say("What to bend")}
        value={sentence.kind}
        options={QUICK_NAMES.map((value) => ({
          value,
          label: wordFor(QUICK_KINDS[value].word, language),
        }))}
        onChange={(next) => change({ kind: next as QuickName, values: {}, typed: "" })}
      />
      {kind.blanks.map(({ field, label, before, after, usual }, at) => (
        <span key={`${sentence.kind} ${field}`} className="inline-flex items-baseline gap-x-2">
          {before}
          <InlineInput
            data-quick={field}
            label={wordFor(label, language)}
            value={sentence.values[field] ?? ""}
            placeholder={usual}
            // The first number is what one came for.
            autoFocus={at === 0}
            onType={(text) => type(field, text)}
            className="min-w-20 placeholder:font-normal placeholder:text-soft"
          />
          {after}
        </span>
      ))}
    </p>
  );
}
