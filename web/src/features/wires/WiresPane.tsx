// The wire of a run: what goes in, whether it does by the run's own length and bends, and the pull.

import { useCatalogue } from "@/api/queries";
import { partColours } from "@/drawing/colours";
import { FillFindings } from "@/features/wires/FillFindings";
import { takeSize } from "@/model/conduit";
import { addedConductors, setWires, startWires, type Wires } from "@/model/wires";
import { useOfJob, usePlanner, usePlanState } from "@/state/PlannerContext";
import { problemAt } from "@/state/useCheck";
import { Button } from "@/ui/Button";
import { say } from "@/words/say";
import { FillPicture } from "./FillPicture";
import { FillDetails, FillVerdict } from "./FillVerdict";
import { PullPanel } from "./PullPanel";
import { WireList } from "./WireList";
import { WiresSettings } from "./WiresSettings";

const TALLEST = 300;

export default function WiresPane() {
  const wires = usePlanner((state) => state.history.present.wires);
  const change = usePlanner((state) => state.change);
  const { rules } = useOfJob();
  if (!wires) {
    return (
      <div className="grid h-full place-items-center p-8 pt-14">
        <div className="grid max-w-sm gap-4 text-center text-soft">
          <p>
            {say(
              "Say what is to be drawn in: the run knows its own length, its bends and its conduit, and checks again at every change.",
            )}
          </p>
          <div>
            <Button weight="main" onClick={() => change(startWires(rules))}>
              {say("Say what goes in")}
            </Button>
          </div>
        </div>
      </div>
    );
  }
  return <Wired wires={wires} />;
}

function Wired({ wires }: { wires: Wires }) {
  const { language } = useOfJob();
  const { plan, problems, stale } = usePlanState((state) => state);
  const units = usePlanner((state) => state.history.present.units);
  const change = usePlanner((state) => state.change);
  const settle = usePlanner((state) => state.settle);
  const catalogue = useCatalogue().data;
  const planned = plan?.wires;
  const fill = planned?.fill;
  const metric = fill?.conduit.units === "mm";
  const colours = fill ? partColours(fill.conductors, "size", metric) : [];
  return (
    <div className="flex h-full flex-col pt-13 pointer-coarse:pt-17">
      <WiresSettings wires={wires} />
      <div className={`min-h-0 flex-1 overflow-auto pb-4 ${stale ? "opacity-60" : ""}`}>
        <div className="grid gap-x-6 gap-y-4 px-4 pt-3 xl:grid-cols-[minmax(20rem,1fr)_minmax(15rem,0.8fr)]">
          <div className="grid content-start gap-3">
            {fill ? <FillVerdict fill={fill} /> : null}
            <WireList
              language={language}
              wires={wires}
              units={units}
              parts={fill?.conductors ?? []}
              colours={colours}
              problem={(path) => problemAt(problems, `wires.${path}`)}
              onChange={(fields, burst) => change(setWires(fields), burst && `wires.${burst}`)}
              onAdd={(more) =>
                change((document) =>
                  setWires(addedConductors(document.wires ?? {}, more))(document),
                )
              }
              onDone={settle}
            />
          </div>
          {fill ? <FillPicture fill={fill} tallest={TALLEST} /> : null}
        </div>
        {fill && planned ? (
          <div className="grid gap-4 px-4 pt-4">
            <FillDetails fill={fill} />
            <FillFindings
              findings={[...planned.findings, ...fill.findings]}
              take={(_, size) => change(takeSize(catalogue?.benders ?? [], size))}
            />
          </div>
        ) : (
          <div className="px-4 pt-4">
            <FillFindings findings={planned?.findings ?? []} />
          </div>
        )}
        {planned ? <PullPanel planned={planned} wires={wires} /> : null}
      </div>
    </div>
  );
}
