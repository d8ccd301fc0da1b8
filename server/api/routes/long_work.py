"""What takes longer than somebody waits for an answer: asked for, followed, stopped, fetched."""

from __future__ import annotations

import time
from collections.abc import Iterator

from django.http import HttpResponse, StreamingHttpResponse
from ninja import Path

from api.limits import FILES
from api.papers import as_file
from api.problems import REFUSALS
from api.request import MemberRequest
from api.router import Router
from api.shapes import Id
from api.streams import LASTS_S, as_events, event, stream_held
from api.work_shapes import LongWorkAsked, LongWorkDetail, work_detail
from jobs.policy import jobs_for
from long_work import services
from long_work.changes import FOLLOWED
from long_work.models import UNFINISHED, LongWork, WorkState

router = Router(tags=["long work"])

_AGAIN_MS = 1000
_LOOKS_EVERY_S = 5.0
"""Where nobody told that it changed."""

_MOST_SHOWN = 5


@router.post(
    "/jobs/{job_id}/work",
    response={202: LongWorkDetail, **REFUSALS},
    throttle=[FILES],
    operation_id="ask_for_work",
)
def ask_for_work(
    request: MemberRequest, job_id: Path[Id], body: LongWorkAsked
) -> tuple[int, LongWorkDetail]:
    """Have something done that takes long: any worker takes it up, and it is done once."""
    asked = services.ask(request.user, job_id, body.work.kind, body.options)
    return 202, work_detail(asked)


@router.get(
    "/jobs/{job_id}/work",
    response={200: list[LongWorkDetail], **REFUSALS},
    operation_id="list_work",
)
def list_work(request: MemberRequest, job_id: Path[Id]) -> list[LongWorkDetail]:
    """What one asked for on a job, the newest first."""
    job = jobs_for(request.user).get(id=job_id)
    return [
        work_detail(work) for work in services.works_for(request.user).filter(job=job)[:_MOST_SHOWN]
    ]


@router.get("/work/{work_id}", response={200: LongWorkDetail, **REFUSALS}, operation_id="get_work")
def get_work(request: MemberRequest, work_id: Path[Id]) -> LongWorkDetail:
    """How far it is."""
    return work_detail(services.works_for(request.user).get(id=work_id))


@router.post(
    "/work/{work_id}/stop", response={200: LongWorkDetail, **REFUSALS}, operation_id="stop_work"
)
def stop_work(request: MemberRequest, work_id: Path[Id]) -> LongWorkDetail:
    """Have it done no further. What was finished meanwhile stays finished."""
    return work_detail(services.stop(request.user, work_id))


@router.get(
    "/work/{work_id}/changes",
    response={200: LongWorkDetail, **REFUSALS},
    operation_id="follow_work",
)
def follow_work(request: MemberRequest, work_id: Path[Id]) -> StreamingHttpResponse:
    """How far it is, as server-sent events, each the whole of it, until it ends."""
    work = services.works_for(request.user).get(id=work_id)
    return as_events(_changes(work), _AGAIN_MS)


def _changes(work: LongWork) -> Iterator[bytes]:
    end = time.monotonic() + LASTS_S
    with stream_held() as free, FOLLOWED.follow(work.pk) as changed:
        told = None
        while True:
            work.refresh_from_db()
            if (detail := work_detail(work)) != told:
                yield event(detail.dict())
                told = detail
            # Without a thread to spare it is told once, and the page asks again.
            if not free or work.state not in UNFINISHED or time.monotonic() > end:
                return
            changed.wait(_LOOKS_EVERY_S)
            changed.clear()


@router.get(
    "/work/{work_id}/file",
    response={200: str, **REFUSALS},
    throttle=[FILES],
    operation_id="get_work_file",
    openapi_extra={
        "responses": {
            200: {"content": {"application/zip": {}, "application/pdf": {}, "application/json": {}}}
        }
    },
)
def get_work_file(request: MemberRequest, work_id: Path[Id]) -> HttpResponse:
    """What came of it."""
    done = services.works_for(request.user).filter(state=WorkState.DONE)
    work = done.select_related("file").get(id=work_id)
    return as_file(bytes(work.file.body), work.media_type, work.file_name, shown=False)
