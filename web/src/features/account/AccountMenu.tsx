// The member who is signed in: theme, password, sign out.
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { client, rememberToken, unwrap } from "@/api/client";
import { keys, useSession } from "@/api/queries";
import { chooseTheme, chosenTheme, THEMES, type Theme } from "@/app/theme";
import { Button } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { Menu } from "@/ui/Menu";
import { PasswordDialog } from "./PasswordDialog";

export function AccountMenu() {
  const queries = useQueryClient();
  const member = useSession().data?.member;
  const [theme, setTheme] = useState<Theme>(chosenTheme);
  const [changing, setChanging] = useState(false);
  const signOut = async () => {
    const session = await unwrap(client.DELETE("/api/session"));
    // What the next member may see is not what this one has seen.
    queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.session[0] });
    rememberToken(session.csrf);
    queries.setQueryData(keys.session, session);
  };
  const next: Record<Theme, Theme> = { system: "light", light: "dark", dark: "system" };
  return (
    <>
      <Menu
        trigger={
          <Button weight="quiet" aria-label={`Account of ${member?.name ?? "nobody"}`}>
            <Icon name="person" />
            <span className="max-desk:hidden">{member?.name}</span>
          </Button>
        }
        actions={[
          {
            label: `Colours: ${THEMES[theme].toLowerCase()}`,
            hint: `touch for: ${THEMES[next[theme]].toLowerCase()}`,
            run: () => {
              chooseTheme(next[theme]);
              setTheme(next[theme]);
            },
          },
          { label: "Change password", run: () => setChanging(true) },
          { label: "Sign out", hint: member?.crew ?? "", run: () => void signOut() },
        ]}
      />
      <PasswordDialog open={changing} onOpenChange={setChanging} />
    </>
  );
}
