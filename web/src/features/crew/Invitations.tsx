// Invitations that nobody has used yet.

import type { Schemas } from "@/api/client";
import { useCrewChange } from "@/api/crew";
import { Button } from "@/ui/Button";
import { moment } from "@/ui/moment";
import { say } from "@/words/say";
import { roleName } from "./roles";

type Props = { invitations: readonly Schemas["OpenInvitation"][] };

export function Invitations({ invitations }: Props) {
  const change = useCrewChange();
  if (invitations.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="invited" className="mt-8">
      <h2 id="invited" className="mb-2 text-lg font-semibold">
        {say("Invited")}
      </h2>
      <ul className="divide-y divide-line rounded-lg border border-line bg-paper">
        {invitations.map(({ id, role, email, made_by, ends_at }) => (
          <li key={id} className="flex min-h-14 items-center gap-x-4 px-4 py-2">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{email || say("A link that was handed over")}</span>
              <span className="block text-sm text-soft">
                {say("{role}, until {moment}", { role: roleName(role), moment: moment(ends_at) })}
                {made_by ? say(", by {name}", { name: made_by }) : ""}
              </span>
            </span>
            <Button onClick={() => change.mutate({ what: "withdraw", id })}>
              {say("Withdraw")}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
