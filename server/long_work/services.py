"""Long work from being asked for to its file: every step of it fenced, so that of two workers who
have the same work in hand one alone goes on."""

from __future__ import annotations

import json
import time
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import timedelta
from typing import Any

from django.db import InterfaceError, OperationalError, connection, transaction
from django.db.models import F, QuerySet
from django.utils import timezone
from procrastinate.contrib.django import app
from procrastinate.contrib.django.models import ProcrastinateJob, ProcrastinateWorker

from accounts.models import Member
from jobs.models import Job
from jobs.policy import jobs_for
from long_work.changes import notify
from long_work.kind import CannotBeDone
from long_work.kinds import KINDS
from long_work.models import UNFINISHED, LongWork, WorkFile, WorkState
from yarrow import DocumentError

TASK, QUEUE = "work-on", "long-work"
"""As the queue knows it."""

HEARD_EVERY_S = 2.0
"""A worker says so often that it is there."""

LOST_AFTER_S = 8.0
"""One that was not heard of for so long is gone, and others take up what it had in hand."""

MOST_UNFINISHED = 3
"""Of one person: a crew of twenty waits for nobody's hundredth."""

MOST_ATTEMPTS = 3
"""What ended so many workers ends the next one too."""

KEPT = timedelta(days=1)

_TOLD_EVERY_S = 0.2


class TooMuchAsked(Exception):
    """Somebody has as much long work under way as one may."""


class NoLongerWanted(Exception):
    """Whoever asked has stopped it, or another worker has taken it up since."""


def works_for(member: Member) -> QuerySet[LongWork]:
    """What a member asked for, of jobs that their crew still has; the newest first."""
    mine = LongWork.objects.filter(asked_by=member, job__crew_id=member.crew_id)
    return mine.order_by("-id")


@transaction.atomic
def ask(member: Member, job_id: int, kind: str, options: Mapping[str, Any]) -> LongWork:
    """Have something done, by the next worker that is free.

    Args:
        member: whose it is.
        job_id: of their crew's.
        kind: one of ``KINDS``.
        options: of that kind.

    Raises:
        Job.DoesNotExist; DocumentError; TooMuchAsked.
    """
    KINDS[kind].check(options)
    job = jobs_for(member).get(id=job_id)
    # Two that are asked for at once are counted one after the other.
    Member.objects.select_for_update().get(pk=member.pk)
    if works_for(member).filter(state__in=UNFINISHED).count() >= MOST_UNFINISHED:
        raise TooMuchAsked
    work = LongWork.objects.create(
        kind=KINDS[kind].name, job=job, asked_by=member, options=dict(options)
    )
    app.configure_task(TASK, queue=QUEUE).defer(work_id=work.pk)
    return work


def stop(member: Member, work_id: int) -> LongWork:
    """Have it done no further; what is finished stays as it is.

    Args:
        member: whose it is.
        work_id: of their own.

    Raises:
        LongWork.DoesNotExist.
    """
    _ended(works_for(member).filter(id=work_id), WorkState.STOPPED)
    return works_for(member).get(id=work_id)


def found_list(member: Member, job_id: int, work_id: int) -> dict[str, Any]:
    """The cut list that long work found.

    Args:
        member: who asked for it.
        job_id: whose list it is.
        work_id: of the work.

    Returns:
        As ``CutsOfRuns.answer`` has it.

    Raises:
        LongWork.DoesNotExist.
    """
    done = works_for(member).filter(kind="cut-list", job_id=job_id, state=WorkState.DONE)
    answer: dict[str, Any] = json.loads(bytes(done.get(id=work_id).file.body))
    return answer


