"""The walls between crews: every route, with and without the right."""

from __future__ import annotations

from typing import Any, ClassVar

from django.test import Client

import yarrow
from accounts.models import EntryLink
from api.api import api
from exports.dxf import plan_dxf
from exports.site_dxf import site_dxf
from jobs.models import SitePicture
from jobs.policy import NamedInJob
from jobs.sites import add_picture
from long_work.services import ask, work
from server.tests.people import BENDER, DOCUMENT, CrewTest, a_picture, archive, packed
from server.tests.test_kinds import SAMPLES
from versions.kinds import SavedKind, every_kind

ARCHIVE = packed(archive(DOCUMENT))
DXF = plan_dxf(yarrow.plan.values(DOCUMENT)).decode()

FILL = {
    "format": "yarrow.fill/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "conductors": [{"count": 9, "insulation": "thhn", "size": "12"}],
}
PULL_BOX = {
    "format": "yarrow.pullbox/1",
    "units": "in",
    "entries": [{"id": "A", "wall": "left", "size": "3"}],
}
ENTRIES = {
    "format": "yarrow.entries/1",
    "units": "in",
    "box": {"width": 4, "height": 4, "depth": 2},
    "entries": [{"id": "A", "wall": "left", "at": 2, "deep": 1, "size": "1/2"}],
}
SCHEDULE = b"name,type,size,wires\nDrop to the still,emt,1/2,9 x 12 thhn"
FRAMED = {
    "format": "yarrow.wall/1",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
    "length": 120,
    "height": 96,
    "studs": {},
    "boxes": [{"name": "Board", "stud": 2, "height": 60}],
    "lines": [],
}
DUCTS = {"format": "yarrow.site/1", "units": "mm", "places": [], "trenches": []}
SITE_DXF = site_dxf(DUCTS, yarrow.site.values(DUCTS)).decode()
FITTINGS = {"format": "yarrow.fittings/1"}
STOCK = {"format": "yarrow.jobstock/1", "units": "in"}
CAME_OUT = {"format": "yarrow.bench/1", "units": "in", "made": [{"bend": 0, "angle": 89}]}
PICTURE = a_picture()
SITE_BOX = {"format": "yarrow.sitebox/1", "name": "Panel", "units": "in"}

