// What a wall comes to: what is wrong before boring, what to bore, and every feed's pieces.
import { memo } from "react";
import { Link } from "react-router";
import { useWallRuns, type WallPlan } from "@/api/walls";
import { FindingRow } from "@/ui/FindingRow";
import { ordinal } from "@/ui/ordinal";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";

type Props = { wallId: number; plan: WallPlan };

export const WallAnswers = memo(function WallAnswers({ wallId, plan }: Props) {
  const made = useWallRuns(wallId).data ?? [];
  const runs = new Map(made.map(({ key, id }) => [key, id]));
  const findings = (
    <div className="grid gap-1 desk:col-span-2">
      {plan.findings.map((finding) => (
        <FindingRow key={`${finding.code} ${finding.text}`} finding={finding} fix={null} />
      ))}
    </div>
  );
  if (plan.feeds.length === 0) {
    return (
      <div className="grid gap-3 text-sm">
        {findings}
        <p className="max-w-prose text-soft">
          {say(
            "What to mount, bore, cut and bring stands here once a box is fed: add two boxes, then tap one and the one that it feeds.",
          )}
        </p>
      </div>
    );
  }
  return (
    <div className="grid gap-5 text-sm desk:grid-cols-2">
      {findings}
      <section>
        <h2 className="pb-1 font-semibold text-soft">{say("Boxes to mount")}</h2>
        <ol>
          {plan.boxes.map((box) => (
            <BoxToMount key={box.name} box={box} />
          ))}
        </ol>
        <h2 className="pt-3 pb-1 font-semibold text-soft">{say("Holes to bore")}</h2>
        <ul>
          {plan.plate_holes.map((hole) => (
            <li key={hole.feed}>
              <span className="text-soft">
                {say("In the {plate} plate at", { plate: hole.plate })}{" "}
              </span>
              <Reading text={hole.along_text} />
              <span className="text-soft">, </span>
              <Reading text={hole.deep_text} />
              <span className="text-soft"> {say("behind the face")}</span>
            </li>
          ))}
          {plan.to_bore.map(({ bit_text, height_text, plate, count }) => (
            <li key={`${bit_text} ${height_text} ${plate}`}>
              <span className="font-semibold">{count}</span>
              <span className="text-soft"> {say("with a bit of")} </span>
              <Reading text={bit_text} />
              {plate ? (
                <span className="text-soft">{say(", through the {plate} plate", { plate })}</span>
              ) : (
                <>
                  <span className="text-soft">{say(", at")} </span>
                  <Reading text={height_text} />
                </>
              )}
            </li>
          ))}
        </ul>
        <h2 className="pt-3 pb-1 font-semibold text-soft">{say("What is needed")}</h2>
        <ul>
          {plan.needed
            .filter(({ count }) => count > 0)
            .map(({ what, count }) => (
              <li key={what}>
                <span className="font-semibold">{count}</span>{" "}
                <span className="text-soft">{what}</span>
              </li>
            ))}
        </ul>
        <h2 className="pt-3 pb-1 font-semibold text-soft">{say("In this order")}</h2>
        <ol className="list-inside list-decimal">
          {plan.order.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </section>
      <section>
        <h2 className="pb-1 font-semibold text-soft">{say("Pieces")}</h2>
        <ol className="grid gap-2">
          {plan.feeds.map((feed) => (
            <FeedPieces key={feed.number} feed={feed} run={runs.get(feed.key)} />
          ))}
        </ol>
        <p className="pt-2 text-xs text-soft">
          {say(
            "A plan, for a licensed electrician to check. How much of a stud may be bored is the builder's to say. Local code decides.",
          )}
        </p>
      </section>
    </div>
  );
});

const BoxToMount = memo(function BoxToMount({ box }: { box: WallPlan["boxes"][number] }) {
  return (
    <li>
      <span className="font-semibold">{box.name}</span>
      <span className="text-soft">{say(": {on}, top at", { on: box.on })} </span>
      <Reading text={box.top_text} />
      <span className="text-soft">{say(", proud")} </span>
      <Reading text={box.proud_text} />
      {box.volume_text ? (
        <span className="text-soft">
          {say("; wires want {volume}", { volume: box.volume_text })}
        </span>
      ) : null}
    </li>
  );
});

type FeedProps = { feed: WallPlan["feeds"][number]; run: number | undefined };

const FeedPieces = memo(function FeedPieces({ feed, run }: FeedProps) {
  return (
    <li data-feed-pieces={feed.number}>
      <p className="font-semibold">
        <FeedName feed={feed} run={run} />
        {feed.kick_text ? (
          <span className="font-normal text-soft">
            {say(", kicks of {kick}", { kick: feed.kick_text })}
          </span>
        ) : null}
        {feed.longest_slid ? (
          <span className="font-normal text-soft">
            {sayWith(", at most {longestSlid} go in at once", {
              longestSlid: <Reading text={feed.longest_slid} />,
            })}
          </span>
        ) : null}
      </p>
      {feed.findings.map((finding) => (
        <FindingRow key={finding.text} finding={finding} fix={null} />
      ))}
      <ol>
        {feed.pieces.map((piece) => (
          <li key={piece.number} className="flex flex-wrap gap-x-2">
            <span className="text-soft">{piece.number}.</span>
            <span className="font-semibold">
              <Reading text={piece.cut_text} />
            </span>
            {piece.marks.length > 0 ? (
              <span>
                <span className="text-soft">{say("marks")} </span>
                {piece.found.length > 0
                  ? piece.found.map(({ reads, where }) => (
                      <span key={`${reads} ${where}`} className="mr-2">
                        <Reading text={reads} />
                        <span className="text-soft"> {where}</span>
                      </span>
                    ))
                  : piece.marks.map((mark) => (
                      <span key={mark} className="mr-2">
                        <Reading text={mark} />
                      </span>
                    ))}
              </span>
            ) : (
              <span className="text-soft">{say("straight")}</span>
            )}
            <span className="w-full pl-5 text-xs text-soft">
              {say("{ordinal} in, {goesIn}", {
                ordinal: ordinal(piece.turn),
                goesIn: piece.goes_in,
              })}
            </span>
          </li>
        ))}
      </ol>
    </li>
  );
});

/** A feed by its two ends; the way to its run, once that is kept. */
function FeedName({ feed, run }: FeedProps) {
  const name = say("{start} to {end}", { start: feed.start, end: feed.end });
  return run ? (
    <Link to={`/runs/${run}`} className="text-accent hover:underline">
      {name}
    </Link>
  ) : (
    name
  );
}