def work(work_id: int) -> None:
    """Take it up, and see it to its end, unless nobody wants it any more.

    Args:
        work_id: of work that was asked for.
    """
    wanted = LongWork.objects.filter(id=work_id, state__in=UNFINISHED)
    if not wanted.update(state=WorkState.UNDER_WAY, attempt=F("attempt") + 1, done=0, of=0):
        return
    taken = LongWork.objects.select_related("job", "asked_by").get(id=work_id)
    notify(work_id)
    own = wanted.filter(attempt=taken.attempt)
    if taken.attempt > MOST_ATTEMPTS:
        _ended(own, WorkState.FAILED, "It was begun several times, and ended its worker each time.")
        return
    try:
        finished = KINDS[taken.kind].work(taken.asked_by, _job_of(taken), taken.options, _Told(own))
    except NoLongerWanted:
        return
    except CannotBeDone as error:
        _ended(own, WorkState.FAILED, str(error))
        return
    except DocumentError as error:
        _ended(own, WorkState.FAILED, str(error))
        return
    except (OperationalError, InterfaceError):
        # The database was away: the queue has it done again once it is back.
        connection.close()
        raise
    except Exception:
        _ended(own, WorkState.FAILED, "Something went wrong on our side: the server's log has it.")
        raise
    with transaction.atomic():
        if _ended(
            own,
            WorkState.DONE,
            done=F("of"),
            file_name=finished.name,
            media_type=finished.media_type,
            left_out=list(finished.left_out),
        ):
            WorkFile.objects.create(work_id=work_id, body=finished.body)


def _job_of(taken: LongWork) -> Job:
    """As whoever asked may see it now. Raises: CannotBeDone."""
    job = jobs_for(taken.asked_by).filter(id=taken.job_id).first()
    if job is None or not taken.asked_by.is_active:
        raise CannotBeDone("The job is not yours any more.")
    return job


class _Told:
    """Tells how far an attempt is, not more often than anybody reads it.

    Args:
        own: the attempt's row; none, once it is another's.
    """

    def __init__(self, own: QuerySet[LongWork]) -> None:
        self._own = own
        self._next = 0.0

    def __call__(self, done: int, of: int) -> None:
        """So much of so much is done.

        Raises:
            NoLongerWanted.
        """
        if time.monotonic() < self._next:
            return
        self._next = time.monotonic() + _TOLD_EVERY_S
        if not self._own.update(done=done, of=of):
            raise NoLongerWanted
        notify(*self._own.values_list("id", flat=True))


def _ended(of: QuerySet[LongWork], state: WorkState, problem: str = "", **fields: Any) -> bool:
    """Ends what is unfinished. Returns: whether there was any."""
    unfinished = of.filter(state__in=UNFINISHED)
    ids = list(unfinished.values_list("id", flat=True))
    ended = unfinished.update(state=state, problem=problem[:400], ended_at=timezone.now(), **fields)
    notify(*ids)
    return bool(ended)


def give_up_lost() -> None:
    """What no worker has in hand, and none will, is told to be lost: whoever asked asks again."""
    in_queue = ProcrastinateJob.objects.filter(task_name=TASK, status__in=("todo", "doing"))
    held = {int(job.args["work_id"]) for job in in_queue}
    lost = LongWork.objects.exclude(pk__in=held)
    _ended(lost, WorkState.FAILED, "It was lost on the way. Ask for it again.")


def forget_old() -> None:
    """Files that nobody fetched within a day are put away, with what they were asked by."""
    LongWork.objects.filter(ended_at__lt=timezone.now() - KEPT).delete()


@dataclass(frozen=True, slots=True)
class QueueNow:
    """How many ``workers`` were heard of lately, on all machines; how much is ``waiting``, and for
    how long the first of it has."""

    workers: int
    waiting: int
    longest_s: float


def queue_now() -> QueueNow:
    """The queue as it is.

    Raises:
        DatabaseError.
    """
    lately = timezone.now() - timedelta(seconds=LOST_AFTER_S)
    workers = ProcrastinateWorker.objects.filter(last_heartbeat__gte=lately).count()
    waiting = LongWork.objects.filter(state=WorkState.WAITING)
    first = waiting.order_by("asked_at").values_list("asked_at", flat=True).first()
    longest = (timezone.now() - first).total_seconds() if first else 0.0
    return QueueNow(workers, waiting.count(), longest)
