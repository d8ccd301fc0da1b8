// Which piece of a parted run is looked at, and the way to the next.
import { IconButton } from "@/ui/Button";
import { Icon } from "@/ui/Icon";
import { say } from "@/words/say";

type Props = { number: number; count: number; look: (piece: number) => void };

export function PiecePager({ number, count, look }: Props) {
  return (
    <div className="flex items-center font-semibold">
      <IconButton
        label={say("The piece before")}
        disabled={number === 1}
        onClick={() => look(number - 1)}
      >
        <Icon name="back" className="size-4" />
      </IconButton>
      {say("Piece {number} of {count}", { number, count })}
      <IconButton
        label={say("The next piece")}
        disabled={number === count}
        onClick={() => look(number + 1)}
      >
        <Icon name="next" className="size-4" />
      </IconButton>
    </div>
  );
}
