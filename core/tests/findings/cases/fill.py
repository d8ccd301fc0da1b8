"""Of conduit and trunking that is filled."""

from __future__ import annotations

from typing import Any

from core.tests.fill.helpers import cable, core, wire
from core.tests.findings.cases.case import Case, Found
from yarrow.documents.fill.reading import fill_document


def fill_check(document: dict[str, Any]) -> Found:
    return lambda: fill_document(document).findings


def filled(**more: Any) -> Found:
    conduit = {"type": "emt", "size": "1/2"}
    return fill_check({"format": "yarrow.fill/1", "units": "in", "conduit": conduit, **more})


CASES: dict[str, Case] = {
    "beyond-the-table": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "conduit": {"type": "steel", "size": "25"},
                "length": 4000,
                "bends": 5,
                "conductors": [core(2, 2.5)],
            }
        ),
        "warning",
        "bends",
        None,
        (),
        "4 10",
        "Guidance to BS 7671: con",
        None,
    ),
    "does-not-fit": Case(
        filled(conductors=[wire(10, "12")]),
        "error",
        "conductors",
        None,
        (),
        "0.133 0.1216 109 3/4",
        "NFPA 70, chapter 9, tabl",
        ("conduit.size", "3/4"),
    ),
    "figure-to-check": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "method": "space",
                "trunking": {"width": 50, "height": 50},
                "conductors": [{**core(4, 2.5), "cover": "thermosetting"}],
            }
        ),
        "note",
        "conductors",
        None,
        (),
        "",
        "Guidance to BS 7671: con",
        None,
    ),
    "printed-factor": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "method": "space",
                "trunking": {"width": 50, "height": 50},
                "conductors": [core(4, 2.5)],
            }
        ),
        "note",
        "trunking",
        None,
        (),
        "50 50 45 50 50 1125",
        "Guidance to BS 7671: tru",
        None,
    ),
    "heat-is-separate": Case(
        filled(conductors=[wire(9, "12")]),
        "note",
        "",
        None,
        (),
        "9 70",
        "NFPA 70, table 310.15(C)",
        None,
    ),
    "inside-is-a-working-figure": Case(
        fill_check(
            {
                "format": "yarrow.fill/1",
                "units": "mm",
                "method": "area",
                "conduit": {"type": "steel", "size": "20"},
                "conductors": [core(2, 2.5)],
            }
        ),
        "note",
        "conduit.size",
        None,
        (),
        "20",
        "Yarrow's working figures",
        None,
    ),
    "may-jam": Case(
        filled(conduit={"type": "emt", "size": "2"}, conductors=[cable(3, 0.70)]),
        "warning",
        "conduit.size",
        None,
        (),
        "2.95 3.10 2.8 3.2",
        "NFPA 70, chapter 9, tabl",
        None,
    ),
    "not-a-nipple": Case(
        filled(conductors=[wire(2, "12")], nipple=True, length=30),
        "warning",
        "nipple",
        None,
        (),
        "24",
        "NFPA 70, chapter 9, note",
        None,
    ),
    "rounded-up": Case(
        filled(conductors=[wire(6, "8")], conduit={"type": "emt", "size": "3/4"}),
        "note",
        "conductors",
        None,
        (),
        "",
        "NFPA 70, chapter 9, note",
        None,
    ),
    "spare-not-kept": Case(
        filled(conductors=[wire(8, "12")], spare=25),
        "warning",
        "spare",
        None,
        (),
        "25 88 3/4",
        "NFPA 70, chapter 9, tabl",
        ("conduit.size", "3/4"),
    ),
    "tight": Case(
        filled(conductors=[wire(9, "12")]),
        "note",
        "conductors",
        None,
        (),
        "98",
        "Yarrow's working figure:",
        None,
    ),
    "wider-than-inside": Case(
        filled(conductors=[cable(1, 0.7)]), "error", "conductors[0]", None, (), "0.7 1/2", "", None
    ),
}
