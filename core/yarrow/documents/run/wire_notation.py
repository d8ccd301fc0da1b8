"""Wire as it is said: ``9 x 12 thhn, 1 x 12 bare``, ``6 x 2.5, 3 x 1.5 solid``, ``1 x 0.43 in``."""

from __future__ import annotations

import re
from collections.abc import Sequence
from fractions import Fraction
from typing import Any

from yarrow.catalog.wiring import copper_kcmil, insulation_called, insulations
from yarrow.documents.errors import DocumentError
from yarrow.fill.conductor import Conductor
from yarrow.measure.units import Unit, other_unit

EXPECTED = {
    "in": "wire such as 9 x 12 thhn, 1 x 12 bare, or a cable such as 1 x 0.43 in",
    "mm": "wire such as 6 x 2.5, 3 x 1.5 solid, or a cable such as 1 x 11 mm",
}

_ITEM = re.compile(
    r"""^\s*(?:(?P<count>\d{1,9})\s*[x×*]\s*)?
    (?P<round>[⌀øØ]\s*)?[#]?
    (?P<figure>\d+/0|\d+(?:\.\d+)?|\.\d+)
    \s*(?P<rest>.*?)\s*$""",
    re.VERBOSE | re.IGNORECASE,
)

_ROLES = {
    "earth": "earth",
    "ground": "earth",
    "cpc": "earth",
    "neutral": "neutral",
    "traveller": "traveller",
}
_BUILDS = ("solid", "stranded")
_COVERS = ("thermoplastic", "thermosetting")
_IGNORED = ("awg", "kcmil", "mm2", "mm²", "sq", "cable", "dia")


def read_wire_text(text: str, unit: Unit, path: str = "typed") -> list[dict[str, Any]]:
    """Conductors in a document's shape from what was typed, items parted by commas, semicolons or
    plus signs; without a count there is one.

    Args:
        text: as typed.
        unit: ``in`` for AWG, ``mm`` for mm².
        path: of the text in its document.

    Returns:
        The ``conductors`` of a document, in the order that they were said.

    Raises:
        DocumentError at ``path``, which names the item that can't be read.
    """
    return [_item(item, unit, path) for item in re.split(r"[,;+\n]", text.strip()) if item.strip()]


def wires_in_other_unit(text: str, unit: Unit, path: str = "typed") -> str:
    """The same wire, said so that a document in the other unit reads the same conductors from it:
    as it was typed where that does, else with what was left out (``12`` is ``12 thhn``).

    Args:
        text: as typed.
        unit: of its document.
        path: of the text in it.

    Returns:
        To be typed as it is.

    Raises:
        DocumentError at ``path``, which names the item that can't be read.
    """
    wanted = read_wire_text(text, unit, path)
    try:
        if read_wire_text(text, other_unit(unit), path) == wanted:
            return text
    except DocumentError:
        pass  # said in a way that only this unit has
    return ", ".join(_item_text(item) for item in wanted)


def _item_text(item: dict[str, Any]) -> str:
    if "diameter" in item:
        kind = item["diameter"]
    elif "csa" in item:
        kind = f"{item['csa']:g} mm2 {item['build']} {item.get('cover', '')}".rstrip()
    else:
        kind = f"{item['size']} {item['insulation']}"
    return f"{item['count']} x {kind} {item.get('role', '')}".rstrip()


def _item(item: str, unit: Unit, path: str) -> dict[str, Any]:
    match = _ITEM.match(item)
    if match is None:
        raise _refused(item, unit, path)
    figure, rest = match["figure"], match["rest"].lower().split()
    wire: dict[str, Any] = {"count": int(match["count"] or 1)}
    for word in [word for word in rest if word in _ROLES]:
        wire["role"] = _ROLES[word]
        rest.remove(word)
    across = next((word for word in rest if word in ("in", "mm", '"')), None)
    if match["round"] or across:
        kept = {across, *_IGNORED}
        if any(word not in kept for word in rest):
            raise _refused(item, unit, path)
        return {**wire, "diameter": f"{figure} {'in' if across == chr(34) else across or unit}"}
    builds = [word for word in rest if word in _BUILDS]
    if "mm2" in rest or "mm²" in rest or builds or (unit == "mm" and not _insulation(rest)):
        if any(word not in (*_BUILDS, *_COVERS, *_IGNORED) for word in rest) or "/" in figure:
            raise _refused(item, unit, path)
        wire |= {"csa": float(figure), "build": builds[0] if builds else "stranded"}
        return {**wire, "cover": "thermosetting"} if "thermosetting" in rest else wire
    others = [word for word in rest if word not in _IGNORED and insulation_called(word) is None]
    if others or figure not in copper_kcmil():
        raise _refused(item, unit, path)
    return {**wire, "insulation": _insulation(rest) or next(iter(insulations())), "size": figure}


def _insulation(words: list[str]) -> str | None:
    return next((result for word in words if (result := insulation_called(word))), None)


def _refused(item: str, unit: Unit, path: str) -> DocumentError:
    shown = item.strip()[:30]
    instead = f', not "{shown}"' if shown.isprintable() else ""
    return DocumentError(path, EXPECTED[unit] + instead)


def wire_text(conductors: Sequence[Conductor]) -> str:
    """Conductors as they are said, so that read_wire_text reads the same from it; those that are
    alike in everything together.

    Returns:
        To be typed as it is.
    """
    counts: dict[str, int] = {}
    for conductor in conductors:
        kind = _kind_text(conductor)
        counts[kind] = counts.get(kind, 0) + conductor.count
    return "; ".join(f"{count} x {kind}" for kind, count in counts.items())


def _kind_text(conductor: Conductor) -> str:
    role = f" {conductor.role}" if conductor.role in ("earth", "neutral", "traveller") else ""
    if conductor.size is not None:
        role = "" if conductor.insulation == "bare" else role
        return f"{conductor.size} {conductor.insulation}{role}"
    if conductor.csa is not None:
        cover = " thermosetting" if conductor.cover == "thermosetting" else ""
        return f"{_figure_text(conductor.csa)} mm2 {conductor.build}{cover}{role}"
    return f"{_figure_text(conductor.diameter or Fraction(0))} {conductor.unit}{role}"


def _figure_text(value: Fraction) -> str:
    return f"{float(value):.6f}".rstrip("0").rstrip(".")
