// What a tape reads at a mark on the bent piece, to check one by that was marked flat: there on a
// wide screen, behind a touch on a small one.
import { Collapsible } from "radix-ui";
import { type FoundMark, onBentPipe } from "@/model/document";
import { Figures } from "@/ui/Figures";
import { say } from "@/words/say";

export function OnTheBentPiece({ found }: { found: FoundMark }) {
  const told = onBentPipe(found);
  return (
    <>
      <span className="block text-lg text-soft max-desk:hidden" data-bent={found.on}>
        <Figures text={told} />
      </span>
      <Collapsible.Root className="desk:hidden">
        <Collapsible.Trigger className="min-h-11 text-accent underline underline-offset-3">
          {say("Check it on the bent piece")}
        </Collapsible.Trigger>
        <Collapsible.Content className="text-lg" data-bent={found.on}>
          <Figures text={told} />
        </Collapsible.Content>
      </Collapsible.Root>
    </>
  );
}
