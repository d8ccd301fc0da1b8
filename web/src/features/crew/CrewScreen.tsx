// The crew: who is in it and as what, who may come, and what was done.
import { useState } from "react";
import { Link } from "react-router";
import { useCrew, useMay } from "@/api/crew";
import { AccountMenu } from "@/features/account/AccountMenu";
import { CouldNotOpen } from "@/features/account/CouldNotOpen";
import { Button } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { LoadingScreen } from "@/ui/LoadingScreen";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";
import { Invitations } from "./Invitations";
import { InviteDialog } from "./InviteDialog";
import { Members } from "./Members";
import { RecordList } from "./RecordList";

export default function CrewScreen() {
  const crew = useCrew();
  const leads = useMay("lead");
  const [inviting, setInviting] = useState(false);
  if (crew.isError) {
    return <CouldNotOpen error={crew.error} again={() => void crew.refetch()} />;
  }
  if (crew.isPending) {
    return <LoadingScreen what={say("Opening the crew")} />;
  }
  const { name, members, invitations } = crew.data;
  return (
    <div className="flex min-h-full flex-col">
      <TopBar title={say("Crew")} actions={<AccountMenu />}>
        <Link to="/" className="text-soft hover:text-ink">
          {say("Jobs")}
        </Link>
      </TopBar>
      <main className="mx-auto w-full max-w-4xl flex-1 p-4 desk:p-8">
        <div className="mb-4 flex flex-wrap items-center justify-between gap-4">
          <h1 className="text-2xl font-bold">{name}</h1>
          {leads ? (
            <Button weight="main" onClick={() => setInviting(true)}>
              <Icon name="add" />
              {say("Invite")}
            </Button>
          ) : null}
        </div>
        <Members members={members} leads={leads} />
        {leads ? <Invitations invitations={invitations} /> : null}
        {leads ? <RecordList /> : null}
      </main>
      <InviteDialog open={inviting} onOpenChange={setInviting} />
    </div>
  );
}
