"""What each run of a job takes, worked out once for a document and kept: a job of a thousand runs
is worked out in several requests, each of which goes on where the last one stopped."""

from __future__ import annotations

import hashlib
import json
import time
from collections.abc import Sequence
from dataclasses import dataclass
from functools import cache
from pathlib import Path
from typing import Any

from django.core.cache import caches

import yarrow
from jobs.models import Job

PLANNING_S = 0.8
"""Processor seconds that one request works runs out for."""

_KEPT_S = 90 * 24 * 3600


@dataclass(frozen=True, slots=True)
class TakenByRuns:
    """What runs take, in their order, as far as they were ``worked_out``."""

    taken: Sequence[yarrow.TakenByRun | None]
    worked_out: int

    @property
    def complete(self) -> bool:
        """Whether all of them were."""
        return self.worked_out == len(self.taken)


class StillWorkingOut(Exception):
    """A job has more runs than one request works out; what was worked out is kept.

    Args:
        worked_out: so many of them are.
        runs: so many there are.
    """

    def __init__(self, worked_out: int, runs: int) -> None:
        super().__init__(f"{worked_out} of {runs} runs are worked out. Ask again for the rest.")


def taken_by_runs(job: Job, documents: Sequence[dict[str, Any]]) -> TakenByRuns:
    """What runs take of their conduits, from what is kept and as far as there is time.

    Args:
        job: for its units and words.
        documents: of its runs.
    """
    kept = caches["worked_out"]
    keys = [_key(job, document) for document in documents]
    result: dict[str, Any] = kept.get_many(keys)
    end = time.thread_time() + PLANNING_S
    for key, document in zip(keys, documents, strict=True):
        if key not in result:
            if time.thread_time() > end:
                break
            result[key] = [yarrow.taken_by_run(document, job.unit, job.wording)]
            kept.set(key, result[key], _KEPT_S)
    worked_out = sum(key in result for key in keys)
    return TakenByRuns([result.get(key, [None])[0] for key in keys], worked_out)


def _key(job: Job, document: dict[str, Any]) -> str:
    """By all that what is taken follows from: the document, the job's units and words, and the
    rules and figures themselves."""
    of = json.dumps([_rules(), job.unit, job.rules, document], sort_keys=True)
    return hashlib.blake2s(of.encode()).hexdigest()


@cache
def _rules() -> str:
    """The core as it is installed: its code and its figures."""
    digest = hashlib.blake2s()
    for path in sorted(Path(yarrow.__file__).parent.rglob("*")):
        if path.suffix in (".py", ".toml", ".csv", ".json", ".po"):
            digest.update(path.read_bytes())
    return digest.hexdigest()
