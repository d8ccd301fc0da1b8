"""Every kind of saved documents goes through everything: all that there are, and an example."""

from __future__ import annotations

import io
import sys
from collections.abc import Mapping
from types import MappingProxyType, ModuleType
from typing import Any, NamedTuple
from unittest import mock

from django.core.exceptions import ImproperlyConfigured, ObjectDoesNotExist
from django.core.management import CommandError, call_command
from django.db import connection
from django.test import override_settings
from django.urls import include, path

from accounts.models import Member
from api.api import add_plain_kind, new_api
from exports.job_archive import pack, unpack
from jobs.bringing_in import bring_in_job
from jobs.models import Job
from jobs.policy import NamedInJob
from server.tests.example_kind import FORMAT, SnagList, SnagLists
from server.tests.people import BENDER, DOCUMENT, CrewTest, changed
from versions import kinds
from versions.apps import every_model_has_its_kind
from versions.folders import Archive
from versions.kinds import SavedKind, every_folder, every_kind
from versions.models import Revision
from versions.services import VersionConflict
from yarrow import FORMATS, DocumentError, box_key

EXAMPLE = SnagLists()

WALL: dict[str, Any] = {
    "format": "yarrow.wall/1",
    "name": "Gable",
    "units": "in",
    "conduit": {"type": "emt", "size": "1/2"},
    "bender": "hand-emt-1/2",
    "length": 120,
    "height": 96,
    "studs": {},
    "boxes": [{"name": "Board", "stud": 2, "height": 60}],
    "lines": [],
}
SITE = {"format": "yarrow.site/1", "name": "Yard", "units": "mm", "places": [], "trenches": []}
FITTING = {"name": "Deep hub", "like": "connector", "units": "in", "beyond": "3/8"}


class Sample(NamedTuple):
    """Two documents of a kind, what one of it is known by beside its owner, and one that it can't
    read."""

    first: dict[str, Any]
    second: dict[str, Any]
    broken: dict[str, Any]
    known_by: Mapping[str, Any] = MappingProxyType({})


def of(name: str, first: dict[str, Any], second: dict[str, Any], **known_by: Any) -> Sample:
    document = {"format": f"yarrow.{name}/1", **first}
    return Sample(document, {**document, **second}, {**document, "beyond": 1}, known_by)


SAMPLES = {
    "run": Sample(DOCUMENT, changed(name="Second"), changed(method="guess")),
    "box": of(
        "sitebox",
        {"name": "Panel", "units": "in"},
        {"sides": {"width": 8, "height": 8, "depth": 4}},
        key=box_key("Panel"),
    ),
    "stock": of(
        "jobstock",
        {"units": "in"},
        {"offcuts": [{"type": "emt", "size": "1/2", "length": "40"}]},
    ),
    "site": of("site", SITE, {"name": "Yard and lane"}),
    "wall": of("wall", WALL, {"name": "North gable"}),
    "at_bench": of("bench", {"units": "in"}, {"made": [{"bend": 0, "angle": 89}]}, piece=0),
    "bender": Sample(
        BENDER,
        {**BENDER, "bender": {**BENDER["bender"], "name": "New shoe"}},
        {**BENDER, "bender": {"kind": "teeth"}},
    ),
    "fittings": of("fittings", {}, {"fittings": [FITTING]}),
    "snags": Sample(
        {"format": "yarrow.snags/1", "name": "Roof", "snags": []},
        {"format": "yarrow.snags/1", "name": "Roof", "snags": ["strap missing"]},
        {"format": "yarrow.snags/1", "name": "Roof", "snags": "none"},
    ),
}


