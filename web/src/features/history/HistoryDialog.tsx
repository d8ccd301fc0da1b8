// The versions of what is on the screen, in a window over it.
import { Dialog } from "@/ui/Dialog";
import { say } from "@/words/say";
import { VersionList, type VersionProps } from "./VersionList";

type Props<D, Detail> = Omit<VersionProps<D, Detail>, "done"> & {
  open: boolean;
  onOpenChange: (open: boolean) => void;
};

export function HistoryDialog<D, Detail>({ open, onOpenChange, ...rest }: Props<D, Detail>) {
  return (
    <Dialog
      title={say("History")}
      description={say("Every version that was saved, newest first.")}
      open={open}
      onOpenChange={onOpenChange}
    >
      {open ? <VersionList {...rest} done={() => onOpenChange(false)} /> : null}
    </Dialog>
  );
}
