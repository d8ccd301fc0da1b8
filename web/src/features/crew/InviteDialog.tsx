// Inviting somebody: as what, and how the link gets to them.
import { RadioGroup } from "radix-ui";
import { type FormEvent, useState } from "react";
import { type Role, useInvite } from "@/api/crew";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";
import { MadeLink } from "./MadeLink";
import { ROLES } from "./roles";

type Props = { open: boolean; onOpenChange: (open: boolean) => void };

export function InviteDialog({ open, onOpenChange }: Props) {
  const invite = useInvite();
  const [role, setRole] = useState<Role>("planner");
  const [email, setEmail] = useState("");
  const closed = (next: boolean) => {
    onOpenChange(next);
    invite.reset();
    setEmail("");
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    invite.mutate({ role, email });
  };
  return (
    <Dialog
      title={invite.data ? say("Hand this link over") : say("Invite somebody")}
      description={
        invite.data
          ? say("Whoever opens it comes into the crew, with a name and a password of their own.")
          : say("You get a link to hand over. It opens once, within seven days.")
      }
      open={open}
      onOpenChange={closed}
    >
      {invite.data ? (
        <MadeLink link={invite.data} />
      ) : (
        <form onSubmit={submit} className="grid gap-4">
          <RoleChoice role={role} onChange={setRole} />
          <TextField
            label={say("Mail address, to send it to as well")}
            type="email"
            autoComplete="off"
            value={email}
            onChange={(event) => setEmail(event.target.value)}
            {...(invite.error ? { problem: invite.error.message } : {})}
          />
          <Button type="submit" weight="main" disabled={invite.isPending}>
            {say("Make the link")}
          </Button>
        </form>
      )}
    </Dialog>
  );
}

function RoleChoice({ role, onChange }: { role: Role; onChange: (role: Role) => void }) {
  return (
    <RadioGroup.Root
      value={role}
      onValueChange={(next) => onChange(next as Role)}
      aria-label={say("They come in as")}
      className="grid gap-2"
    >
      {ROLES.map((each) => (
        <RadioGroup.Item
          key={each.role}
          value={each.role}
          className="group flex min-h-11 items-center gap-3 rounded-md border border-line px-3 py-1.5 text-left hover:border-strong-line data-[state=checked]:border-accent data-[state=checked]:bg-accent-soft"
        >
          <span className="grid size-4 shrink-0 place-items-center rounded-full border border-strong-line group-data-[state=checked]:border-accent">
            <RadioGroup.Indicator className="size-2 rounded-full bg-accent" />
          </span>
          <span>
            <span className="block font-semibold">{each.name}</span>
            <span className="block text-sm text-soft">{each.does}</span>
          </span>
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
