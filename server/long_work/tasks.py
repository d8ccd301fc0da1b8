"""What the queue (procrastinate, in the same PostgreSQL) has workers do."""

from __future__ import annotations

from django.conf import settings
from django.db import InterfaceError, OperationalError
from procrastinate import RetryStrategy
from procrastinate.contrib.django import app
from procrastinate.jobs import Status

from long_work.services import (
    LOST_AFTER_S,
    MOST_ATTEMPTS,
    QUEUE,
    TASK,
    forget_old,
    give_up_lost,
    work,
)
from versions.retention import thin_out

_UPKEEP = "upkeep"

_ONCE_IT_IS_BACK = RetryStrategy(
    max_attempts=MOST_ATTEMPTS, wait=5, retry_exceptions={OperationalError, InterfaceError}
)
"""While the database was away."""


@app.task(name=TASK, queue=QUEUE, retry=_ONCE_IT_IS_BACK)
def work_on(work_id: int) -> None:
    """Do it.

    Args:
        work_id: of long work.
    """
    work(work_id)


@app.periodic(cron="* * * * * */5")
@app.task(name="take-up-again", queue=_UPKEEP, queueing_lock="take-up-again")
async def take_up_again(timestamp: int) -> None:
    """What was in hand where a worker was lost is for the next who is free.

    Args:
        timestamp: of the clock that asked for this.
    """
    manager = app.job_manager
    for job in await manager.get_stalled_jobs(seconds_since_heartbeat=LOST_AFTER_S):
        if job.queue == QUEUE:
            await manager.retry_job(job)
        elif job.id:
            await manager.finish_job_by_id_async(job.id, Status.FAILED, delete_job=True)


@app.periodic(cron="*/5 * * * *")
@app.task(name="forget-old", queue=_UPKEEP, queueing_lock="forget-old")
def forget_old_work(timestamp: int) -> None:
    """Put away what nobody fetched.

    Args:
        timestamp: of the clock that asked for this.
    """
    give_up_lost()
    forget_old()


@app.periodic(cron="41 3 * * *")
@app.task(name="thin-out", queue=_UPKEEP, queueing_lock="thin-out")
def thin_out_revisions(timestamp: int) -> None:
    """Keep of what was saved long ago the last of a day, where the settings say so.

    Args:
        timestamp: of the clock that asked for this.
    """
    thin_out(settings.REVISIONS_DAYS)
