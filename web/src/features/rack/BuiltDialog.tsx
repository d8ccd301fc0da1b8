// One pipe as it was really built: where its marks were put and what its bends kept. The next pipe
// is laid beside that.
import { useState } from "react";
import type { RackPlan } from "@/api/planning";
import { numberOrText } from "@/features/walk/fields";
import { asText } from "@/model/document";
import { type BuiltBend, type Rack, setBuilt } from "@/model/rack";
import { usePlanner } from "@/state/PlannerContext";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { degrees } from "@/ui/degrees";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { trimmed } from "@/words/text";

type Props = { pipe: RackPlan["pipes"][number]; rack: Rack; close: () => void };
type ReadBend = { readonly bend: number; readonly mark: string; readonly angle: string };

export function BuiltDialog({ pipe, rack, close }: Props) {
  const change = usePlanner((state) => state.change);
  const before = rack.built?.find((each) => each.pipe === pipe.pipe)?.bends ?? [];
  // A wide bend in shots is told as a whole, by its angle alone.
  const concentric = rack.corners === "concentric";
  const corners = cornersOf(pipe);
  const [read, setRead] = useState<readonly ReadBend[]>(
    corners.map((_, bend) => {
      const known = before.find((each) => each.bend === bend);
      return { bend, mark: asText(known?.mark), angle: asText(known?.angle) };
    }),
  );
  const write = (bend: number, fields: Partial<ReadBend>) =>
    setRead(read.map((each) => (each.bend === bend ? { ...each, ...fields } : each)));
  const keep = () => {
    change(setBuilt(pipe.pipe, read.flatMap(asBuilt)));
    close();
  };
  return (
    <Dialog
      title={say("Pipe {pipe}, as it was built", { pipe: pipe.pipe + 1 })}
      description={say(
        "Leave empty what came out as planned. The next pipe is laid beside what is really there.",
      )}
      open
      onOpenChange={close}
    >
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        {corners.map(({ text, angle }, bend) => (
          <fieldset key={text + String(bend)} className="grid grid-cols-2 gap-3">
            <legend className="pb-1 text-sm font-semibold">
              {say("Bend {bend}: {text}, {angle}", { bend: bend + 1, text, angle: degrees(angle) })}
            </legend>
            {concentric ? null : (
              <TextField
                label={say("Its mark was put at")}
                value={read[bend]?.mark ?? ""}
                placeholder={text}
                onChange={(event) => write(bend, { mark: event.target.value })}
              />
            )}
            <TextField
              label={say("It kept, degrees")}
              value={read[bend]?.angle ?? ""}
              placeholder={trimmed(angle)}
              onChange={(event) => write(bend, { angle: event.target.value })}
            />
          </fieldset>
        ))}
        <div>
          <Button weight="main" type="submit">
            {say("Lay the next one beside it")}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** The bends as they are told: one entry for each, a wide one in shots as a whole. */
function cornersOf(pipe: Props["pipe"]): { text: string; angle: number }[] {
  return pipe.marks.flatMap((mark) => {
    const shots = pipe.shots.find(
      ({ bend, count }) => mark.bend >= bend && mark.bend < bend + count,
    );
    if (!shots) {
      return [{ text: mark.text, angle: pipe.bends[mark.bend]?.angle ?? 0 }];
    }
    const angle = shots.count * shots.degrees;
    return mark.bend === shots.bend
      ? [{ text: say("from {mark}", { mark: mark.text }), angle }]
      : [];
  });
}

function asBuilt({ bend, mark, angle }: ReadBend): BuiltBend[] {
  if (!mark.trim() && !angle.trim()) {
    return [];
  }
  return [
    {
      bend,
      ...(mark.trim() ? { mark } : {}),
      // What is no number goes to the core as it was typed, which refuses it in words.
      ...(angle.trim() ? { angle: numberOrText(angle) as number } : {}),
    },
  ];
}
