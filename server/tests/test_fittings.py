"""A crew's own fittings: one list, by version, and what a run says of one."""

from __future__ import annotations

from typing import Any

from server.tests.people import CrewTest

HUB = {"name": "Angle hub, cast", "like": "hub", "units": "in", "beyond": "5/8"}


def listed(*own: dict[str, Any]) -> dict[str, Any]:
    return {"format": "yarrow.fittings/1", "fittings": list(own)}


class OwnFittings(CrewTest):
    def save(self, version: int, *own: dict[str, Any]) -> Any:
        body = {"document": listed(*own), "base_version": version}
        return self.send("put", "/api/fittings", body)

    def test_they_are_kept_by_version_and_by_history(self) -> None:
        self.assertEqual(self.send("get", "/api/fittings").json()["version"], 0)
        self.assertEqual(self.save(0, HUB).json()["version"], 1)
        late = self.save(0)
        self.assertEqual(late.status_code, 409)
        self.assertIn("You saved this list of fittings in another tab", late.json()["message"])
        self.save(1)
        back = self.send("post", "/api/fittings/revisions/1/restore", {"base_version": 2}).json()
        self.assertEqual((back["version"], back["document"]), (3, listed(HUB)))

    def test_another_crew_has_its_own(self) -> None:
        self.save(0, HUB)
        self.client.force_login(self.tern)
        self.assertEqual(self.send("get", "/api/fittings").json()["version"], 0)

    def test_what_can_t_be_read_is_refused_at_its_place(self) -> None:
        for wrong, path in (
            ({**HUB, "name": "Deep", "beyond": "deep"}, "fittings[1].beyond"),
            ({**HUB, "name": "Gate hub", "like": "gate"}, "fittings[1].like"),
            (HUB, "fittings[1].name"),
            ({**HUB, "name": "  "}, "fittings[1].name"),
            ({**HUB, "units": "yd"}, "fittings[1].units"),
        ):
            with self.subTest(path):
                answer = self.save(0, HUB, wrong)
                self.assertEqual(answer.status_code, 422)
                self.assertEqual(answer.json()["errors"][0]["path"], path)
        metric = {**HUB, "name": "Metric", "units": "mm", "beyond": "-15"}
        self.assertEqual(self.save(0, HUB, metric).status_code, 200)

    def test_a_run_names_it_and_asks_for_it(self) -> None:
        document = {
            "format": "yarrow.run/1",
            "units": "in",
            "conduit": {"type": "rmc", "size": "3/4"},
            "bender": "ratchet-1",
            "start": {"kind": "hub", "allowance": "5/8", "own": "Angle hub, cast"},
            "walk": [{"kind": "end", "at": 60, "fitting": "hub"}],
        }
        answer = self.send("post", "/api/pieces", document).json()
        materials = {each["what"]: each["count"] for each in answer["materials"]}
        self.assertEqual(materials["Angle hub, cast, 3/4"], 1)
        self.assertEqual(materials["hub, 3/4"], 1)
