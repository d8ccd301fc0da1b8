"""The shipped schemas: used by our reader, and held to a full validator."""

from __future__ import annotations

import copy
import dataclasses
import random
import unittest
from typing import Any

import jsonschema
from hypothesis import given
from hypothesis import strategies as st

from core.tests.builders import end as end_line
from core.tests.builders import metric, offset, run, turn
from core.tests.properties.strategies import json_junk, makeable_runs
from yarrow.documents.errors import DocumentError
from yarrow.documents.registry import Format
from yarrow.documents.run.reading import read_run
from yarrow.documents.schema import _compile, schema
from yarrow.features.registry import KINDS
from yarrow.obstacles.registry import OBSTACLES


def validates(document: object, name: str) -> bool:
    return jsonschema.Draft202012Validator(schema(name)).is_valid(document)


class AgainstAFullValidator(unittest.TestCase):
    def test_the_schemas_are_schemas(self) -> None:
        for name in ("run", "bends", "plan"):
            jsonschema.Draft202012Validator.check_schema(schema(name))

    @given(makeable_runs())
    def test_what_we_read_it_validates(self, document: dict[str, Any]) -> None:
        read_run(document)
        self.assertTrue(validates(document, "run"))

    @given(st.integers(0, 2**32), json_junk)
    def test_what_it_refuses_we_refuse(self, seed: int, junk: object) -> None:
        document: Any = copy.deepcopy(run(offset(40, 4), turn(60), end_line(30)))
        chance = random.Random(seed)
        place = chance.choice([document, document["conduit"], *document["walk"]])
        place[chance.choice([*place, "surplus"])] = junk
        if not validates(document, "run"):
            with self.assertRaises(DocumentError):
                read_run(document)

    def test_a_format_without_lengths_says_no_unit_and_one_with_them_does(self) -> None:
        plain = Format("fittings", "fittings").read({"format": "yarrow.fittings/1"})
        self.assertEqual(plain["fittings"], [])
        with self.assertRaises(DocumentError) as caught:
            Format("stock", "stock").read({"format": "yarrow.stock/1", "stick": 10, "pieces": []})
        self.assertEqual(caught.exception.path, "units")

    def test_a_keyword_that_we_would_not_check_is_an_error(self) -> None:
        node = {"type": "string", "pattern": "^a"}
        with self.assertRaises(ValueError):
            _compile(node, node)


class Reading(unittest.TestCase):
    def refused(self, document: object, path: str, expected: str = "") -> None:
        with self.assertRaises(DocumentError) as caught:
            read_run(document)
        self.assertEqual(caught.exception.path, path)
        self.assertIn(expected, caught.exception.expected)

    def test_every_kind_of_line_has_a_schema_and_the_same_fields(self) -> None:
        definitions = schema("run")["$defs"]
        listed = {ref["$ref"].rpartition("/")[2] for ref in definitions["line"]["oneOf"]}
        self.assertEqual(listed, set(KINDS) | set(OBSTACLES))
        # Read into other places: an offset's length to fit into leaves its angle to be chosen, and
        # where an end is fixed concerns the whole run.
        elsewhere = {"offset": {"within"}, "end": {"meet"}}
        for kind, line in {**KINDS, **OBSTACLES}.items():
            fields = set(definitions[kind]["properties"]) - {"kind"} - elsewhere.get(kind, set())
            named = {"measured_from" if field == "from" else field for field in fields}
            self.assertEqual(named, {field.name for field in dataclasses.fields(line)})

    def test_the_contract_s_refusals(self) -> None:
        good = run(offset(40, 4), end_line(60))
        first, last = good["walk"]
        self.refused({**good, "walk": []}, "walk", "at least 1 item")
        self.refused({**good, "walk": [first]}, "walk[0].kind", "end on the last line")
        self.refused({**good, "walk": [last, last]}, "walk[0].kind", "only on the last")
        self.refused({**good, "walk": [{**first, "rise": 0}, last]}, "walk[0].rise", "above 0")
        self.refused({**good, "walk": [{**first, "angle": 121}, last]}, "walk[0].angle", "1 to 120")
        self.refused({**good, "walk": [{**first, "angle": True}, last]}, "walk[0].angle")
        self.refused({**good, "walk": [{**first, "toward": "up"}, last]}, "walk[0].toward", "left")
        self.refused(
            {**good, "walk": [{"kind": "loop"}, last]}, "walk[0].kind", "one of offset, saddle3"
        )
        self.refused(
            {**good, "walk": [{**first, "hight": 3}, last]}, "walk[0].hight", "no such field"
        )
        self.refused({**good, "bender": "hand-emt-9"}, "bender", "hand-emt-1/2")
        self.refused({**good, "bender": 5}, "bender", "a bender of the catalogue")
        self.refused({**good, "bender": {"kind": "hand", "radius": 4}}, "bender.take_up", "missing")
        self.refused({**good, "conduit": {"type": "hose", "size": "1"}}, "conduit.type", "emt")
        self.refused({**good, "round_to": "1/7"}, "round_to", "1/8, 1/16, 1/32")
        self.refused({**metric(last), "round_to": "1/16"}, "round_to", "1")
        self.refused({**good, "path": [[0, 0, 0], [9, 0, 0]]}, "walk", "not both")
        self.refused({k: v for k, v in good.items() if k != "walk"}, "walk", "a walk or a path")
        self.refused({**good, "format": "yarrow.run/2"}, "format", "yarrow.run/1")
        self.refused({**good, "name": "a\x00b"}, "name")

    def test_worked_sums_are_kept_by_path(self) -> None:
        got = read_run(run(offset("52 3/4 - 2 7/8", 4), end_line("60 + 8")))
        self.assertEqual(
            [(sum_.path, sum_.text) for sum_ in got.setup.worked],
            [("walk[0].at", "52 3/4 - 2 7/8 = 49 7/8"), ("walk[1].at", "60 + 8 = 68")],
        )

    def test_trade_sizes_may_be_written_with_a_space(self) -> None:
        conduit = {"type": "emt", "size": "1 1/4"}
        got = read_run(run(end_line(60), conduit=conduit, bender="hand-emt-1-1/4"))
        self.assertEqual(got.setup.conduit.size, "1-1/4")
