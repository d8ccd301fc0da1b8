"""What a run takes: sticks, couplings, what is at its ends, straps, and what cut threads want."""

from __future__ import annotations

from collections import Counter

from yarrow.catalog.couplings import couplings, usual_coupling
from yarrow.catalog.fittings import Brought, Fitting, fittings
from yarrow.catalog.tables import Conduit
from yarrow.pieces.piece_plan import Joint, Material, PieceOfRun, Supports
from yarrow.pieces.places import RunToPart
from yarrow.wording.phrase import Phrase, Value, by_country


def _brought(fitting: Fitting, conduit: Conduit) -> Counter[tuple[str, str]]:
    """What is brought for a fitting, by its names in either country."""
    found: Counter[tuple[str, str]] = Counter()
    for each in fitting.brings or (Brought(name=fitting.name, name_uk=fitting.name_uk),):
        us, uk = each.name, each.name_uk or each.name
        if each.coupling:
            kind = usual_coupling(conduit) if each.coupling == "usual" else each.coupling
            us = uk = couplings()[kind].name
        found[us, uk] += each.count
    return found


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
    names = Counter((joint.coupling_name, joint.coupling_name) for joint in joints)
    end = parted.layout.pipe.end
    own = (run.start.own, end.own if end else "")
    for kind, mine in zip(ends, own, strict=True):
        if mine:
            names[mine, mine] += 1
        elif kind != "open":
            names += _brought(fittings()[kind], run.conduit)
    for (us, uk), number in names.items():
        fitting: dict[str, Value] = {"what": by_country(us, uk), "size": size}
        lines.append(Material(Phrase("material/sized", fitting), number))
    lines.append(Material(Phrase("material/straps", {"size": size}), len(supports.straps)))
    if threads:
        lines.append(Material(Phrase("material/zinc-and-oil"), 1))
    return tuple(line for line in lines if line.count)
