// A check's answer in large: whether it does, in words, with the rule it goes by.
import type { ReactNode } from "react";
import { classes } from "@/ui/classes";
import { Icon } from "@/ui/Icon";

type Props = {
  passes: boolean;
  word: string;
  children: ReactNode;
  rule: { readonly text: string; readonly source: string; readonly edition: string } | null;
};

export function Verdict({ passes, word, children, rule }: Props) {
  return (
    <div role="status" data-verdict={passes ? "fits" : "full"}>
      <p
        className={classes(
          "flex items-center gap-2 text-xl font-bold",
          passes ? "text-moss" : "text-brick",
        )}
      >
        <Icon name={passes ? "check" : "stop"} className="size-6" />
        {word}
      </p>
      <p className="mt-0.5">{children}</p>
      <p className="text-sm text-soft">
        {rule ? `${sentence(rule.text)}. ${rule.source} (${rule.edition}). ` : ""}
        Local code decides.
      </p>
    </div>
  );
}

export function sentence(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
