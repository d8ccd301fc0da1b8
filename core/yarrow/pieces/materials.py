"""What a run takes: sticks, couplings, what is at its ends, straps, and what cut threads want."""

from __future__ import annotations

from yarrow.catalog.fittings import fittings
from yarrow.pieces.piece_plan import Joint, Material, PieceOfRun, Supports
from yarrow.pieces.places import RunToPart
from yarrow.wording.phrase import Phrase, Value, by_country


def materials_of(
    parted: RunToPart,
    pieces: tuple[PieceOfRun, ...],
    joints: tuple[Joint, ...],
    supports: Supports,
) -> tuple[Material, ...]:
    """What to bring for a run, a line a kind.

    Args:
        parted: the run.
        pieces, joints, supports: of it.
    """
    run = parted.run
    ends = parted.end_fittings
    threads = sum(len(piece.threads) for piece in pieces)
    size = run.conduit.size
    stick: dict[str, Value] = {
        "stick": parted.words.measured(parted.stick),
        "conduit": run.conduit.name,
    }
    lines = [Material(Phrase("material/sticks", stick), len(pieces))]
    couplings = [joint.coupling_name for joint in joints]
    for coupling in dict.fromkeys(couplings):
        name = {"what": coupling, "size": size}
        lines.append(Material(Phrase("material/sized", name), couplings.count(coupling)))
    end = parted.layout.pipe.end
    own = (run.start.own, end.own if end else "")
    names = [
        (mine, mine) if mine else (fittings()[kind].name, fittings()[kind].british_name)
        for kind, mine in zip(ends, own, strict=True)
        if kind != "open" or mine
    ]
    for us, uk in dict.fromkeys(names):
        fitting: dict[str, Value] = {"what": by_country(us, uk), "size": size}
        lines.append(Material(Phrase("material/sized", fitting), names.count((us, uk))))
    lines.append(Material(Phrase("material/straps", {"size": size}), len(supports.straps)))
    if threads:
        lines.append(Material(Phrase("material/zinc-and-oil"), 1))
    return tuple(line for line in lines if line.count)
