// The list of keys.
import { Dialog } from "@/ui/Dialog";
import { Key } from "@/ui/Menu";
import { say } from "@/words/say";
import { SHORTCUTS } from "./useShortcuts";

export function ShortcutsDialog(props: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog title={say("Keys")} {...props}>
      <ul className="divide-y divide-line">
        {SHORTCUTS.map(([keys, what]) => (
          <li key={keys} className="flex items-center gap-4 py-2">
            {what}
            <Key>{keys}</Key>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
