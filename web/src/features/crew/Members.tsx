// Who is in the crew, as what; a lead says that here.
import { useState } from "react";
import { type CrewMember, type Role, useCrewChange, usePasswordLink } from "@/api/crew";
import { useSession } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { MoreMenu } from "@/ui/MoreMenu";
import { moment } from "@/ui/moment";
import { Select } from "@/ui/Select";
import { say } from "@/words/say";
import { MadeLink } from "./MadeLink";
import { ROLES, roleName } from "./roles";

type Props = { members: readonly CrewMember[]; leads: boolean };

export function Members({ members, leads }: Props) {
  const change = useCrewChange();
  const link = usePasswordLink();
  const [leaving, setLeaving] = useState<CrewMember | null>(null);
  const [linked, setLinked] = useState<CrewMember | null>(null);
  const problem = change.error ?? link.error;
  return (
    <section aria-label={say("Who is in the crew")}>
      {problem ? (
        <p role="alert" className="mb-3 border-l-3 border-brick bg-brick-soft px-3 py-2">
          {problem.message}
        </p>
      ) : null}
      <ul className="divide-y divide-line rounded-lg border border-line bg-paper">
        {members.map((member) => (
          <Row
            key={member.id}
            member={member}
            leads={leads}
            toRole={(role) => change.mutate({ what: "role", id: member.id, role })}
            putOut={() => setLeaving(member)}
            noSecondFactor={() => change.mutate({ what: "no second factor", id: member.id })}
            letIn={() => change.mutate({ what: "let in", id: member.id })}
            newPassword={() => {
              setLinked(member);
              link.mutate(member.id);
            }}
          />
        ))}
      </ul>
      <Dialog
        title={say("Put {name} out of the crew", { name: leaving?.name ?? "" })}
        description={say(
          "They are signed out everywhere, at once. What they made stays, and they can be let in again.",
        )}
        open={leaving !== null}
        onOpenChange={() => setLeaving(null)}
      >
        <div className="flex justify-end gap-2">
          <Button onClick={() => setLeaving(null)}>{say("Keep them")}</Button>
          <Button
            weight="main"
            onClick={() => {
              change.mutate({ what: "put out", id: leaving?.id ?? 0 });
              setLeaving(null);
            }}
          >
            {say("Put out")}
          </Button>
        </div>
      </Dialog>
      <Dialog
        title={say("A new password for {name}", { name: linked?.name ?? "" })}
        description={say("Whoever opens this link takes a new password and is signed in.")}
        open={linked !== null && link.isSuccess}
        onOpenChange={() => setLinked(null)}
      >
        {link.data ? <MadeLink link={link.data} /> : null}
      </Dialog>
    </section>
  );
}

type RowProps = {
  member: CrewMember;
  leads: boolean;
  toRole: (role: Role) => void;
  putOut: () => void;
  letIn: () => void;
  newPassword: () => void;
  noSecondFactor: () => void;
};

function Row(props: RowProps) {
  const { member, leads, toRole, putOut, letIn, newPassword, noSecondFactor } = props;
  const own = useSession().data?.member?.username === member.username;
  return (
    <li className="flex min-h-14 items-center gap-x-2 px-4 py-2 desk:gap-x-4">
      <span className="min-w-0 flex-1">
        <span className={member.there ? "font-semibold" : "font-semibold text-soft"}>
          {member.name}
        </span>
        <span className="block text-sm text-soft">{seen(member, own)}</span>
      </span>
      {leads && member.there ? (
        <Select
          label={say("What {name} is", { name: member.name })}
          value={member.role}
          options={ROLES.map(({ role, name }) => ({ value: role, label: name }))}
          onChange={(role) => toRole(role as Role)}
          className="w-28 justify-between desk:w-34"
        />
      ) : (
        <span className="text-soft">{roleName(member.role)}</span>
      )}
      {leads && member.there ? (
        <MoreMenu
          actions={[
            { label: say("Link to a new password"), run: newPassword },
            {
              label: say("Take off the second factor"),
              hint: say("for who lost their phone"),
              run: noSecondFactor,
            },
            { label: say("Put out of the crew"), run: putOut },
          ]}
        />
      ) : null}
      {leads && !member.there ? <Button onClick={letIn}>{say("Let in again")}</Button> : null}
    </li>
  );
}

function seen({ username, there, last_signed_in }: CrewMember, own: boolean): string {
  if (!there) {
    return say("{username}, put out of the crew", { username });
  }
  if (own) {
    return say("{username}, that is you", { username });
  }
  return last_signed_in
    ? say("{username}, last signed in {moment}", { username, moment: moment(last_signed_in) })
    : say("{username}, not signed in yet", { username });
}
