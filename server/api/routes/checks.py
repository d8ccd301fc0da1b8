"""Whether the wire goes in: checks without a job, and schedules of them."""

from __future__ import annotations

import json
from collections.abc import Iterator
from dataclasses import asdict
from typing import Literal

from django.http import HttpResponse, StreamingHttpResponse
from ninja import Body, Query, Router

import yarrow
from api.answers import answered
from api.documents import BoxDocument, EntriesDocument, FillDocument, PullBoxDocument
from api.limits import CHECKS, FILES
from api.planning_shapes import TypedText, WireText
from api.problems import REFUSALS, unreadable_table
from api.request import MemberRequest
from yarrow import (
    BoxResult,
    CheckedRow,
    EntriesResult,
    FillResult,
    PullBoxResult,
    ScheduleRow,
    TableError,
    check_schedule,
    read_schedule,
    schedule_csv,
)

router = Router(tags=["checks"], throttle=CHECKS)


@router.post("/fill", response={200: FillResult, **REFUSALS}, operation_id="check_fill")
def check_fill(request: MemberRequest, document: Body[FillDocument]) -> HttpResponse:
    """Whether conductors go into a conduit or trunking."""
    return answered(yarrow.fill(document))


@router.post("/box", response={200: BoxResult, **REFUSALS}, operation_id="check_box")
def check_box(request: MemberRequest, document: Body[BoxDocument]) -> HttpResponse:
    """Whether a box is large enough for what is in it."""
    return answered(yarrow.box(document))


@router.post("/pullbox", response={200: PullBoxResult, **REFUSALS}, operation_id="check_pull_box")
def check_pull_box(request: MemberRequest, document: Body[PullBoxDocument]) -> HttpResponse:
    """The least box for large wire."""
    return answered(yarrow.pullbox(document))


@router.post("/entries", response={200: EntriesResult, **REFUSALS}, operation_id="check_entries")
def check_entries(request: MemberRequest, document: Body[EntriesDocument]) -> HttpResponse:
    """Whether the holes in a box's walls go together."""
    return answered(yarrow.entries(document))


@router.post("/wires", response={200: WireText, **REFUSALS}, operation_id="read_wires")
def read_wires(request: MemberRequest, body: TypedText) -> HttpResponse:
    """Wire as it is said, in a document's shape."""
    return answered(yarrow.wires(body.text, body.units))


@router.post(
    "/schedule",
    response={200: str, **REFUSALS},
    throttle=[FILES],
    operation_id="check_schedule",
    openapi_extra={
        "requestBody": {"content": {"text/csv": {}}, "required": True},
        "responses": {200: {"content": {"application/x-ndjson": {}}}},
    },
)
def check_a_schedule(
    request: MemberRequest, units: Query[Literal["in", "mm"]]
) -> StreamingHttpResponse:
    """Every row of a table, telling on a line each how far it is: ``{"done", "of"}`` …, then
    ``{"rows", "csv"}`` with all answers, or ``{"problem"}`` and no answer at all."""
    lines = _schedule_progress(request.body, units)
    return StreamingHttpResponse(lines, content_type="application/x-ndjson")


def _schedule_progress(data: bytes, units: Literal["in", "mm"]) -> Iterator[str]:
    try:
        rows = read_schedule(data, units)
        answers: list[CheckedRow] = []
        for answer in check_schedule(rows):
            answers.append(answer)
            if len(answers) % _TOLD_EVERY == 0:
                yield json.dumps({"done": len(answers), "of": len(rows)}) + "\n"
    except TableError as error:
        yield json.dumps({"problem": unreadable_table(error)}) + "\n"
        return
    yield json.dumps(_whole(rows, answers)) + "\n"


def _whole(rows: list[ScheduleRow], answers: list[CheckedRow]) -> dict[str, object]:
    return {"rows": [asdict(answer) for answer in answers], "csv": schedule_csv(rows, answers)}


_TOLD_EVERY = 50
