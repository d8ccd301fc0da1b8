"""Asking the checks as a document does."""

from __future__ import annotations

from typing import Any

from yarrow.documents.boxes.reading import box_document
from yarrow.documents.fill.reading import fill_document
from yarrow.fill.boxes import BoxResult
from yarrow.fill.result import FillResult
from yarrow.findings.finding import Finding


def wire(count: int, size: str, insulation: str = "thhn") -> dict[str, Any]:
    return {"count": count, "insulation": insulation, "size": size}


def core(count: int, csa: float, build: str = "stranded") -> dict[str, Any]:
    return {"count": count, "csa": csa, "build": build}


def cable(count: int, diameter: object) -> dict[str, Any]:
    return {"count": count, "diameter": diameter}


def by_area(
    *conductors: dict[str, Any], size: str | None = "1/2", kind: str = "emt", **more: Any
) -> FillResult:
    conduit = {"type": kind, **({"size": size} if size else {})}
    return fill_document(
        {
            "format": "yarrow.fill/1",
            "method": "area",
            "units": "in",
            "conduit": conduit,
            "conductors": list(conductors),
            **more,
        }
    )


def by_factor(
    *conductors: dict[str, Any], size: str | None = "20", length: object = 4200, bends: int = 2
) -> FillResult:
    return fill_document(
        {
            "format": "yarrow.fill/1",
            "method": "factor",
            "units": "mm",
            "conduit": {"type": "steel", **({"size": size} if size else {})},
            "length": length,
            "bends": bends,
            "conductors": list(conductors),
        }
    )


def in_trunking(*conductors: dict[str, Any], **trunking: object) -> FillResult:
    return fill_document(
        {
            "format": "yarrow.fill/1",
            "units": "mm",
            "trunking": trunking,
            "conductors": list(conductors),
        }
    )


def a_box(box: object = "square-4-1-1/2", **what: Any) -> BoxResult:
    return box_document({"format": "yarrow.box/1", "box": box, **what})


def finding_in(result: Any, code: str) -> Finding:
    found: Finding = next(each for each in result.findings if each.code == code)
    return found


def codes_in(result: Any) -> list[str]:
    return [each.code for each in result.findings]
