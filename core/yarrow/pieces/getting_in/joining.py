"""What is done to join each piece to what hangs there, in the order that the run goes together."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence

from yarrow.catalog.couplings import Coupling, couplings
from yarrow.catalog.fittings import fittings
from yarrow.measure.units import convert
from yarrow.pieces.getting_in.turning import Turned
from yarrow.pieces.getting_in.ways import TurnOfPiece, WayToGetIn
from yarrow.pieces.piece_plan import Joint
from yarrow.pieces.places import RunToPart
from yarrow.runs.model.plan import Step
from yarrow.values import dataclass
from yarrow.wording.phrase import Phrase, Value, count, in_turn


def hanging_order(pieces: int, at: int) -> tuple[int, ...]:
    """The pieces in the order that they go up: from the start to what closes the run, then from its
    end.

    Args:
        pieces: how many it has.
        at: which connection closes it: 0 is its start, after the last joint comes its end.

    Returns:
        Their numbers along the run, from 1.
    """
    return (*range(1, at + 1), *range(pieces, at, -1))


@dataclass(frozen=True, slots=True)
class Hanging:
    """A parted run as it goes together: ``at`` the connection that is closed last."""

    parted: RunToPart
    joints: Sequence[Joint]
    taken: WayToGetIn | None

    @property
    def pieces(self) -> int:
        """How many it has."""
        return len(self.joints) + 1

    @property
    def at(self) -> int:
        """The last connection to be made: the run's end where nothing says another."""
        return self.taken.offer.at if self.taken else self.pieces

    def steps(self) -> dict[int, tuple[Step, ...]]:
        """What is done to join each piece, by its number; the steps are not numbered yet.

        Returns:
            By the piece's number, in the order that they are done.
        """
        return {number: tuple(self._of(number)) for number in range(1, self.pieces + 1)}

    def _of(self, number: int) -> Iterator[Step]:
        at_end = number > self.at
        turn = self._turn(number)
        if turn:
            yield from self._made_room(turn.turned)
        connection = number if at_end else number - 1
        if connection in (0, self.pieces):
            yield from self._into_fitting(number, at_end, turn)
        else:
            other = number + 1 if at_end else number - 1
            yield self._joined(number, other, self.joints[connection - 1], turn)
        if number == self._closes_at_end:
            yield from self._closed_at_end()
        elif number == self.at + 1 and 0 < self.at < self.pieces:
            yield self._closed_at(self.joints[self.at - 1])

    @property
    def _closes_at_end(self) -> int:
        """The piece at the end where the run is closed; 0 where that is at a joint."""
        return {0: 1, self.pieces: self.pieces}.get(self.at, 0)

    def _turn(self, number: int) -> TurnOfPiece | None:
        turns = self.taken.turns if self.taken else ()
        return next((turn for turn in turns if turn.piece == number), None)

    def _made_room(self, turned: Turned) -> Iterator[Step]:
        """What is done first so that it can be turned."""
        if not turned.lift or not turned.works:
            return
        if math.isinf(turned.lift):
            key, values = "away", {}
        else:
            words = self.parted.run.lengths
            key = "lift"
            values = {"lift": words.needed(turned.lift), "over": words.needed(turned.over)}
        yield _step(
            f"step/{key}", Phrase(f"step/{key}-do", values), "check/clears", "caution/lifting"
        )

    def _into_fitting(self, number: int, at_end: bool, turn: TurnOfPiece | None) -> Iterator[Step]:
        fitting = fittings()[self.parted.end_fittings[1 if at_end else 0]]
        if not fitting.takes_thread or self.parted.run.conduit.joint != "threaded":
            return
        values: dict[str, Value] = {
            "piece": count(number),
            "fitting": fitting.term,
        }
        yield self._wound(Phrase("step/into-fitting", values), turn, Phrase("check/in-fitting"))

    def _joined(self, number: int, other: int, joint: Joint, turn: TurnOfPiece | None) -> Step:
        coupling = self._coupling(joint)
        values: dict[str, Value] = {
            "piece": count(number),
            "before": count(other),
            "coupling": coupling.of.name,
            "takes": self.parted.run.lengths.measured(coupling.takes),
            "least": count(coupling.of.turns[0]),
            "most": count(coupling.of.turns[1]),
        }
        if coupling.of.stands:
            return self._closed_at(joint)
        check = self._reads(joint)
        if coupling.of.threaded:
            return self._wound(Phrase("step/join-wind", values), turn, check)
        how = "glue" if "glued" in coupling.of.joints else "push"
        do = Phrase(f"step/join-{how}", values)
        return Step(0, Phrase("step/join"), do, check, Phrase(f"caution/join-{how}"), None)

    def _wound(self, do: Phrase, turn: TurnOfPiece | None, check: Phrase) -> Step:
        if turn:
            conduit, unit = self.parted.run.conduit, self.parted.run.unit
            pitch = float(convert(conduit.pitch, conduit.unit, unit))
            least, most = self.parted.coupling.of.turns
            values: dict[str, Value] = {
                "pitch": self.parted.run.lengths.pitch(pitch),
                "least": count(least),
                "most": count(most),
            }
            do = in_turn(do, Phrase("step/face", values))
        return Step(0, Phrase("step/join"), do, check, Phrase("caution/join-wind"), None)

    def _closed_at(self, joint: Joint) -> Step:
        """A joint that is closed while both of its sides stand still."""
        coupling = self._coupling(joint)
        values: dict[str, Value] = {
            "piece": count(joint.number + 1),
            "before": count(joint.number),
            "takes": self.parted.run.lengths.measured(coupling.takes),
            "open": self.parted.run.lengths.measured(coupling.open),
        }
        do = Phrase(f"step/close-{coupling.of.kind}", values)
        caution = Phrase("caution/join-wind")
        return Step(0, Phrase("step/close"), do, self._reads(joint), caution, None)

    def _reads(self, joint: Joint) -> Phrase:
        """What the tape has to read once it is joined."""
        at = self.parted.run.lengths.measured(joint.at)
        return Phrase("check/joined", {"leg": count(joint.leg), "at": at})

    def _closed_at_end(self) -> Iterator[Step]:
        """What closes the run at its start or its end."""
        taken = self.taken
        if taken is None or taken.offer.by == "last-piece":
            return
        if taken.box:
            yield from self._made_room(taken.box)
        yield _step(
            "step/close",
            Phrase(f"step/close-{taken.offer.by}"),
            "check/in-fitting",
            "caution/join-wind",
        )

    def _coupling(self, joint: Joint) -> Coupling:
        run = self.parted.run
        return couplings()[joint.coupling].on(run.conduit, run.unit)


def _step(title: str, do: Phrase, check: str, caution: str) -> Step:
    return Step(0, Phrase(title), do, Phrase(check), Phrase(caution), None)