class EveryKind(CrewTest):
    @classmethod
    def setUpTestData(cls) -> None:
        super().setUpTestData()
        with connection.schema_editor(atomic=False) as editor:
            editor.create_model(SnagList)

    def setUp(self) -> None:
        super().setUp()
        for known in (
            mock.patch.dict(FORMATS, {"snags": FORMAT}),
            mock.patch.object(kinds, "_KINDS", [*every_kind(), EXAMPLE]),
        ):
            known.start()
            self.addCleanup(known.stop)

    def owner_of(self, kind: SavedKind[Any], member: Member) -> int:
        ours = member.crew == self.wren.crew
        job, run = (self.job, self.run_) if ours else (self.their_job, self.their_run)
        return {"job": job.id, "run": run.id, "crew": member.crew_id}[kind.owner]

    def made(self, kind: SavedKind[Any], member: Member) -> Any:
        sample = SAMPLES[kind.one]
        owner = self.owner_of(kind, member)
        if sample.known_by or kind.most is None:
            return kind.put(member, owner, sample.first, 0, **sample.known_by)
        return kind.create(member, owner, sample.first)

    def test_there_is_a_sample_of_each(self) -> None:
        self.assertEqual(set(SAMPLES), {kind.one for kind in every_kind()})

    def test_each_is_saved_by_version_and_restored(self) -> None:
        for kind in every_kind():
            with self.subTest(kind.one):
                first, second, broken, _ = SAMPLES[kind.one]
                row = self.made(kind, self.wren)
                self.assertEqual((row.version, row.updated_by), (1, self.wren))
                stored = row.document
                with self.assertRaises(DocumentError):
                    kind.save(self.rook, row.id, broken, 1)
                saved = kind.save(self.rook, row.id, second, 1)
                self.assertEqual((saved.version, saved.updated_by), (2, self.rook))
                with self.assertRaises(VersionConflict) as conflict:
                    kind.save(self.wren, row.id, first, 1)
                self.assertEqual(conflict.exception.called, kind.called)
                back = kind.restore(self.wren, row.id, 1, 2)
                self.assertEqual((back.version, back.document), (3, stored))
                kept = back.revisions.order_by("version").values_list("version", "restored_from")
                self.assertEqual(list(kept), [(1, None), (2, None), (3, 1)])

    def test_each_is_put_away_and_brought_back(self) -> None:
        for kind in every_kind():
            with self.subTest(kind.one):
                row = self.made(kind, self.wren)
                kind.remove(self.wren, row.id)
                self.assertFalse(kind.there(self.wren).filter(id=row.id).exists())
                self.assertIn(row, kind.removed(self.wren))
                kind.bring_back(self.wren, row.id)
                self.assertTrue(kind.there(self.wren).filter(id=row.id).exists())

    def test_none_is_another_crew_s(self) -> None:
        for kind in every_kind():
            with self.subTest(kind.one):
                row = self.made(kind, self.tern)
                for attempt in (
                    lambda kind=kind, row=row: kind.save(self.wren, row.id, row.document, 1),
                    lambda kind=kind, row=row: kind.restore(self.wren, row.id, 1, 1),
                    lambda kind=kind, row=row: kind.remove(self.wren, row.id),
                    lambda kind=kind, row=row: kind.bring_back(self.wren, row.id),
                    lambda kind=kind: kind.owner_for(self.wren, self.owner_of(kind, self.tern)),
                ):
                    self.assertRaises(ObjectDoesNotExist, attempt)

    def test_each_has_room_for_so_many(self) -> None:
        for kind in every_kind():
            if kind.most:
                with self.subTest(kind.one), mock.patch.object(type(kind), "most", 0):
                    self.assertRaisesRegex(
                        DocumentError, f"at most 0 {kind.many}", self.made, kind, self.rook
                    )

    def test_each_may_be_so_long(self) -> None:
        for kind in every_kind():
            with self.subTest(kind.one), mock.patch.object(type(kind), "most_bytes", 20):
                self.assertRaisesRegex(DocumentError, "at most 20", self.made, kind, self.wren)

    def test_each_goes_along_in_a_job_s_file(self) -> None:
        rows = {kind.one: self.made(kind, self.wren) for kind in every_kind()}
        for one, row in rows.items():
            if one not in ("run", "box"):
                next(k for k in every_kind() if k.one == one).save(
                    self.wren, row.id, SAMPLES[one].second, 1
                )
        out = {folder.name: list(folder.out(self.wren, self.job)) for folder in every_folder()}
        keys = tuple(self.job.runs.order_by("id").values_list("key", flat=True))
        file = b"".join(pack(Archive("Works", "", "in", out, "us", keys)))
        *_, job = bring_in_job(self.tern, unpack(file, every_folder()))
        self.assertIsInstance(job, Job)
        for kind in every_kind():
            for folder in kind.folders:
                with self.subTest(folder.name):
                    again = list(folder.out(self.tern, job))
                    if kind.owner == "crew" and folder.most > 1:
                        self.assertLessEqual({str(x) for x in out[folder.name]}, {*map(str, again)})
                    else:
                        self.assertEqual(again, out[folder.name])
                    if folder.name != "pictures":
                        self.assertTrue(again)

    def test_each_that_can_t_be_read_is_told_with_its_name(self) -> None:
        for kind in every_kind():
            row = self.made(kind, self.wren)
            kind.model._default_manager.filter(id=row.id).update(document=SAMPLES[kind.one].broken)
        told = io.StringIO()
        with self.assertRaises(CommandError):
            call_command("check_data", stdout=told)
        for kind in every_kind():
            self.assertIn(f"\n{kind.called} ", "\n" + told.getvalue())

    def test_an_example_has_its_routes_and_is_listed_when_it_was_removed(self) -> None:
        example = new_api("example")
        add_plain_kind(example, EXAMPLE)
        urls = ModuleType("urls_with_an_example")
        urls.urlpatterns = [  # type: ignore[attr-defined]
            path("example/", example.urls),
            path("", include("config.urls")),
        ]
        sample = SAMPLES["snags"]
        with (
            mock.patch.dict(sys.modules, {urls.__name__: urls}),
            override_settings(ROOT_URLCONF=urls.__name__),
        ):
            at = f"/example/jobs/{self.job.id}/snag_lists"
            made = self.send("post", at, sample.first).json()
            self.assertEqual((made["name"], made["version"]), ("Roof", 1))
            one = f"/example/snag_lists/{made['id']}"
            body = {"document": sample.second, "base_version": 1}
            self.assertEqual(self.send("put", one, body).json()["document"], sample.second)
            late = self.send("put", one, {**body, "document": sample.first})
            self.assertEqual(late.status_code, 409)
            self.assertIn("this snag list in", late.json()["message"])
            listed = self.send("get", f"{one}/revisions").json()
            self.assertEqual([each["version"] for each in listed], [2, 1])
            self.send("delete", one)
            self.assertEqual(self.send("get", at).json(), [])
            removed = self.send("get", f"/api/jobs/{self.job.id}/removed").json()
            self.assertEqual([each["name"] for each in removed["snag_lists"]], ["Roof"])
            self.assertEqual(self.send("post", f"{one}/bring-back").json()["version"], 2)

    def test_revisions_go_with_the_job_that_is_deleted(self) -> None:
        for kind in every_kind():
            self.made(kind, self.wren)
        of_crew = [kind.model._meta.label_lower for kind in every_kind() if kind.owner == "crew"]
        self.their_run.delete()
        SnagList.objects.all().delete()
        self.job.delete()
        self.assertEqual(Revision.objects.exclude(kind__in=of_crew).count(), 0)
        self.assertGreater(Revision.objects.count(), 0)

    def test_a_kind_that_does_not_say_all_of_itself_is_an_error_before_anything_starts(
        self,
    ) -> None:
        class Half(NamedInJob[SnagList]):
            one, many, called = "half", "halves", "half"
            model = SnagList
            format = "snags"

        with self.assertRaisesMessage(ImproperlyConfigured, "Half does not say most_bytes."):
            kinds.register(Half())
        self.assertNotIn("half", [kind.one for kind in every_kind()])

    def test_a_model_without_a_kind_is_an_error_before_anything_starts(self) -> None:
        self.assertEqual(every_model_has_its_kind(), [])
        left = [kind for kind in every_kind() if kind.one != "wall"]
        with mock.patch.object(kinds, "_KINDS", left):
            (error,) = every_model_has_its_kind()
        self.assertIn("JobWall has no kind", error.msg)