# (method, path) → body and what the right member gets. {job}, {run} and {version} are filled in.
OPEN = {
    ("get", "/api/session"),
    ("post", "/api/session"),
    ("post", "/api/session/passkey"),
    ("put", "/api/session/passkey"),
    ("post", "/api/link"),
    ("post", "/api/link/join"),
    ("post", "/api/link/password"),
}
FOR_ANY_MEMBER: dict[tuple[str, str], Any] = {
    ("get", "/api/jobs"): (None, 200),
    ("post", "/api/jobs"): ({"name": "New", "units": "mm"}, 201),
    ("post", "/api/jobs/archive"): (ARCHIVE, 201),
    ("post", "/api/jobs/archive/progress"): (ARCHIVE, 200),
    ("post", "/api/plan"): (DOCUMENT, 200),
    ("post", "/api/recalibrated"): (
        {"document": DOCUMENT, "bender": {"kind": "hand", "take_up": 5, "radius": 4.5}},
        200,
    ),
    ("post", "/api/bench"): ({"document": DOCUMENT, "came_out": CAME_OUT}, 200),
    ("post", "/api/bench/fit"): ({"document": DOCUMENT, "came_out": CAME_OUT}, 200),
    ("post", "/api/rack"): (DOCUMENT, 200),
    ("post", "/api/pieces"): (DOCUMENT, 200),
    ("post", "/api/plan-in-pieces"): (DOCUMENT, 200),
    ("post", "/api/work"): (DOCUMENT, 200),
    ("post", "/api/wall"): (FRAMED, 200),
    ("post", "/api/site"): (DUCTS, 200),
    ("post", "/api/site/dxf"): ({"dxf": SITE_DXF}, 200),
    ("post", "/api/site/geojson"): ({"type": "FeatureCollection", "features": []}, 200),
    ("get", "/api/fittings"): (None, 200),
    ("put", "/api/fittings"): ({"document": FITTINGS, "base_version": 0}, 200),
    ("get", "/api/fittings/revisions"): (None, 200),
    ("post", "/api/fittings/revisions/{version}/restore"): ({"base_version": 1}, 200),
    ("post", "/api/handle"): (DOCUMENT, 200),
    ("post", "/api/convert"): ({"document": DOCUMENT, "to": "mm"}, 200),
    ("post", "/api/dxf"): ({"dxf": DXF, "into": "in"}, 200),
    ("post", "/api/fill"): (FILL, 200),
    ("post", "/api/box"): ({"format": "yarrow.box/1", "box": "square-4-1-1/2"}, 200),
    ("post", "/api/pullbox"): (PULL_BOX, 200),
    ("post", "/api/entries"): (ENTRIES, 200),
    ("post", "/api/wires"): ({"text": "9 x 12 thhn", "units": "in"}, 200),
    ("post", "/api/schedule?units=in"): (b"name,type,size,wires\na,emt,1/2,9 x 12", 200),
    ("post", "/api/fold"): (
        {"format": "yarrow.bends/1", "units": "in", "radius": 4, "cut_length": 60, "bends": []},
        200,
    ),
    ("get", "/api/catalogue"): (None, 200),
    ("post", "/api/line"): ({"text": "left 60", "units": "in"}, 200),
    ("post", "/api/quick"): (
        {
            "format": "yarrow.quick/1",
            "units": "in",
            "said": "stub 18",
            "conduit": {"type": "emt", "size": "1/2"},
            "bender": "hand-emt-1/2",
        },
        200,
    ),
    ("get", "/api/nothing"): (None, 200),
    ("get", "/api/gauge"): (None, 200),
    ("post", "/api/gauge/pairing"): ({"code": "482913"}, 404),
    ("get", "/api/benders"): (None, 200),
    ("post", "/api/benders"): (BENDER, 201),
    ("get", "/api/benders/removed"): (None, 200),
    ("post", "/api/bender"): (BENDER, 200),
    ("post", "/api/session/passkeys"): ({"password": "kestrel-over-marsh"}, 201),
    ("put", "/api/session/passkeys"): ({"credential": {}}, 403),
    ("delete", "/api/session/passkeys/{passkey_id}"): ({"password": "kestrel-over-marsh"}, 404),
    ("get", "/api/session/second-factor"): (None, 200),
    ("post", "/api/session/second-factor"): ({"password": "kestrel-over-marsh"}, 201),
    ("put", "/api/session/second-factor"): ({"code": "123456"}, 403),
    ("delete", "/api/session/second-factor"): ({"password": "kestrel-over-marsh"}, 200),
    ("put", "/api/session/password"): (
        {"current": "kestrel-over-marsh", "new": "sedge-warbler-9"},
        200,
    ),
    ("get", "/api/crew"): (None, 200),
    ("get", "/api/sessions"): (None, 200),
    ("get", "/api/session/data"): (None, 200),
    ("delete", "/api/sessions"): (None, 200),
    ("delete", "/api/sessions/{name}"): (None, 404),
    ("delete", "/api/session"): (None, 200),
}
FOR_THE_LEAD: dict[tuple[str, str], Any] = {
    ("post", "/api/crew/invitations"): ({"role": "bender"}, 201),
    ("delete", "/api/crew/invitations/{link_id}"): (None, 200),
    ("get", "/api/crew/record"): (None, 200),
    ("put", "/api/crew/members/{member_id}"): ({"role": "bender"}, 200),
    ("post", "/api/crew/members/{member_id}/password-link"): (None, 201),
    ("delete", "/api/crew/members/{member_id}/second-factor"): (None, 200),
    ("delete", "/api/crew/members/{member_id}"): (None, 200),
    ("post", "/api/crew/members/{member_id}/bring-back"): (None, 200),
}
FOR_THE_CREW: dict[tuple[str, str], Any] = {
    ("get", "/api/jobs/{job_id}"): (None, 200),
    ("put", "/api/jobs/{job_id}"): ({"name": "Renamed"}, 200),
    ("get", "/api/jobs/{job_id}/archive"): (None, 200),
    ("get", "/api/walls/{wall_id}/runs"): (None, 200),
    ("get", "/api/walls/{wall_id}/sheet.svg"): (None, 200),
    ("get", "/api/walls/{wall_id}/sheet.pdf"): (None, 200),
    ("post", "/api/sites/{site_id}/picture"): (PICTURE, 201),
    ("get", "/api/sites/{site_id}/pictures/{key}"): (None, 200),
    ("get", "/api/sites/{site_id}/plan.geojson"): (None, 200),
    ("get", "/api/sites/{site_id}/plan.dxf"): (None, 200),
    ("get", "/api/sites/{site_id}/sheet.svg"): (None, 200),
    ("get", "/api/sites/{site_id}/sheet.pdf"): (None, 200),
    ("get", "/api/sites/{site_id}/quantities.csv"): (None, 200),
    ("post", "/api/jobs/{job_id}/cuts"): ({"document": STOCK}, 200),
    ("get", "/api/jobs/{job_id}/work"): (None, 200),
    ("post", "/api/jobs/{job_id}/work"): ({"work": {"kind": "archive"}}, 202),
    ("get", "/api/work/{work_id}"): (None, 200),
    ("get", "/api/work/{work_id}/changes"): (None, 200),
    ("get", "/api/work/{work_id}/file"): (None, 200),
    ("post", "/api/work/{work_id}/stop"): (None, 200),
    ("get", "/api/jobs/{job_id}/stock"): (None, 200),
    ("put", "/api/jobs/{job_id}/stock"): ({"document": STOCK, "base_version": 0}, 200),
    ("post", "/api/jobs/{job_id}/stock/cut"): ({"document": STOCK, "base_version": 1}, 200),
    ("get", "/api/jobs/{job_id}/stock/revisions"): (None, 200),
    ("post", "/api/jobs/{job_id}/stock/revisions/{version}/restore"): ({"base_version": 2}, 200),
    ("get", "/api/jobs/{job_id}/materials.csv"): (None, 200),
    ("post", "/api/jobs/{job_id}/runs"): (DOCUMENT, 201),
    ("get", "/api/jobs/{job_id}/runs"): (None, 200),
    ("get", "/api/jobs/{job_id}/schedule.csv"): (None, 200),
    ("post", "/api/jobs/{job_id}/schedule"): (SCHEDULE, 200),
    ("get", "/api/jobs/{job_id}/boxes"): (None, 200),
    ("get", "/api/jobs/{job_id}/box?name=Panel"): (None, 200),
    ("post", "/api/jobs/{job_id}/box/check"): (SITE_BOX, 200),
    ("put", "/api/jobs/{job_id}/box"): ({"document": SITE_BOX, "base_version": 0}, 200),
    ("get", "/api/jobs/{job_id}/box/revisions?name=Panel"): (None, 200),
    ("post", "/api/jobs/{job_id}/box/revisions/{version}/restore?name=Panel"): (
        {"base_version": 1},
        200,
    ),
    ("delete", "/api/jobs/{job_id}/box?name=Panel"): (None, 200),
    ("post", "/api/jobs/{job_id}/box/bring-back?name=Panel"): (None, 200),
    ("get", "/api/jobs/{job_id}/removed"): (None, 200),
    ("get", "/api/runs/{run_id}"): (None, 200),
    ("put", "/api/runs/{run_id}"): ({"document": DOCUMENT, "base_version": 1}, 200),
    ("get", "/api/runs/{run_id}/revisions"): (None, 200),
    ("get", "/api/runs/{run_id}/revisions/{version}"): (None, 200),
    ("post", "/api/runs/{run_id}/revisions/{version}/restore"): ({"base_version": 1}, 200),
    ("get", "/api/runs/{run_id}/file"): (None, 200),
    ("get", "/api/runs/{run_id}/sheet.svg"): (None, 200),
    ("get", "/api/runs/{run_id}/sheet.pdf"): (None, 200),
    ("get", "/api/runs/{run_id}/stick.svg"): (None, 200),
    ("get", "/api/runs/{run_id}/bends.csv"): (None, 200),
    ("get", "/api/runs/{run_id}/drawing.dxf"): (None, 200),
    ("put", "/api/runs/{run_id}/stage"): ({"stage": "ready"}, 200),
    ("post", "/api/runs/{run_id}/move?job_id={job_id}"): (None, 200),
    ("post", "/api/runs/{run_id}/duplicate"): (None, 201),
    ("post", "/api/runs/{run_id}/bring-back"): (None, 200),
    ("delete", "/api/runs/{run_id}"): (None, 200),
    ("get", "/api/runs/{run_id}/could-become?straight_mm=900"): (None, 200),
    ("get", "/api/runs/{run_id}/bench/{piece}"): (None, 200),
    ("get", "/api/runs/{run_id}/bench/{piece}/revisions"): (None, 200),
    ("post", "/api/runs/{run_id}/bench/{piece}/revisions/{version}/restore"): (
        {"base_version": 1},
        200,
    ),
    ("put", "/api/runs/{run_id}/bench/{piece}"): (
        {"document": CAME_OUT, "base_version": 0},
        200,
    ),
    ("post", "/api/benders/{bender_id}/bends"): ({"bends": [{"mark": 13, "stub": 18}]}, 200),
    ("put", "/api/benders/{bender_id}"): ({"document": BENDER, "base_version": 1}, 200),
    ("get", "/api/benders/{bender_id}/revisions"): (None, 200),
    ("post", "/api/benders/{bender_id}/revisions/{version}/restore"): ({"base_version": 1}, 200),
    ("delete", "/api/benders/{bender_id}"): (None, 200),
    ("post", "/api/benders/{bender_id}/bring-back"): (None, 200),
}


