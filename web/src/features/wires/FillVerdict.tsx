// Whether it goes in, in large; then the figures, what else would do, and what it does not say.
import type { ReactNode } from "react";
import type { FillResult } from "@/model/wires";
import { Headline, standing } from "@/ui/Verdict";
import { say } from "@/words/say";
import { sentence } from "@/words/text";

/** Whether it goes in, in a few words: what is lost of the spare is a warning that says so. */
export function fillHeadline({ passes, findings }: FillResult) {
  const spareLost = findings.some(({ code }) => code === "spare-not-kept");
  const others = findings.filter(({ code }) => code !== "spare-not-kept");
  const stands = standing(passes, others);
  if (passes && spareLost && stands === "fits") {
    return { stands: "spare", word: say("It goes in, the spare is not kept") } as const;
  }
  return { stands, word: passes ? say("It goes in") : say("It does not go in") };
}

export function FillVerdict({ fill }: { fill: FillResult }) {
  const headline = fillHeadline(fill);
  return (
    <div role="status" data-verdict={headline.stands}>
      <p className="text-xl">
        <Headline {...headline} />
      </p>
      <p className="mt-0.5">
        <span className="text-2xl font-bold">{Math.round(fill.share * 100)} %</span>{" "}
        <span className="text-soft">
          {say("of what is allowed in {conduit}: {used} of {limit} {amount}", {
            conduit: fill.conduit.name,
            used: figure(fill.used, fill),
            limit: figure(fill.limit, fill),
            amount: AMOUNT[fill.amount],
          })}
        </span>
      </p>
      <p className="text-sm text-soft">
        {say("{rule}. {source} ({edition}). Local code decides.", {
          rule: sentence(fill.rule.text),
          source: fill.rule.source,
          edition: fill.rule.edition,
        })}
      </p>
    </div>
  );
}

export function FillDetails({ fill }: { fill: FillResult }) {
  const other = fill.beside;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
      <Row label={say("Room left")}>
        {fill.left > 0 ? `${figure(fill.left, fill)} ${AMOUNT[fill.amount]}` : say("none")}
        {fill.spare > 0 ? say(", {spare} % kept free", { spare: fill.spare }) : ""}
      </Row>
      <Row label={say("Smallest that passes")}>
        {fill.by_type.length > 0
          ? fill.by_type.map(({ type, name, size }) => (
              <span key={type} className="mr-3 inline-block">
                <b>{size ? size.replace("-", " ") : say("none")}</b>{" "}
                <span className="text-soft">{name}</span>
              </span>
            ))
          : (fill.smallest ?? say("none of the table"))}
      </Row>
      {fill.next_size ? (
        <Row label={say("Next size up")}>{fill.next_size.replace("-", " ")}</Row>
      ) : null}
      {fill.rows.length > 0 ? (
        <Row label={say("Printed rows")}>
          {fill.rows.map(({ length_m, factor }) => `${length_m} m: ${factor}`).join(", ")}
        </Row>
      ) : null}
      {fill.conduit.least_radius ? (
        <Row label={say("Least bend radius")}>
          {fill.conduit.least_radius} {fill.conduit.units}
          {fill.conduit.least_radius_other !== fill.conduit.least_radius
            ? say(", {leastRadiusOther} off a one-shot or full shoe", {
                leastRadiusOther: fill.conduit.least_radius_other ?? 0,
              })
            : ""}
        </Row>
      ) : null}
      {fill.jam ? <Row label={say("Jam ratio")}>{fill.jam.toFixed(2)}</Row> : null}
      {other ? (
        <Row label={say("The other way")}>
          {other.passes === null
            ? other.text
            : say("{verdict}, {share} % of what is allowed. {other}.", {
                verdict: other.passes ? say("goes in") : say("does not go in"),
                share: Math.round(other.share * 100),
                other: other.text,
              })}
        </Row>
      ) : null}
    </dl>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-soft">{label}</dt>
      <dd>{children}</dd>
    </>
  );
}

export const AMOUNT = { "in^2": "in²", mm2: "mm²", factor: say("by factor") } as const;

export function figure(value: number, { amount }: Pick<FillResult, "amount">): string {
  return amount === "in^2" ? value.toFixed(4) : value.toFixed(0);
}
