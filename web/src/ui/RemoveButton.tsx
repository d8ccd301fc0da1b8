// What takes a row out of its list, in the row's corner.
import { IconButton } from "./Button";
import { Icon } from "./Icon";

export function RemoveButton({ label, run }: { label: string; run: () => void }) {
  return (
    <span className="absolute top-0 right-0">
      <IconButton label={label} onClick={run}>
        <Icon name="close" className="size-4" />
      </IconButton>
    </span>
  );
}
