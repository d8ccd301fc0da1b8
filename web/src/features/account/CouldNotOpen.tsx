// A page that could not be had: why, and the ways on that every page has.
import { Refused } from "@/api/client";
import { Button, ButtonLink } from "@/ui/Button";
import { TopBar } from "@/ui/TopBar";
import { say } from "@/words/say";
import { AccountMenu } from "./AccountMenu";

type Props = { error: Error; again: () => void };

export function CouldNotOpen({ error, again }: Props) {
  // What is not there for this member is not there the next time either.
  const missing = error instanceof Refused && [404, 422].includes(error.status);
  return (
    <div className="flex h-full flex-col">
      <TopBar title={say("Not opened")} actions={<AccountMenu />} />
      <main className="grid flex-1 place-content-center justify-items-center gap-4 p-6 text-center">
        <h1 className="text-lg font-semibold">{say("This can't be opened")}</h1>
        <p role="alert" className="max-w-prose text-soft">
          {missing
            ? say(
                "There is nothing here that you may see: it is another crew's, or it was removed.",
              )
            : error.message}
        </p>
        <div className="flex flex-wrap justify-center gap-2">
          <ButtonLink to="/" weight={missing ? "main" : "plain"}>
            {say("To the jobs")}
          </ButtonLink>
          {missing ? null : (
            <Button weight="main" onClick={again}>
              {say("Try again")}
            </Button>
          )}
        </div>
      </main>
    </div>
  );
}
