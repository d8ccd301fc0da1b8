// What a wall comes to: what is wrong before boring, what to bore, and every feed's pieces.
import type { WallPlan } from "@/api/queries";
import { FindingRow } from "@/ui/FindingRow";
import { Reading } from "@/ui/Reading";

export function WallAnswers({ plan }: { plan: WallPlan }) {
  return (
    <div className="grid gap-5 text-sm desk:grid-cols-2">
      <div className="grid gap-1 desk:col-span-2">
        {plan.findings.map((finding) => (
          <FindingRow key={`${finding.code} ${finding.text}`} finding={finding} fix={null} />
        ))}
      </div>
      <section>
        <h2 className="pb-1 font-semibold text-soft">Boxes to mount</h2>
        <ol>
          {plan.boxes.map((box) => (
            <li key={box.name}>
              <span className="font-semibold">{box.name}</span>
              <span className="text-soft">
                : {box.side} of stud {box.stud}, top at{" "}
              </span>
              <Reading text={box.top_text} />
              <span className="text-soft">, proud </span>
              <Reading text={box.proud_text} />
            </li>
          ))}
        </ol>
        <h2 className="pt-3 pb-1 font-semibold text-soft">Holes to bore</h2>
        <ul>
          {plan.to_bore.map(({ bit_text, height_text, count }) => (
            <li key={`${bit_text} ${height_text}`}>
              <span className="font-semibold">{count}</span>
              <span className="text-soft"> with a bit of </span>
              <Reading text={bit_text} />
              <span className="text-soft">, at </span>
              <Reading text={height_text} />
            </li>
          ))}
        </ul>
        <p className="pt-3">
          <span className="font-semibold">{plan.connectors}</span> connectors,{" "}
          <span className="font-semibold">{plan.couplings}</span> couplings
        </p>
        <p className="pt-1 text-xs text-soft">
          All boxes first, then all connectors, all holes, and the pipe last.
        </p>
      </section>
      <section>
        <h2 className="pb-1 font-semibold text-soft">Pieces</h2>
        <ol className="grid gap-2">
          {plan.feeds.map((feed) => (
            <li key={feed.number} data-feed-pieces={feed.number}>
              <p className="font-semibold">
                {feed.start} to {feed.end}
                {feed.kick_text ? (
                  <span className="font-normal text-soft">, kicks of {feed.kick_text}</span>
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
                        <span className="text-soft">marks </span>
                        {piece.marks.map((mark) => (
                          <span key={mark} className="mr-2">
                            <Reading text={mark} />
                          </span>
                        ))}
                      </span>
                    ) : (
                      <span className="text-soft">straight</span>
                    )}
                  </li>
                ))}
              </ol>
            </li>
          ))}
        </ol>
        <p className="pt-2 text-xs text-soft">
          A plan, for a licensed electrician to check. How much of a stud may be bored is the
          builder's to say. Local code decides.
        </p>
      </section>
    </div>
  );
}
