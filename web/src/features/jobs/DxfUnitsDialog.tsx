// A drawing becomes a run: its one polyline is the path, in the unit that it is drawn in.
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { client, Refused, unwrap } from "@/api/client";
import { planRun } from "@/api/planning";
import { emptyRun, type RunDocument, type Units } from "@/model/document";
import { lastHabit } from "@/model/remembered";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { SegmentedControl } from "@/ui/SegmentedControl";
import { say } from "@/words/say";
import { trimmed } from "@/words/text";

type Props = {
  drawing: { name: string; dxf: string };
  units: Units;
  close: () => void;
  take: (document: RunDocument) => void;
};

const FILE = "file";
type Drawn = typeof FILE | Units;

const LONGEST_MS = 30_000;

function span(radii: readonly number[]): string {
  const least = trimmed(Math.min(...radii));
  const most = trimmed(Math.max(...radii));
  return least === most ? least : say("{least} to {most}", { least, most });
}

export function DxfUnitsDialog({ drawing, units, close, take }: Props) {
  const [drawn, setDrawn] = useState<Drawn>(FILE);
  const finish = (document: RunDocument) => {
    take(document);
    close();
  };
  const read = useMutation({
    mutationFn: async () => {
      const { path, radii } = await unwrap(
        client.POST("/api/dxf", {
          body: { dxf: drawing.dxf, into: units, units: drawn === FILE ? null : drawn },
        }),
      );
      const habit = lastHabit(units);
      const name = drawing.name.replace(/\.dxf$/i, "");
      const { walk: _, start: __, ...rest } = emptyRun(name, units, habit.conduit, habit.bender);
      const document = { ...rest, path };
      const { bender } = await planRun(document, null, AbortSignal.timeout(LONGEST_MS));
      return { document, radii, bender };
    },
    onSuccess: ({ document, radii }) => {
      if (radii.length === 0) {
        finish(document);
      }
    },
  });
  const arcs = read.data?.radii.length ? read.data : null;
  const problem = read.error instanceof Refused ? read.error.problem.errors?.[0] : undefined;
  return (
    <Dialog
      title={`A run from ${drawing.name}`}
      description={say("Its one polyline becomes the pipe's centreline, corner by corner.")}
      open
      onOpenChange={close}
    >
      <div className="grid gap-4">
        <SegmentedControl
          label={say("Drawn in")}
          value={drawn}
          options={[
            { value: FILE, label: say("As the file says") },
            { value: "in", label: say("Inches") },
            { value: "mm", label: say("Millimetres") },
          ]}
          onChange={setDrawn}
        />
        {read.error ? (
          <p role="alert" className="text-sm text-brick">
            {problem
              ? say("Expected {expected}.", { expected: problem.expected })
              : read.error.message}
          </p>
        ) : null}
        {arcs ? (
          <p role="status" className="rounded-md bg-raised px-3 py-2">
            {say(
              "Its arcs are drawn with a radius of {span} {units}. Each becomes one bend with the radius of {bender}, {radius} {units}; the corners stay where they are.",
              {
                span: span(arcs.radii),
                units,
                bender: arcs.bender.name,
                radius: trimmed(arcs.bender.radius),
              },
            )}
          </p>
        ) : null}
        <div>
          <Button
            weight="main"
            disabled={read.isPending}
            onClick={() => (arcs ? finish(arcs.document) : read.mutate())}
          >
            {arcs ? say("Take it so") : say("Make a run of it")}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
