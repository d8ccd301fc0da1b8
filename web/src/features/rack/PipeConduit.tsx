// What one pipe of a rack is bent from; the first is the run's own.
import type { RackPlan } from "@/api/planning";
import { useCatalogue } from "@/api/queries";
import { setRackPipe } from "@/model/rack";
import { usePlanner } from "@/state/PlannerContext";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";

export function PipeConduit({ pipe }: { pipe: RackPlan["pipes"][number] }) {
  const change = usePlanner((state) => state.change);
  const catalogue = useCatalogue().data;
  if (pipe.pipe === 0) {
    return <span className="text-soft">{pipe.conduit.name}</span>;
  }
  const choices = (catalogue?.conduit ?? []).flatMap(({ type, size, name }) => {
    const bender = catalogue?.benders.find(({ takes }) =>
      takes.some((taken) => taken.type === type && taken.size === size),
    );
    return bender && type === pipe.conduit.type
      ? [{ value: size, label: name, bender: bender.id }]
      : [];
  });
  return (
    <Select
      look="word"
      label={say("Pipe {pipe} is", { pipe: pipe.pipe + 1 })}
      value={pipe.conduit.size}
      options={choices}
      onChange={(size) => {
        const bender = choices.find(({ value }) => value === size)?.bender;
        if (bender) {
          change(setRackPipe(pipe.pipe, { conduit: { type: pipe.conduit.type, size }, bender }));
        }
      }}
    />
  );
}
