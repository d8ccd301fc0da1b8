"""A job's ducts between buildings: saved by version, pictures drawn anew, out and in again."""

from __future__ import annotations

import io
from typing import Any

from django.utils import timezone
from ezdxf.filemanagement import new
from PIL import Image

import yarrow
from exports.drawing import Stroke, Text
from exports.page import LARGE_PAPERS, Heading
from exports.site_sheet import compose_site_sheet
from jobs.models import JobSite, SitePicture
from jobs.redrawn import MOST_BYTES, redrawn
from jobs.sites import MOST_PICTURES, SITES
from server.tests.people import CrewTest, a_picture, archive, packed

GROUNDS: dict[str, Any] = {
    "format": "yarrow.site/1",
    "name": "Grounds",
    "units": "mm",
    "places": [
        {"name": "Pump house", "kind": "building", "at": [0, 0], "outline": [[-9, -9], [0, 9]]},
        {"name": "Kiosk", "kind": "building", "at": [260, 0], "planned": True, "floor": 1},
    ],
    "trenches": [{"name": "Walk", "line": [[0, 0], [260, 0]], "surface": "paved"}],
    "cables": [{"from": "Kiosk", "to": "Pump house", "kind": "fibre", "diameter": "11.5"}],
}
TICK = {"stretch": "PH–P1", "item": "rope", "by": "Wren Hallow", "at": timezone.now().isoformat()}


