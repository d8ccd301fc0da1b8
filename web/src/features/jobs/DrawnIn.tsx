// A drawing becomes a run: its one polyline is the path, in the unit that it is drawn in.
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { client, Refused, unwrap } from "@/api/client";
import { emptyRun, type RunDocument, type Units } from "@/model/document";
import { lastHabit } from "@/model/remembered";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Dialog } from "@/ui/Dialog";

type Props = {
  drawing: { name: string; dxf: string };
  units: Units;
  close: () => void;
  take: (document: RunDocument) => void;
};

const FILE = "file";
type Drawn = typeof FILE | Units;

export function DrawnIn({ drawing, units, close, take }: Props) {
  const [drawn, setDrawn] = useState<Drawn>(FILE);
  const read = useMutation({
    mutationFn: () =>
      unwrap(
        client.POST("/api/dxf", {
          body: { dxf: drawing.dxf, into: units, units: drawn === FILE ? null : drawn },
        }),
      ),
    onSuccess: ({ path }) => {
      const habit = lastHabit(units);
      const name = drawing.name.replace(/\.dxf$/i, "");
      const { walk: _, start: __, ...rest } = emptyRun(name, units, habit.conduit, habit.bender);
      take({ ...rest, path });
      close();
    },
  });
  const asked = read.error instanceof Refused ? read.error.problem.errors?.[0] : undefined;
  return (
    <Dialog
      title={`A run from ${drawing.name}`}
      description="Its one polyline becomes the pipe\u2019s centreline, corner by corner."
      open
      onOpenChange={close}
    >
      <div className="grid gap-4">
        <Choice
          label="Drawn in"
          value={drawn}
          options={[
            { value: FILE, label: "As the file says" },
            { value: "in", label: "Inches" },
            { value: "mm", label: "Millimetres" },
          ]}
          onChange={setDrawn}
        />
        {read.error ? (
          <p role="alert" className="text-sm text-brick">
            {asked ? `Expected ${asked.expected}.` : read.error.message}
          </p>
        ) : null}
        <div>
          <Button weight="main" disabled={read.isPending} onClick={() => read.mutate()}>
            Make a run of it
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
