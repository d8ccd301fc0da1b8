"""Wire as it is typed, and schedules of it."""

from __future__ import annotations

import json
from collections.abc import Iterator
from dataclasses import asdict
from typing import Literal

from django.http import HttpResponse, StreamingHttpResponse
from ninja import Query

import yarrow
from api.answers import answered
from api.limits import CHECKS, FILES
from api.planning_shapes import TypedText, WireText
from api.problems import REFUSALS, unreadable_table
from api.request import MemberRequest
from api.router import Router
from yarrow import (
    CheckedRow,
    ScheduleRow,
    TableError,
    check_schedule,
    read_schedule,
    schedule_csv,
)

router = Router(tags=["checks"], throttle=CHECKS, keeps=False)


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
