// The member who is signed in: theme, password, sign out.
import { lazy, Suspense, useState } from "react";
import { useNavigate } from "react-router";
import { useSession } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { onceOpened } from "@/ui/onceOpened";
import { chooseTheme, chosenTheme, THEMES, type Theme } from "@/ui/theme";
import { say } from "@/words/say";

const SessionsDialog = onceOpened(async () => (await import("./SessionsDialog")).SessionsDialog);
const SecondFactorDialog = onceOpened(
  async () => (await import("./SecondFactorDialog")).SecondFactorDialog,
);
const SignOut = onceOpened(async () => (await import("./SignOut")).SignOut);
const PasswordDialog = onceOpened(async () => (await import("./PasswordDialog")).PasswordDialog);

const PocketDialog = onceOpened(
  async () => (await import("@/features/pocket/PocketDialog")).PocketDialog,
);
const PocketChip = lazy(() => import("@/features/pocket/PocketChip"));

export function AccountMenu() {
  const member = useSession().data?.member;
  const [theme, setTheme] = useState<Theme>(chosenTheme);
  const navigate = useNavigate();
  const [changing, setChanging] = useState(false);
  const [where, setWhere] = useState(false);
  const [second, setSecond] = useState(false);
  const [pocket, setPocket] = useState(false);
  const [leaving, setLeaving] = useState(false);
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
          { label: say("Sign out"), run: () => setLeaving(true) },
        ]}
      />
      <SignOut open={leaving} onOpenChange={setLeaving} />
      <PocketDialog open={pocket} onOpenChange={setPocket} />
      <SessionsDialog open={where} onOpenChange={setWhere} />
      <SecondFactorDialog open={second} onOpenChange={setSecond} />
      <PasswordDialog open={changing} onOpenChange={setChanging} />
    </>
  );
}
