// What else can be done with what is open, behind three dots.
import { say } from "@/words/say";
import { IconButton } from "./Button";
import { Icon } from "./Icon";
import { type Action, Menu } from "./Menu";

type Props = { actions: readonly Action[] };

export function MoreMenu({ actions }: Props) {
  return (
    <Menu
      trigger={
        <IconButton label={say("More")}>
          <Icon name="more" />
        </IconButton>
      }
      actions={actions}
    />
  );
}
