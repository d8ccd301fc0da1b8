"""What a run takes: sticks, couplings, what is at its ends, straps, and what cut threads want."""

from __future__ import annotations

from collections import Counter

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.fittings import Fitting, fittings
from yarrow.catalog.tables import Conduit
from yarrow.pieces.piece_plan import Joint, Material, PieceOfRun, Supports
from yarrow.pieces.places import RunToPart
from yarrow.wording.phrase import Phrase, Term, Value


def _brought(fitting: Fitting, conduit: Conduit) -> Counter[Term | str]:
    """What is brought for a fitting, by its names."""
    result: Counter[Term | str] = Counter()
    if not fitting.brings:
        result[fitting.term] += 1
    for brought in fitting.brings:
        name: Term | str = brought.term
        if brought.coupling:
            usual = brought.coupling == "usual"
            name = couplings()[usual_coupling(conduit) if usual else brought.coupling].name
        result[name] += brought.count
    return result


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
        "stick": parted.run.lengths.measured(parted.stick),
        "conduit": run.conduit.name,
    }
    lines = [Material(Phrase("material/sticks", stick), len(pieces))]
    names: Counter[Term | str] = Counter(joint.coupling_name for joint in joints)
    end = parted.layout.pipe.end
    own = (run.start.own, end.own if end else "")
    for kind, mine in zip(ends, own, strict=True):
        if mine:
            names[mine] += 1
        elif kind != "open":
            names += _brought(fittings()[kind], run.conduit)
    for name, number in names.items():
        fitting: dict[str, Value] = {"what": name, "size": size}
        lines.append(Material(Phrase("material/sized", fitting), number))
    lines.append(Material(Phrase("material/straps", {"size": size}), len(supports.straps)))
    if threads:
        lines.append(Material(Phrase("material/zinc-and-oil"), 1))
    return tuple(line for line in lines if line.count)
