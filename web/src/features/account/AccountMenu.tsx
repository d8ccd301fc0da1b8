// The member who is signed in: theme, password, sign out.
import { useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { useNavigate } from "react-router";
import { client, unwrap } from "@/api/client";
import { keys, useSession } from "@/api/queries";
import { rememberSession } from "@/api/token";
import { type OpenDocument, saveAll } from "@/model/savedDocuments";
import { Button } from "@/ui/Button";
import { Dialog } from "@/ui/Dialog";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { onceOpened } from "@/ui/onceOpened";
import { chooseTheme, chosenTheme, THEMES, type Theme } from "@/ui/theme";
import { say } from "@/words/say";

const SessionsDialog = onceOpened(async () => (await import("./SessionsDialog")).SessionsDialog);
const SecondFactorDialog = onceOpened(
  async () => (await import("./SecondFactorDialog")).SecondFactorDialog,
);
const PasswordDialog = onceOpened(async () => (await import("./PasswordDialog")).PasswordDialog);

const PocketDialog = onceOpened(
  async () => (await import("@/features/pocket/PocketDialog")).PocketDialog,
);
const PocketChip = lazy(() => import("@/features/pocket/PocketChip"));

export function AccountMenu() {
  const queries = useQueryClient();
  const member = useSession().data?.member;
  const [theme, setTheme] = useState<Theme>(chosenTheme);
  const navigate = useNavigate();
  const [changing, setChanging] = useState(false);
  const [where, setWhere] = useState(false);
  const [second, setSecond] = useState(false);
  const [pocket, setPocket] = useState(false);
  const [unsaved, setUnsaved] = useState<readonly OpenDocument[]>([]);
  const [waiting, setWaiting] = useState<readonly string[]>([]);
  const leave = async () => {
    const left = await saveAll();
    const waits = await (await import("@/pocket/leave")).leftWaiting(member?.username ?? "");
    setUnsaved(left);
    setWaiting(waits);
    if (left.length + waits.length === 0) {
      await signOut();
    }
  };
  const stay = () => {
    setUnsaved([]);
    setWaiting([]);
  };
  const signOut = async () => {
    stay();
    const session = await unwrap(client.DELETE("/api/session"));
    await (await import("@/pocket/leave")).forgetAll(member?.username ?? "").catch(() => undefined);
    // What the next member may see is not what this one has seen.
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.session[0] });
    rememberSession(session);
    queries.setQueryData(keys.session, session);
  };
  const next: Record<Theme, Theme> = { system: "light", light: "dark", dark: "system" };
  return (
    <>
      <Suspense fallback={null}>
        <PocketChip />
      </Suspense>
      <Menu
        trigger={
          <Button
            weight="quiet"
            aria-label={say("Account of {name}", { name: member?.name ?? say("nobody") })}
          >
            <Icon name="person" />
            <span className="max-desk:hidden">{member?.name}</span>
          </Button>
        }
        actions={[
          {
            label: say("Colours: {theme}", { theme: THEMES[theme].toLowerCase() }),
            hint: say("touch for: {theme}", { theme: THEMES[next[theme]].toLowerCase() }),
            run: () => {
              chooseTheme(next[theme]);
              setTheme(next[theme]);
            },
          },
          {
            label: say("Crew"),
            hint: member?.crew ?? "",
            run: () => void navigate("/crew"),
          },
          { label: say("On this device"), run: () => setPocket(true) },
          { label: say("Where you are signed in"), run: () => setWhere(true) },
          { label: say("Change password"), run: () => setChanging(true) },
          { label: say("Second factor"), run: () => setSecond(true) },
          {
            label: say("What is kept of you"),
            run: () => window.location.assign("/api/session/data"),
          },
          { label: say("Sign out"), run: () => void leave() },
        ]}
      />
      <Dialog
        title={say("Not everything is saved")}
        description={say(
          "It stays on this machine as a draft, for you alone, and is offered when you open it again.",
        )}
        open={unsaved.length + waiting.length > 0}
        onOpenChange={stay}
      >
        <ul className="mb-4 list-disc pl-5">
          {unsaved.map(({ target }) => (
            <li key={`${target.kind} ${target.id}`}>{target.title}</li>
          ))}
        </ul>
        {waiting.length > 0 ? (
          <p className="font-semibold text-brick">
            {say("These were never told to the server, and go from this device with signing out:")}
          </p>
        ) : null}
        <ul className="mb-4 list-disc pl-5">
          {waiting.map((title) => (
            <li key={title}>{title}</li>
          ))}
        </ul>
        <div className="flex justify-end gap-2">
          <Button onClick={stay}>{say("Stay")}</Button>
          <Button weight="main" onClick={() => void signOut()}>
            {say("Sign out all the same")}
          </Button>
        </div>
      </Dialog>
      <PocketDialog open={pocket} onOpenChange={setPocket} />
      <SessionsDialog open={where} onOpenChange={setWhere} />
      <SecondFactorDialog open={second} onOpenChange={setSecond} />
      <PasswordDialog open={changing} onOpenChange={setChanging} />
    </>
  );
}
