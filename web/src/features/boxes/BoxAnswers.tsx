// Everything about a box of a job: volume, pull box, holes, each where it applies.
import { BoxAnswer } from "@/features/check/BoxCheck";
import { EntriesAnswer } from "@/features/check/EntriesCheck";
import { PullBoxAnswer } from "@/features/check/PullBoxCheck";
import { FillFindings } from "@/features/wires/FillFindings";
import { say } from "@/words/say";
import type { SiteBoxResult } from "./useSiteBox";

export function BoxAnswers({ answer }: { answer: SiteBoxResult }) {
  const { volume, pull_box: pullBox, entries, findings } = answer;
  return (
    <>
      <FillFindings findings={findings} />
      {volume ? (
        <section aria-label={say("Volume")} className="grid gap-4">
          <BoxAnswer answer={volume} />
        </section>
      ) : null}
      {pullBox ? (
        <section aria-label={say("Pull box")} className="grid gap-4">
          <PullBoxAnswer answer={pullBox} />
        </section>
      ) : null}
      {entries ? (
        <section aria-label={say("Holes")} className="grid gap-4">
          <EntriesAnswer answer={entries} />
        </section>
      ) : null}
      {volume || pullBox || entries ? null : (
        <p className="text-soft">
          {say("Nothing to check yet: say which box it is, or its sides, and let runs end at it.")}
        </p>
      )}
    </>
  );
}
