// The whole screen, while something is on its way or could not be had.
import { say } from "@/words/say";
import { Button } from "./Button";
import { Logo } from "./Logo";

export function LoadingScreen({ what, retry }: { what: string; retry?: () => void }) {
  return (
    <main className="grid h-full place-content-center justify-items-center gap-4 text-soft">
      <Logo className="h-10 w-9" />
      <p role="status">{what}</p>
      {retry ? <Button onClick={retry}>{say("Try again")}</Button> : null}
    </main>
  );
}
