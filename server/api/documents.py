"""The open documents as the contract has them: each is checked by the core."""

from __future__ import annotations

from typing import Annotated, Any

from pydantic import WithJsonSchema

from yarrow import FORMATS


def document_of(of: str) -> Any:
    """A document of a format, by its name, as the contract has it.

    Args:
        of: the format's name, without its version.

    Returns:
        A type of Pydantic's that takes any mapping.
    """
    row = FORMATS[of]
    where = {"x-document": row.schema, **({"x-part": row.part} if row.part else {})}
    return Annotated[dict[str, Any], WithJsonSchema(where)]


RunDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run"})]
"""A ``yarrow.run/1`` document. The core reads it; its schema stands in the contract."""
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
OwnBender = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "own_bender"})]
MeasuredBend = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "test_bend"})
]
SiteBoxDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "sitebox"})]
ConductorShape = Annotated[
    dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "conductor"})
]
LineDocument = Annotated[dict[str, Any], WithJsonSchema({"x-document": "run", "x-part": "line"})]
"""One line of a run document's walk."""
