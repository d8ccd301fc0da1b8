// A link that was made: shown this once, to be copied and handed over.
import { useState } from "react";
import type { MadeLink as Made } from "@/api/crew";
import { Button } from "@/ui/Button";
import { moment } from "@/ui/moment";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";

export function MadeLink({ link }: { link: Made }) {
  const [copied, setCopied] = useState(false);
  const address = `${window.location.origin}${link.path}`;
  const copy = async () => {
    await navigator.clipboard.writeText(address);
    setCopied(true);
  };
  return (
    <div className="grid gap-3">
      {link.sent_to ? (
        <p role="status">{say("It was sent to {address}.", { address: link.sent_to })}</p>
      ) : null}
      <div className="flex items-end gap-2">
        <TextField
          label={say("The link")}
          value={address}
          readOnly
          onFocus={(event) => event.target.select()}
          className="flex-1"
        />
        <Button weight="main" onClick={() => void copy()}>
          {copied ? say("Copied") : say("Copy")}
        </Button>
      </div>
      <p className="text-sm text-soft">
        {say("It opens once, until {moment}, and is shown here only now.", {
          moment: moment(link.ends_at),
        })}
      </p>
    </div>
  );
}
