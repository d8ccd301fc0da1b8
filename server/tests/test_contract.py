"""The contract: what it says is what is answered, for any input that a machine can think of."""

from __future__ import annotations

import json
from io import StringIO
from pathlib import Path
from typing import Any

import jsonschema
import schemathesis
from django.core.management import call_command
from hypothesis import HealthCheck, given, seed, settings
from hypothesis import strategies as st

from core.tests.builders import end, offset, run
from core.tests.fill.test_absurd_checks import BOX, FILL, HOLES, PULL_BOX
from core.tests.test_public_door import BENDS
from jobs.demo import JOBS
from server.tests.people import BENDER, DOCUMENT, CrewTest
from yarrow.documents.schema import schema

DEMO = [each for crew in JOBS.values() for job in crew for each in job["runs"]]
CONTRACT = Path(__file__).resolve().parent.parent.parent / "contracts" / "openapi.json"


def contract() -> dict[str, Any]:
    document: dict[str, Any] = json.loads(CONTRACT.read_text())
    return document


class Answers(CrewTest):
    def test_the_committed_contract_is_the_api_s_own(self) -> None:
        told = StringIO()
        call_command("contract", stdout=told)
        # Not so? ./yarrow contract writes both it and the page's types anew.
        self.assertEqual(CONTRACT.read_text(), told.getvalue())

    def test_every_route_declares_a_problem_and_names_its_operation(self) -> None:
        for path, methods in contract()["paths"].items():
            for method, operation in methods.items():
                with self.subTest(path=path, method=method):
                    self.assertTrue(operation["operationId"])
                    self.assertLessEqual({"401", "404", "422"}, operation["responses"].keys())

    def test_a_plan_is_what_its_schema_says(self) -> None:
        plan = self.send("post", "/api/plan", DOCUMENT).json()
        jsonschema.validate(plan, schema("plan"))

    def test_every_answer_of_the_core_is_what_the_contract_says(self) -> None:
        bank = next(each for each in DEMO if "rack" in each)
        wired = next(each for each in DEMO if "wires" in each)
        text = {"text": "4 x 12 thhn", "units": "in"}
        asked: list[tuple[str, dict[str, Any]]] = [
            *(("plan", each) for each in (*DEMO, run(offset(10, "1"), end(40)))),
            *(("handle", each) for each in (DOCUMENT, wired)),
            *(("rack", each) for each in (bank, DOCUMENT)),
            ("fold", BENDS),
            ("convert", {"document": DOCUMENT, "to": "mm"}),
            ("pieces", DOCUMENT),
            ("work", {**DOCUMENT, "done": ["0-measure-00000000"]}),
            ("pieces", {**DOCUMENT, "joints": {"stick": 60}}),
            ("handle?piece=1", {**DOCUMENT, "joints": {}}),
            ("line", {"text": "offset 4 at 30", "units": "in"}),
            ("line", {"text": "of", "units": "in"}),
            ("wires", text),
            ("fill", FILL),
            ("box", BOX),
            ("pullbox", PULL_BOX),
            ("entries", HOLES),
            ("bender", BENDER),
        ]
        for path, body in asked:
            with self.subTest(path=path):
                answer = self.send("post", f"/api/{path}", body)
                self.assertEqual(answer.status_code, 200, answer.content)
                self.as_declared(f"/api/{path.partition('?')[0]}", "post", answer.json())
        self.as_declared("/api/catalogue", "get", self.client.get("/api/catalogue").json())

    def as_declared(self, path: str, method: str, answer: object) -> None:
        """By a full validator; a field that the contract does not have is none of the contract."""
        declared = contract()["paths"][path][method]["responses"]["200"]["content"]
        node = declared["application/json"]["schema"]
        jsonschema.validate(answer, {**node, "components": _closed(contract()["components"])})

    def test_every_refusal_names_its_field(self) -> None:
        walk = DOCUMENT["walk"]
        cases = {
            "units": {**DOCUMENT, "units": "ft"},
            "walk[0].rise": {**DOCUMENT, "walk": [{**walk[0], "rise": "tall"}, *walk[1:]]},
            "walk[0].colour": {**DOCUMENT, "walk": [{**walk[0], "colour": 1}, *walk[1:]]},
            "walk[1].angle": {**DOCUMENT, "walk": [walk[0], {**walk[1], "angle": 170}, walk[2]]},
            "conduit.size": {**DOCUMENT, "conduit": {"type": "emt", "size": "7"}},
            "document": [],
        }
        for path, body in cases.items():
            with self.subTest(path=path):
                answer = self.send("post", "/api/plan", body)
                self.assertEqual(answer.status_code, 422)
                self.assertEqual(answer.json()["errors"][0]["path"], path)

    def test_what_is_not_json_is_refused_the_same_way(self) -> None:
        for body in ("{", "[" * 100_000, '{"a": NaN}', '{"a": Infinity}', b"\xff\xfe", ""):
            with self.subTest(body=body[:10]):
                answer = self.send("post", "/api/plan", body)
                self.assertEqual((answer.status_code, answer.json()["code"]), (422, "unreadable"))

    def test_addresses_that_lead_nowhere_are_problems_too(self) -> None:
        nowhere = self.client.get("/api/nowhere")
        self.assertEqual((nowhere.status_code, nowhere.json()["code"]), (404, "not-found"))
        self.assertEqual(self.client.get(f"/api/runs/{2**70}").status_code, 422)


class Fuzz(CrewTest):
    """schemathesis over the whole contract: no answer but those that are declared."""

    def test_any_request_gets_a_declared_answer(self) -> None:
        # The same requests each time: what fails here fails for whoever looks into it.
        @seed(2026)
        @settings(suppress_health_check=list(HealthCheck))
        @given(st.data())
        def ask(data: Any) -> None:
            case = data.draw(operations, label="case")
            known = dict | list | str | int | float | bytes
            body = case.body if isinstance(case.body, known) else None
            answer = self.send(case.method, case.formatted_path, _encoded(body))
            declared = case.operation.definition.raw["responses"].keys()
            asked = f"{case.method} {case.formatted_path}"
            self.assertIn(str(answer.status_code), declared, asked)
            if answer.status_code >= 400:
                self.assertTrue(answer.json()["code"])

        found = [result.ok() for result in _SCHEMA.get_all_operations()]
        # Signing in or out would let every later request off.
        asked = [op for op in found if op.method == "get" or op.path != "/api/session"]
        operations = st.one_of([operation.as_strategy() for operation in asked])
        ask()


def _closed(node: Any) -> Any:
    """A schema that takes no field but those that it names."""
    if isinstance(node, list):
        return [_closed(each) for each in node]
    if not isinstance(node, dict):
        return node
    shut = {"additionalProperties": False} if isinstance(node.get("properties"), dict) else {}
    return {**shut, **{key: _closed(each) for key, each in node.items()}}


def _encoded(body: Any) -> str | bytes | None:
    return body if body is None or isinstance(body, bytes) else json.dumps(body)


schemathesis.openapi.media_type("application/zip", st.binary(max_size=400))
_SCHEMA = schemathesis.openapi.from_dict(contract())
