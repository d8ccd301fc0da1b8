// A gauge is heard by who stands at it: who types the code that it shows.
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { pairGauge } from "@/api/bench";
import { Button } from "@/ui/Button";
import { TextField } from "@/ui/TextField";
import { say } from "@/words/say";

export function PairGauge({ done }: { done: () => void }) {
  const [code, setCode] = useState("");
  const pair = useMutation({ mutationFn: pairGauge, onSuccess: done });
  return (
    <form
      className="flex flex-wrap items-end gap-2 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        pair.mutate(code);
      }}
    >
      <TextField
        label={say("The code that the gauge shows")}
        data-path="gauge.code"
        className="w-60"
        inputMode="numeric"
        autoComplete="off"
        maxLength={12}
        value={code}
        {...(pair.error ? { problem: pair.error.message } : {})}
        onChange={({ target }) => setCode(target.value)}
      />
      <Button type="submit" weight="main" className="min-h-11 px-4" disabled={!code.trim()}>
        {say("Pair it")}
      </Button>
      <p className="w-full text-sm text-soft">
        {say("It is yours from then on, until you sign out or another pairs it.")}
      </p>
    </form>
  );
}
