"""The open documents as the contract has them: each is checked by the core."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import WithJsonSchema

from yarrow import FORMATS


def document_of(of: str) -> Any:
    """A document of a format, by its name, as the contract has it."""
    row = FORMATS[of]
    where = {"x-document": row.schema, **({"x-part": row.part} if row.part else {})}
    return Annotated[dict[str, Any], WithJsonSchema(where)]


RunDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run"})]
"""A ``yarrow.run/1`` document. The core reads it; its schema stands in the contract."""
WallDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "wall"})]
"""A ``yarrow.wall/1`` document, likewise."""
DuctsDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "site"})]
"""A ``yarrow.site/1`` document, likewise."""
CameOutDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "bench"})]
"""A ``yarrow.bench/1`` document, likewise."""
QuickDocument = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "quick_file"})
]
"""A ``yarrow.quick/1`` document."""
BenderDocument = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "bender_file"})
]
"""A ``yarrow.bender/1`` document, which is part of the run's schema."""
FillDocument = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "fill_file"})
]
"""A ``yarrow.fill/1`` document, whose parts a run has too."""
OwnBender = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "own_bender"})]
MeasuredBend = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "test_bend"})
]
BoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "box"})]
PullBoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "pullbox"})]
EntriesDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "entries"})]
SiteBoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "sitebox"})]
ConductorShape = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "conductor"})
]
LineDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "line"})]
"""One line of a run document's walk."""
