// The whole screen, where something can't be shown: why, its text as a file, and the ways on.
import { say } from "@/words/say";
import { Button, ButtonLink } from "./Button";
import { downloadJson } from "./downloadJson";
import { Logo } from "./Logo";

type Props = {
  readonly title: string;
  readonly why: string;
  readonly document?: unknown;
  readonly name?: string;
  /** Puts aside what is in the way; left out where nothing can be. */
  readonly setAside?: () => void;
};

export function Broken({ title, why, document, name = "document", setAside }: Props) {
  return (
    <main className="grid h-full place-content-center justify-items-center gap-4 p-6 text-center">
      <Logo className="h-10 w-9" />
      <h1 className="text-lg font-semibold">{title}</h1>
      <p role="alert" className="max-w-prose text-soft">
        {why}
      </p>
      <div className="flex flex-wrap justify-center gap-2">
        <Button onClick={() => window.location.reload()}>{say("Reload")}</Button>
        {document === undefined ? null : (
          <Button onClick={() => downloadJson(document, name)}>{say("Download its text")}</Button>
        )}
        {setAside ? (
          <Button onClick={setAside}>{say("Set the draft aside and go on")}</Button>
        ) : null}
        <ButtonLink to="/">{say("To the jobs")}</ButtonLink>
      </div>
    </main>
  );
}
