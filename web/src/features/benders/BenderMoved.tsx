// A run's own bender that is known better than when it was planned: what that moves, and taking it.
import { useQuery } from "@tanstack/react-query";
import { recalibrated } from "@/api/bench";
import { set } from "@/model/commands";
import { sameDocument } from "@/model/sameDocument";
import { usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { classes } from "@/ui/classes";
import { Reading } from "@/ui/Reading";
import { say } from "@/words/say";
import { sayWith } from "@/words/sayWith";
import { useOwnBender } from "./useKeptBenders";

export function BenderMoved() {
  const document = usePlanner((state) => state.history.present);
  const change = usePlanner((state) => state.change);
  const now = useOwnBender(document);
  const moved = now !== undefined && !sameDocument(now.own, document.bender);
  const { data } = useQuery({
    queryKey: ["recalibrated", JSON.stringify(document), JSON.stringify(now?.own)],
    queryFn: ({ signal }) => (now ? recalibrated(document, now.own, signal) : null),
    enabled: moved,
    retry: false,
    staleTime: Infinity,
  });
  if (!now || !moved || !data) {
    return null;
  }
  const bends = now.own.learnt?.bends;
  const moves = data.marks.length > 0 || data.cut_was !== data.cut_now || !data.can_be_made;
  return (
    <div
      role="status"
      data-bender-moved
      className={classes(
        "mx-4 mb-2 border-l-3 px-2.5 py-1.5 text-sm",
        moves ? "border-amber bg-amber-soft" : "border-line text-soft",
      )}
    >
      <p>
        {bends
          ? say("{name} is known better since, from {bends} bends.", { name: now.name, bends })
          : say("{name} is known better since.", { name: now.name })}{" "}
        {data.can_be_made ? null : say("With that this run can't be made as it is written.")}{" "}
        {moves ? null : say("No mark moves.")}
        {data.marks.map(({ bend, was, now: reads }) => (
          <span key={bend} className="mr-2 inline-block">
            {sayWith("Mark {bend}: {was} to {reads}.", {
              bend: bend + 1,
              was: <Reading text={was} />,
              reads: <Reading text={reads} />,
            })}
          </span>
        ))}
        {data.cut_was === data.cut_now ? null : (
          <span className="inline-block">
            {sayWith("Cut: {cutWas} to {cutNow}.", {
              cutWas: <Reading text={data.cut_was} />,
              cutNow: <Reading text={data.cut_now} />,
            })}
          </span>
        )}
      </p>
      <Button className="mt-1 px-2.5" onClick={() => change(set("bender", now.own))}>
        {say("Take it as it is known now")}
      </Button>
    </div>
  );
}