def plain_kinds() -> list[SavedKind[Any]]:
    """Those of a job that have the routes that all have."""
    return [kind for kind in every_kind() if isinstance(kind, NamedInJob)]


def routes_of(kind: SavedKind[Any]) -> dict[tuple[str, str], Any]:
    """Their routes as above; what takes one away comes last."""
    document = SAMPLES[kind.one].first
    there, one = f"/api/jobs/{{job_id}}/{kind.many}", f"/api/{kind.many}/{{{kind.one}_id}}"
    return {
        ("get", there): (None, 200),
        ("post", there): (document, 201),
        ("get", one): (None, 200),
        ("put", one): ({"document": document, "base_version": 1}, 200),
        ("get", f"{one}/revisions"): (None, 200),
        ("post", f"{one}/revisions/{{version}}/restore"): ({"base_version": 2}, 200),
        ("delete", one): (None, 200),
        ("post", f"{one}/bring-back"): (None, 200),
    }


for plain in plain_kinds():
    FOR_THE_CREW |= routes_of(plain)


class Walls(CrewTest):
    own: ClassVar[dict[str, int]]
    theirs: ClassVar[dict[str, int]]
    picture: SitePicture

    @classmethod
    def setUpTestData(cls) -> None:
        super().setUpTestData()
        documents = {kind: SAMPLES[kind.one].first for kind in plain_kinds()}
        cls.own, cls.theirs = (
            {f"{kind.one}_id": kind.create(who, job.id, documents[kind]).id for kind in documents}
            for who, job in ((cls.wren, cls.job), (cls.tern, cls.their_job))
        )
        for numbers, who, job in (
            (cls.own, cls.wren, cls.job),
            (cls.theirs, cls.tern, cls.their_job),
        ):
            numbers["work_id"] = ask(who, job.id, "archive", {}).pk
            work(numbers["work_id"])
        cls.picture = add_picture(cls.wren, cls.own["site_id"], PICTURE)

    def address(self, path: str, job_id: int, run_id: int, bender_id: int) -> str:
        return path.format(
            job_id=job_id,
            run_id=run_id,
            bender_id=bender_id,
            **(self.own if job_id == self.job.id else self.theirs),
            key=self.picture.key,
            version=1,
            piece=0,
            name="0" * 16,
            member_id=self.rook.id,
            link_id=1,
            passkey_id=1,
        )

    def test_every_route_has_a_row_here(self) -> None:
        contract = api.get_openapi_schema(path_prefix="/api/")
        routes = {
            (method, path) for path, methods in contract["paths"].items() for method in methods
        }
        listed = {
            (method, path.partition("?")[0])
            for method, path in {**FOR_ANY_MEMBER, **FOR_THE_CREW, **FOR_THE_LEAD}
        }
        self.assertEqual(routes, OPEN | listed)

    def test_what_is_the_crew_s_answers_its_members(self) -> None:
        named = {**DOCUMENT, "name": "Drop to the still"}
        self.send("post", f"/api/jobs/{self.job.id}/runs", named)
        for (method, path), (body, status) in FOR_THE_CREW.items():
            with self.subTest(method=method, path=path):
                run = self.fresh_run()
                address = self.address(path, self.job.id, run, self.fresh_bender())
                self.assertEqual(self.send(method, address, body).status_code, status)

    def fresh_run(self) -> int:
        made = self.send("post", f"/api/jobs/{self.job.id}/runs", DOCUMENT).json()["id"]
        begun = {"document": CAME_OUT, "base_version": 0}
        self.send("put", f"/api/runs/{made}/bench/0", begun)
        return int(made)

    def fresh_bender(self) -> int:
        return int(self.send("post", "/api/benders", BENDER).json()["id"])

    def test_what_is_another_crew_s_is_404_on_every_route(self) -> None:
        for (method, path), (body, _) in FOR_THE_CREW.items():
            with self.subTest(method=method, path=path):
                address = self.address(
                    path, self.their_job.id, self.their_run.id, self.their_bender.id
                )
                answer = self.send(method, address, body)
                self.assertEqual((answer.status_code, answer.json()["code"]), (404, "not-found"))
        self.their_run.refresh_from_db()
        self.assertEqual((self.their_run.version, self.their_run.removed_at), (1, None))

    def test_a_stranger_gets_401_on_every_route(self) -> None:
        rows = {**FOR_ANY_MEMBER, **FOR_THE_CREW, **FOR_THE_LEAD}
        for (method, path), (body, _) in rows.items():
            with self.subTest(method=method, path=path):
                address = self.address(path, self.job.id, self.run_.id, self.bender.id)
                answer = self.send(method, address, body, Client())
                self.assertEqual((answer.status_code, answer.json()["code"]), (401, "signed-out"))

    def test_members_have_what_is_for_any_member(self) -> None:
        for (method, path), (body, status) in FOR_ANY_MEMBER.items():
            with self.subTest(method=method, path=path):
                client = self.signed_in_as(self.rook)
                address = path.format(version=1, name="0" * 16, passkey_id=1)
                self.assertEqual(self.send(method, address, body, client).status_code, status)

    def test_a_lead_has_what_is_for_the_lead(self) -> None:
        for (method, path), (body, status) in FOR_THE_LEAD.items():
            with self.subTest(method=method, path=path):
                link = EntryLink.objects.order_by("-id").first()
                address = path.format(member_id=self.rook.id, link_id=link.id if link else 0)
                self.assertEqual(self.send(method, address, body).status_code, status)

    def test_lists_hold_the_crew_s_own_alone(self) -> None:
        names = [job["name"] for job in self.client.get("/api/jobs").json()]
        self.assertEqual(names, ["Saltmarsh"])

    def test_a_revision_of_another_run_is_not_restored(self) -> None:
        path = f"/api/runs/{self.run_.id}/revisions/7/restore"
        self.assertEqual(self.send("post", path, {"base_version": 1}).status_code, 404)

    def test_another_member_s_page_is_answered_as_signed_out(self) -> None:
        for meant, status in (("wren", 200), ("%77ren", 200), ("rook", 401), ("", 401)):
            with self.subTest(meant):
                answer = self.client.get("/api/jobs", headers={"X-Member": meant})
                self.assertEqual(answer.status_code, status)

    def test_changes_need_the_page_s_token(self) -> None:
        strict = Client(enforce_csrf_checks=True)
        strict.force_login(self.wren)
        for method, path, body in (
            ("post", "/api/plan", DOCUMENT),
            ("delete", f"/api/runs/{self.run_.id}", None),
            ("post", "/api/session", {"username": "wren", "password": "x"}),
        ):
            with self.subTest(path=path):
                answer = self.send(method, path, body, strict)
                told = (answer.status_code, answer.json()["code"])
                self.assertEqual(told, (403, "stale-token"))
        token = strict.get("/api/session").json()["csrf"]
        passed = strict.post(
            "/api/plan", DOCUMENT, content_type="application/json", headers={"X-CSRFToken": token}
        )
        self.assertEqual(passed.status_code, 200)
