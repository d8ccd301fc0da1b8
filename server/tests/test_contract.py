"""The contract: what it says is what is answered, for any input that a machine can think of."""

from __future__ import annotations

import json
from io import StringIO
from pathlib import Path
from typing import Any

import jsonschema
import schemathesis
from django.core.management import call_command
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from server.tests.people import DOCUMENT, CrewTest
from yarrow.documents.schema import schema

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

    def test_plans_are_what_their_schema_says(self) -> None:
        plan = self.send("post", "/api/plan", DOCUMENT).json()
        jsonschema.validate(plan, schema("plan"))
        answered = contract()["components"]
        jsonschema.validate(plan, {"$ref": "#/components/schemas/Plan", "components": answered})

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
        @settings(deadline=None, suppress_health_check=list(HealthCheck))
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


def _encoded(body: Any) -> str | bytes | None:
    return body if body is None or isinstance(body, bytes) else json.dumps(body)


schemathesis.openapi.media_type("application/zip", st.binary(max_size=400))
_SCHEMA = schemathesis.openapi.from_dict(contract())
