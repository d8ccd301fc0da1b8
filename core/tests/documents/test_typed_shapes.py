"""The documents as a type checker knows them are those that the schemas describe."""

from __future__ import annotations

import unittest

import yarrow
from core.tests.documents.typed_shapes import SHAPES, written


class TypedShapes(unittest.TestCase):
    def test_they_are_made_from_the_schemas_of_today(self) -> None:
        self.assertEqual(SHAPES.read_text("utf-8"), written(), "write it anew: ./yarrow contract")

    def test_every_format_has_its_document_at_the_door(self) -> None:
        for name, row in yarrow.FORMATS.items():
            with self.subTest(name):
                shape = getattr(yarrow, f"{name.capitalize()}Document")
                schema = yarrow.schema(row.schema)
                whole = schema["$defs"][row.part] if row.part else schema
                self.assertEqual(set(shape.__annotations__), set(whole["properties"]))

    def test_what_has_to_be_there_is_asked_for_and_no_more(self) -> None:
        self.assertEqual(
            yarrow.RunDocument.__required_keys__, {"format", "units", "conduit", "bender"}
        )
        self.assertEqual(yarrow.SiteDocument.__optional_keys__ & {"name"}, {"name"})


if __name__ == "__main__":
    unittest.main()
