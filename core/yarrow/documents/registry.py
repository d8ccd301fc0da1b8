"""The open formats, a row each: what a document of it is read by, and whether it has a unit."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, Final

from yarrow.by_name import function_named
from yarrow.documents.errors import DocumentError
from yarrow.documents.schema import newest_format, reader, schema
from yarrow.documents.unit import read_unit
from yarrow.values import dataclass


@dataclass(frozen=True, slots=True)
class Format:
    """A format that documents come in.

    Args:
        name: without ``yarrow.`` and its version.
        schema: the file among ``schemas`` that describes it, and the ``part`` of that, where it is
            one of its definitions.
        read_by: the room of ``documents`` and its function that reads one wholly, with all that it
            names looked up; empty, where its schema says all.
        converts: whether one can be written in the other unit.
    """

    name: str
    schema: str
    part: str = ""
    read_by: str = ""
    converts: bool = True

    @property
    def newest(self) -> str:
        """The format and version that is written today: ``yarrow.wall/1``."""
        return newest_format(self.schema, self.part) or f"yarrow.{self.name}/1"

    def read(self, document: object) -> Any:
        """A document as it is read.

        Args:
            document: of this format.

        Returns:
            What planning it begins with: frozen values, or by field where its schema says all.

        Raises:
            DocumentError.
        """
        if self.read_by:
            return function_named(f"documents.{self.read_by}")(document)
        root = schema(self.schema)
        fields = (root["$defs"][self.part] if self.part else root)["properties"]
        # Where nothing is a length, no unit is said.
        unit = read_unit(document) if "units" in fields else "in"
        return reader(self.schema, self.part)(document, "", unit)


FORMATS: Final = {
    row.name: row
    for row in (
        Format("run", "run", read_by="run.reading:read_run"),
        Format("quick", "run", "quick_file", converts=False),
        Format("wall", "wall", read_by="wall.reading:read_framed_wall", converts=False),
        Format("site", "site", read_by="site.reading:read_site", converts=False),
        Format("sitebox", "sitebox", read_by="boxes.sitebox:read_site_box"),
        Format("box", "box", read_by="boxes.reading:read_box", converts=False),
        Format("pullbox", "pullbox"),
        Format("entries", "entries"),
        Format("fill", "run", "fill_file"),
        Format("bends", "bends"),
        Format("bender", "run", "bender_file", "bender.reading:bender_numbers"),
        Format("fittings", "fittings", read_by="fittings.reading:read_fittings", converts=False),
        Format("bench", "bench", converts=False),
        Format("stock", "stock"),
        Format("jobstock", "jobstock", read_by="jobstock.in_hand:read_job_stock", converts=False),
    )
}


def read(document: object, of: str) -> Any:
    """A document as it is read, with all that it names looked up.

    Args:
        document: of that format.
        of: the format's name: one of ``FORMATS``.

    Returns:
        What planning it begins with: frozen values.

    Raises:
        DocumentError; KeyError, for a name that is none.
    """
    return FORMATS[of].read(document)


def format_name(said: object) -> str:
    """The name of a format, as a row has it: ``wall`` of ``yarrow.wall/1``.

    Args:
        said: what a document has as its ``format``.

    Returns:
        Empty where nothing was said.
    """
    return str(said).partition("/")[0].removeprefix("yarrow.")


def format_of(document: object, wanted: Callable[[Format], bool]) -> Format:
    """The format that a document says it is of, among those that are wanted.

    Args:
        document: as JSON gives it.
        wanted: which formats will do.

    Raises:
        DocumentError.
    """
    said = document.get("format") if isinstance(document, dict) else None
    row = FORMATS.get(format_name(said))
    if row is None or not wanted(row) or not str(said).startswith("yarrow."):
        known = ", ".join(one.newest for one in FORMATS.values() if wanted(one))
        raise DocumentError("format", f"one of {known}")
    return row
