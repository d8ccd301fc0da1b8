// A check's answer in large: whether it does, in words, with the rule it goes by.
import type { ReactNode } from "react";
import { classes } from "@/ui/classes";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";
import { sentence } from "@/words/text";

type Standing = "fits" | "warned" | "spare" | "full";

const STANDINGS = {
  fits: { icon: "check", colour: "text-moss" },
  warned: { icon: "warn", colour: "text-amber" },
  /** A warning that the words themselves tell. */
  spare: { icon: "warn", colour: "text-amber" },
  full: { icon: "stop", colour: "text-brick" },
} as const;

type Levelled = readonly { readonly level: string }[];

/** How an answer stands: what passes with a warning has no green tick over it. */
export function standing(passes: boolean, findings: Levelled): Exclude<Standing, "spare"> {
  if (!passes) {
    return "full";
  }
  return findings.some(({ level }) => level === "warning") ? "warned" : "fits";
}

type HeadlineProps = { stands: Standing; word: string };

/** The answer in a few words. */
export function Headline({ stands, word }: HeadlineProps) {
  const { icon, colour } = STANDINGS[stands];
  return (
    <span className={classes("flex items-center gap-2 font-bold", colour)}>
      <Icon name={icon} className="size-6 shrink-0" />
      {word}
      {stands === "warned" ? say(", with a warning") : ""}
    </span>
  );
}

type Props = {
  passes: boolean;
  findings: Levelled;
  word: string;
  children: ReactNode;
  rule: { readonly text: string; readonly source: string; readonly edition: string } | null;
};

export function Verdict({ passes, findings, word, children, rule }: Props) {
  const stands = standing(passes, findings);
  return (
    <div role="status" data-verdict={stands}>
      <p className="text-xl">
        <Headline stands={stands} word={word} />
      </p>
      <p className="mt-0.5">{children}</p>
      <p className="text-sm text-soft">
        {rule ? `${sentence(rule.text)}. ${rule.source} (${rule.edition}). ` : ""}
        {say("Local code decides.")}
      </p>
    </div>
  );
}
