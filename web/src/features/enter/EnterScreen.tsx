// A link that lets somebody in: into a crew, or to a new password.
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState, useSyncExternalStore } from "react";
import { client, Refused, type Schemas, unwrap } from "@/api/client";
import { keys } from "@/api/queries";
import { rememberSession } from "@/api/token";
import { ROLES, roleName } from "@/features/crew/roles";
import { CodeField } from "@/features/signin/CodeField";
import { wantsCode } from "@/features/signin/wantsCode";
import { Button } from "@/ui/Button";
import { Logo } from "@/ui/Logo";
import { moment } from "@/ui/moment";
import { TextField } from "@/ui/TextField";
import { usePageTitle } from "@/ui/usePageTitle";
import { say } from "@/words/say";

type Opened = Schemas["OpenedLink"];

/** Another link opened in the same tab is another address to it, and no other page. */
function onAnotherLink(tell: () => void): () => void {
  window.addEventListener("hashchange", tell);
  return () => window.removeEventListener("hashchange", tell);
}

/** `done`: they are in, or go to the door instead. */
export default function EnterScreen({ done }: { done: () => void }) {
  // What a link is opened by stands behind the #: it is sent in no address and in no log.
  const key = useSyncExternalStore(onAnotherLink, () => window.location.hash.slice(1));
  const link = useQuery({
    queryKey: ["link", key],
    queryFn: () => unwrap(client.POST("/api/link", { body: { key } })),
    retry: false,
    staleTime: Infinity,
  });
  usePageTitle(say("Come in"));
  return (
    <main className="grid min-h-full place-content-center gap-6 p-6">
      <div className="flex items-center gap-3">
        <Logo className="h-11 w-10" />
        <p className="text-2xl leading-tight font-bold">Yarrow</p>
      </div>
      <div className="grid w-[min(24rem,88vw)] gap-4 rounded-lg border border-line bg-paper p-5">
        {link.isPending ? <p role="status">{say("Opening the link")}</p> : null}
        {link.isError ? <NotOpened error={link.error} done={done} /> : null}
        {link.data ? <EntryForm key={key} opened={link.data} linkKey={key} done={done} /> : null}
      </div>
    </main>
  );
}

function NotOpened({ error, done }: { error: Error; done: () => void }) {
  const unreadable = error instanceof Refused && error.status === 422;
  return (
    <>
      <h1 className="text-lg font-semibold">{say("This link lets nobody in")}</h1>
      <p role="alert">
        {unreadable
          ? say("The address is not whole: it ends with a # and a long word behind it.")
          : error.message}
      </p>
      <Button onClick={done}>{say("To the door")}</Button>
    </>
  );
}

type FormProps = { opened: Opened; linkKey: string; done: () => void };

function EntryForm({ opened, linkKey, done }: FormProps) {
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [username, setUsername] = useState(opened.username);
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const enter = useMutation({
    mutationFn: () =>
      opened.invites
        ? unwrap(
            client.POST("/api/link/join", { body: { key: linkKey, username, name, password } }),
          )
        : unwrap(client.POST("/api/link/password", { body: { key: linkKey, password, code } })),
    onSuccess: (session) => {
      // Whoever was signed in here before is not any more, and what they saw is not for others.
      queries.clear();
      rememberSession(session);
      queries.setQueryData(keys.session, session);
      done();
    },
  });
  const errors = enter.error instanceof Refused ? (enter.error.problem.errors ?? []) : [];
  const problem = (field: string) => {
    const found = errors.find((error) => error.path === field);
    return found ? { problem: found.expected } : {};
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate();
  };
  return (
    <>
      <Heading opened={opened} />
      <form onSubmit={submit} className="grid gap-4">
        {opened.invites ? (
          <TextField
            label={say("Your name, as the crew sees it")}
            autoComplete="name"
            maxLength={120}
            value={name}
            onChange={(event) => setName(event.target.value)}
            required
            {...problem("name")}
          />
        ) : null}
        <TextField
          label={say("Name to sign in with")}
          autoComplete="username"
          autoCapitalize="none"
          maxLength={150}
          value={username}
          readOnly={!opened.invites}
          onChange={(event) => setUsername(event.target.value)}
          required
          {...problem("username")}
        />
        <TextField
          label={say("New password")}
          type="password"
          autoComplete="new-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          required
          {...problem("password")}
        />
        <CodeField error={enter.error} code={code} onChange={setCode} />
        {enter.error && errors.length === 0 && !wantsCode(enter.error) ? (
          <p role="alert" className="text-sm text-brick">
            {enter.error.message}
          </p>
        ) : null}
        <Button type="submit" weight="main" disabled={enter.isPending}>
          {opened.invites ? say("Come in") : say("Take this password")}
        </Button>
      </form>
      <Note>{say("The link opens once, until {moment}.", { moment: moment(opened.ends_at) })}</Note>
    </>
  );
}

function Heading({ opened: { invites, crew, role } }: { opened: Opened }) {
  if (!invites) {
    return <h1 className="text-lg font-semibold">{say("A new password")}</h1>;
  }
  return (
    <div>
      <h1 className="text-lg font-semibold">{say("Come into {crew}", { crew })}</h1>
      <p className="text-soft">
        {say("As {role}. {does}", {
          role: roleName(role).toLowerCase(),
          does: ROLES.find((each) => each.role === role)?.does ?? "",
        })}
      </p>
    </div>
  );
}

function Note({ children }: { children: ReactNode }) {
  return <p className="text-sm text-soft">{children}</p>;
}
