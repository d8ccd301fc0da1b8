// Whether it goes in, in large; then the figures, what else would do, and what it does not say.
import type { ReactNode } from "react";
import type { FillResult } from "@/model/wires";
import { Headline, standing } from "@/ui/Verdict";
import { sentence } from "@/words/text";

/** Whether it goes in, in a few words: what is lost of the spare is a warning that says so. */
export function fillHeadline({ passes, findings }: FillResult) {
  const spareLost = findings.some(({ code }) => code === "spare-not-kept");
  const others = findings.filter(({ code }) => code !== "spare-not-kept");
  const stands = standing(passes, others);
  if (passes && spareLost && stands === "fits") {
    return { stands: "spare", word: "It goes in, the spare is not kept" } as const;
  }
  return { stands, word: passes ? "It goes in" : "It does not go in" };
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
          of what is allowed in {fill.conduit.name}: {figure(fill.used, fill)} of{" "}
          {figure(fill.limit, fill)} {AMOUNT[fill.amount]}
        </span>
      </p>
      <p className="text-sm text-soft">
        {sentence(fill.rule.text)}. {fill.rule.source} ({fill.rule.edition}). Local code decides.
      </p>
    </div>
  );
}

export function FillDetails({ fill }: { fill: FillResult }) {
  const other = fill.beside;
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
      <Row label="Room left">
        {fill.left > 0 ? `${figure(fill.left, fill)} ${AMOUNT[fill.amount]}` : "none"}
        {fill.spare > 0 ? `, ${fill.spare} % kept free` : ""}
      </Row>
      <Row label="Smallest that passes">
        {fill.by_type.length > 0
          ? fill.by_type.map(({ type, name, size }) => (
              <span key={type} className="mr-3 inline-block">
                <b>{size ? size.replace("-", " ") : "none"}</b>{" "}
                <span className="text-soft">{name}</span>
              </span>
            ))
          : (fill.smallest ?? "none of the table")}
      </Row>
      {fill.next_size ? <Row label="Next size up">{fill.next_size.replace("-", " ")}</Row> : null}
      {fill.rows.length > 0 ? (
        <Row label="Printed rows">
          {fill.rows.map(({ length_m, factor }) => `${length_m} m: ${factor}`).join(", ")}
        </Row>
      ) : null}
      {fill.conduit.least_radius ? (
        <Row label="Least bend radius">
          {fill.conduit.least_radius} {fill.conduit.units}
          {fill.conduit.least_radius_other !== fill.conduit.least_radius
            ? `, ${fill.conduit.least_radius_other} off a one-shot or full shoe`
            : ""}
        </Row>
      ) : null}
      {fill.jam ? <Row label="Jam ratio">{fill.jam.toFixed(2)}</Row> : null}
      {other ? (
        <Row label="The other way">
          {other.passes === null
            ? other.text
            : `${other.passes ? "goes in" : "does not go in"}, ${Math.round(other.share * 100)} % of what is allowed. ${other.text}.`}
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

export const AMOUNT = { "in^2": "in²", mm2: "mm²", factor: "by factor" } as const;

export function figure(value: number, { amount }: Pick<FillResult, "amount">): string {
  return amount === "in^2" ? value.toFixed(4) : value.toFixed(0);
}