class Ducts(CrewTest):
    site: JobSite

    @classmethod
    def setUpTestData(cls) -> None:
        super().setUpTestData()
        cls.site = SITES.create(cls.wren, cls.job.id, GROUNDS)

    def save(self, document: dict[str, Any], base: int = 1) -> Any:
        body = {"document": document, "base_version": base}
        return self.send("put", f"/api/sites/{self.site.id}", body)

    def test_it_is_saved_by_version_and_brought_back(self) -> None:
        moved = {**GROUNDS, "name": " Lock "}
        self.assertEqual(self.save(moved).json()["name"], "Lock")
        late = self.save(GROUNDS)
        self.assertEqual((late.status_code, late.json()["theirs"]["version"]), (409, 2))
        path = f"/api/sites/{self.site.id}"
        back = self.send("post", f"{path}/revisions/1/restore", {"base_version": 2}).json()
        self.assertEqual((back["version"], back["document"]), (3, GROUNDS))
        self.send("delete", path)
        self.assertEqual(self.client.get(path).status_code, 404)
        removed = self.client.get(f"/api/jobs/{self.job.id}/removed").json()["sites"]
        self.assertEqual([each["name"] for each in removed], ["Grounds"])
        self.assertEqual(self.send("post", f"{path}/bring-back").json()["version"], 3)

    def test_what_was_seen_is_seen_by_who_saves_it(self) -> None:
        name = self.wren.shown_name
        own = {**GROUNDS, "ticks": [{**TICK, "by": name}]}
        long_ago = {**TICK, "by": name, "at": "2020-01-02T09:00:00Z"}
        for ticks, path in (
            ([long_ago], "ticks[0].at"),
            ([{**TICK, "by": "Somebody"}], "ticks[0].by"),
        ):
            said = {**GROUNDS, "ticks": ticks}
            sites = f"/api/jobs/{self.job.id}/sites"
            for refused in (self.save(said), self.send("post", sites, said)):
                self.assertEqual(
                    (refused.status_code, refused.json()["errors"][0]["path"]), (422, path)
                )
        self.assertEqual(self.save(own).status_code, 200)
        forged = {**GROUNDS, "ticks": [*own["ticks"], {**TICK, "item": "caps", "by": "Somebody"}]}
        refused = self.save(forged, 2)
        self.assertEqual(
            (refused.status_code, refused.json()["errors"][0]["path"]), (422, "ticks[1].by")
        )
        self.client = self.signed_in_as(self.rook)
        self.assertEqual(self.save(own, 2).status_code, 200)  # another's own stays
        answer = self.send("post", "/api/site", own).json()
        (rope,) = answer["stretches"][0]["seen"]
        self.assertEqual((answer["stretches"][0]["name"], rope["by"]), ("PH–P1", name))

    def test_a_picture_is_drawn_anew_without_its_place(self) -> None:
        exif = Image.Exif()
        exif[0x010F] = "A camera"
        exif.get_ifd(0x8825)[1] = "N"
        sent = a_picture((3000, 1500), "JPEG", exif=exif, comment=b"<script>at the lock</script>")
        path = f"/api/sites/{self.site.id}/picture"
        kept = self.send("post", path, sent)
        self.assertEqual(kept.status_code, 201)
        self.assertEqual((kept.json()["width"], kept.json()["height"]), (2400, 1200))
        answer = self.client.get(f"/api/sites/{self.site.id}/pictures/{kept.json()['key']}")
        with Image.open(io.BytesIO(answer.content)) as shown:
            self.assertEqual((shown.format, dict(shown.getexif())), ("JPEG", {}))
            self.assertNotIn("comment", shown.info)
        self.assertEqual(self.send("post", path, sent).json(), kept.json())
        self.assertEqual(SitePicture.objects.count(), 1)

    def test_a_picture_stands_upright_as_the_phone_showed_it(self) -> None:
        turned = Image.Exif()
        turned[0x0112] = 6  # held upright: its right side is up
        path = f"/api/sites/{self.site.id}/picture"
        kept = self.send("post", path, a_picture((400, 300), "JPEG", exif=turned)).json()
        self.assertEqual((kept["width"], kept["height"]), (300, 400))

    def test_of_many_pictures_the_one_that_lies_there_and_the_newest_are_kept(self) -> None:
        path = f"/api/sites/{self.site.id}/picture"
        kept = [self.send("post", path, a_picture((40 + n, 30))).json() for n in range(3)]
        plan = {"picture": kept[0]["key"], "from": [0, 0], "to": [40, 0], "apart": 20}
        self.assertEqual(self.save({**GROUNDS, "plan": plan}).status_code, 200)
        for n in range(3, MOST_PICTURES + 2):
            kept.append(self.send("post", path, a_picture((40 + n, 30))).json())
        there = list(SitePicture.objects.order_by("id").values_list("key", flat=True))
        self.assertEqual(len(there), MOST_PICTURES)
        newest = [each["key"] for each in kept[1 - MOST_PICTURES :]]
        self.assertEqual(there, [kept[0]["key"], *newest])

    def test_the_scale_that_is_printed_is_that_of_the_plan(self) -> None:
        site, plan = yarrow.read(GROUNDS, "site"), yarrow.site.values(GROUNDS)
        heading = Heading("Works", "Grounds", "")
        first = compose_site_sheet(site, plan, heading, LARGE_PAPERS["a4"])[0]
        (printed,) = (
            item.text
            for item in first.items
            if isinstance(item, Text) and "about 1 : " in item.text
        )
        long, _, scale = printed.partition(" m, about 1 : ")
        # The pump house and the kiosk stand 260 m apart: the stretches between them, on paper.
        way = sum(
            abs(item.points[-1][0] - item.points[0][0])
            for item in first.items
            if isinstance(item, Stroke) and item.width >= 0.7 and not item.closed
        )
        self.assertAlmostEqual(float(scale), 260_000 / way, delta=1)
        bar = [
            abs(item.points[-1][0] - item.points[0][0])
            for item in first.items
            if isinstance(item, Stroke) and item.width == 0.3 and len(item.points) == 2
        ]
        self.assertTrue(any(abs(each - 1000 * int(long) / float(scale)) < 0.1 for each in bar))

    def test_what_is_no_picture_or_too_large_is_refused(self) -> None:
        path = f"/api/sites/{self.site.id}/picture"
        whole = a_picture()
        bomb = a_picture((8000, 6000))  # 48 megapixels in a few kilobytes
        for sent in (b"", b"GIF89a", b"<svg/>", whole[:60], bomb):
            with self.subTest(size=len(sent)):
                refused = self.send("post", path, sent)
                told = refused.json()
                self.assertEqual((refused.status_code, told["errors"][0]["path"]), (422, "picture"))
        large = self.send("post", path, b"0" * 12_000_001)
        self.assertEqual((large.status_code, large.json()["code"]), (413, "too-large"))

    def test_geojson_comes_in_again_without_loss_and_not_in_degrees(self) -> None:
        out = self.client.get(f"/api/sites/{self.site.id}/plan.geojson").json()
        self.assertEqual(out["features"][1]["geometry"], {"type": "Point", "coordinates": [260, 0]})
        again = self.send("post", "/api/site/geojson", out)
        self.assertEqual((again.status_code, again.json()), (200, GROUNDS))
        line = {"type": "LineString", "coordinates": [[-1.234, 52.1], [-1.235, 52.1]]}
        degrees = {
            "type": "FeatureCollection",
            "features": [{"type": "Feature", "properties": {}, "geometry": line}],
        }
        refused = self.send("post", "/api/site/geojson", degrees)
        self.assertEqual(refused.status_code, 422)
        self.assertIn("degrees", refused.json()["errors"][0]["expected"])
        told = self.send("post", "/api/site/geojson", {**degrees, "coordinates": "metres"})
        self.assertEqual(told.json()["trenches"][0]["line"], line["coordinates"])
        for broken in ({}, {"type": "FeatureCollection", "features": [3]}, {"type": "Feature"}):
            self.assertEqual(self.send("post", "/api/site/geojson", broken).status_code, 422)

    def test_dxf_comes_in_again_without_loss_and_another_s_lines_are_trenches(self) -> None:
        out = self.client.get(f"/api/sites/{self.site.id}/plan.dxf").content.decode()
        again = self.send("post", "/api/site/dxf", {"dxf": out})
        self.assertEqual((again.status_code, again.json()), (200, GROUNDS))
        drawing = new("R2010")
        drawing.header["$INSUNITS"] = 4
        model = drawing.modelspace()
        model.add_line((0, 0), (5000, 0))
        model.add_lwpolyline([(0, 9000), (4000, 9000), (4000, 12000)])
        stream = io.StringIO()
        drawing.write(stream)
        read = self.send("post", "/api/site/dxf", {"dxf": stream.getvalue()}).json()
        lines = sorted(trench["line"] for trench in read["trenches"])
        self.assertEqual(lines, [[[0, 0], [5, 0]], [[0, 9], [4, 9], [4, 12]]])
        # The same in inches: 200 are 5.08 m.
        drawing = new("R2010")
        drawing.header["$INSUNITS"] = 1
        drawing.modelspace().add_line((0, 0), (200, 0))
        stream = io.StringIO()
        drawing.write(stream)
        read = self.send("post", "/api/site/dxf", {"dxf": stream.getvalue()}).json()
        self.assertEqual([trench["line"] for trench in read["trenches"]], [[[0, 0], [5.08, 0]]])
        empty = io.StringIO()
        new("R2010").write(empty)
        for text in ("", "0\nEOF", out[:300], empty.getvalue(), out.replace("YARROW", "OTHER")[:9]):
            refused = self.send("post", "/api/site/dxf", {"dxf": text})
            self.assertEqual(refused.status_code, 422, text[:20])

    def test_what_it_takes_is_a_table(self) -> None:
        table = self.client.get(f"/api/sites/{self.site.id}/quantities.csv").content.decode()
        head, *rows = table.splitlines()
        self.assertEqual(head, "what,amount,unit,as read")
        # Ducts lie under 450 mm of cover, 114 mm of them and 75 below: 639, told as 640.
        self.assertIn('"trench in paving, 640 mm deep",260,m,260 m', rows)

    def test_what_cannot_be_read_is_refused_where_it_is(self) -> None:
        wrong: list[tuple[str, dict[str, Any]]] = [
            ("cables[0].to", {"cables": [{**GROUNDS["cables"][0], "to": "Kiosk"}]}),
            ("cables[0].from", {"cables": [{**GROUNDS["cables"][0], "from": "Nowhere"}]}),
            ("places[1].name", {"places": [GROUNDS["places"][0]] * 2}),
            ("duct", {"duct": "37"}),
            ("trenches[0].line[0]", {"trenches": [{"name": "T", "line": [[1]]}]}),
            ("plan.apart", {"plan": {"picture": "x", "from": [0, 0], "to": [9, 0], "apart": 0}}),
            ("plan.to", {"plan": {"picture": "x", "from": [0, 0], "to": [0, 0], "apart": 3}}),
        ]
        for path, more in wrong:
            with self.subTest(path):
                for answer in (
                    self.send("post", "/api/site", {**GROUNDS, **more}),
                    self.save({**GROUNDS, **more}),
                ):
                    self.assertEqual(answer.status_code, 422)
                    self.assertTrue(answer.json()["errors"][0]["path"].startswith(path))

    def test_it_goes_along_in_the_job_s_file(self) -> None:
        out = b"".join(self.client.get(f"/api/jobs/{self.job.id}/archive").streaming_content)  # type: ignore[attr-defined]
        job = self.send("post", "/api/jobs/archive", out).json()
        listed = self.client.get(f"/api/jobs/{job['id']}/sites").json()
        found = self.client.get(f"/api/sites/{listed[0]['id']}").json()
        self.assertEqual(found["document"], GROUNDS)

    def test_the_picture_under_it_goes_along(self) -> None:
        kept = self.send("post", f"/api/sites/{self.site.id}/picture", a_picture((90, 60))).json()
        laid = {"picture": kept["key"], "from": [0, 60], "to": [90, 60], "apart": 45}
        self.save({**GROUNDS, "plan": laid})
        out = b"".join(self.client.get(f"/api/jobs/{self.job.id}/archive").streaming_content)  # type: ignore[attr-defined]
        job = self.send("post", "/api/jobs/archive", out).json()
        listed = self.client.get(f"/api/jobs/{job['id']}/sites").json()
        found = self.client.get(f"/api/sites/{listed[0]['id']}").json()
        plan = found["document"]["plan"]
        self.assertEqual({**plan, "picture": ""}, {**laid, "picture": ""})
        shown = self.client.get(f"/api/sites/{found['id']}/pictures/{plan['picture']}")
        with Image.open(io.BytesIO(shown.content)) as picture:
            self.assertEqual(picture.size, (90, 60))
        for broken in ({"of": 9, "jpeg": ""}, {"of": 1, "jpeg": "?"}, {"of": 1, "jpeg": "AAAA"}):
            sent = archive(units="mm", sites=[{**GROUNDS, "plan": laid}], pictures=[broken])
            refused = self.send("post", "/api/jobs/archive", packed(sent))
            self.assertEqual(refused.status_code, 422)
            self.assertIn("picture 1", refused.json()["errors"][0]["path"])

    def test_a_picture_of_noise_is_kept_small(self) -> None:
        noise = Image.effect_noise((2400, 2400), 120)
        out = io.BytesIO()
        noise.save(out, "PNG")
        self.assertLessEqual(len(redrawn(out.getvalue()).data), MOST_BYTES)

    def test_the_answer_is_the_core_s(self) -> None:
        self.assertEqual(
            self.send("post", "/api/site?language=en-GB", GROUNDS).json(),
            yarrow.site(GROUNDS, language="en-GB"),
        )
