// What a bender's numbers come to, how well they are known, and what that does to a plan.
import type { UseQueryResult } from "@tanstack/react-query";
import type { Schemas } from "@/api/client";
import { Refused } from "@/api/client";
import type { Units } from "@/model/document";
import { Reading } from "@/ui/Reading";

const PLACES = { in: 3, mm: 1 } as const;

export function EvaluatedNumbers({
  query,
  units,
}: {
  query: UseQueryResult<Schemas["BenderNumbers"]>;
  units: Units;
}) {
  if (query.error) {
    const errors = query.error instanceof Refused ? (query.error.problem.errors ?? []) : [];
    return (
      <p role="status" className="rounded-md bg-amber-soft px-3 py-2 text-sm">
        {errors[0] ? `Expected ${errors[0].expected}.` : query.error.message}
      </p>
    );
  }
  if (!query.data) {
    return null;
  }
  const { take_up_text, gain_text, radius, least_stub_text, tested } = query.data;
  const told = (value: number) => value.toFixed(PLACES[units]);
  const small = tested?.effects.find(({ angle }) => angle === 30);
  const square = tested?.effects.find(({ angle }) => angle === 90);
  return (
    <div role="status" className="rounded-md bg-raised px-3 py-2">
      <dl className="grid grid-cols-4 gap-2 text-sm text-soft">
        <Figure name="Take-up" text={take_up_text} />
        <Figure name="Gain" text={gain_text} />
        <Figure name="Radius" text={told(radius)} />
        <Figure name="Least stub" text={least_stub_text} />
      </dl>
      {tested && small && square ? (
        <p className="mt-1.5 text-sm text-soft">
          The radius is known to ±{told(tested.radius_known_to)} {units}, in 19 of 20 cases. That
          moves a 90 by {told(square.by)} and a 30 by {told(small.by)}; more test bends narrow it.
        </p>
      ) : null}
    </div>
  );
}

function Figure({ name, text }: { name: string; text: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="text-lg font-bold text-ink">
        <Reading text={text} />
      </dd>
    </div>
  );
}
