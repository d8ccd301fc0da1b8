"""How much longer a key waits while a worker of the same machine has long work in hand."""

from __future__ import annotations

import statistics

from benchmarks.load import Person, at_share, to_port
from benchmarks.row import Row, at_most

_RUNS = 150
_KEYS = 60
_TURNS = 5
_MULTIPLE = 1.2
_UNDER_WAY = ("waiting", "under-way")


def measure(port: int) -> list[Row]:
    """A key beside the sheets of many runs, of a key alone: in turns, the median of each turn's
    two."""
    person = Person(5000, to_port(port))
    _more_runs(person)
    person.connection.close()
    _keys_ms(person)
    multiples, tails, done = [], [], 0
    for _ in range(_TURNS):
        alone = _keys_ms(person)
        asked = {"work": {"kind": "sheets"}}
        work = person.ask("", "POST", f"/api/jobs/{person.job}/work", asked)["id"]
        while person.ask("", "GET", f"/api/work/{work}")["done"] == 0:
            pass
        beside = _keys_ms(person)
        told = person.ask("", "GET", f"/api/work/{work}")
        if told["state"] not in _UNDER_WAY:
            raise RuntimeError("The sheets were made before the keys were answered.")
        done += told["done"]
        person.ask("", "POST", f"/api/work/{work}/stop")
        multiples.append(statistics.median(beside) / statistics.median(alone))
        tails.append(at_share(sorted(beside), 0.95) / at_share(sorted(alone), 0.95))
    return [
        at_most(
            "a key while a worker makes the sheets of a job, of a key alone",
            statistics.median(multiples),
            _MULTIPLE,
            "x",
        ),
        Row("… 95th percentiles", f"{statistics.median(tails):.2f} x"),
        Row("… sheets that were made meanwhile", str(done)),
    ]


def _more_runs(person: Person) -> None:
    from accounts.models import Member
    from jobs.models import Job, Run
    from jobs.runs import RUNS
    from versions.services import write_new

    job = Job.objects.get(pk=person.job)
    member = Member.objects.get(pk=Run.objects.get(pk=person.run).updated_by_id)
    write_new(
        [
            RUNS.unwritten(Run(job=job), member, {**person.document, "name": f"Run {number}"})
            for number in range(_RUNS)
        ]
    )


def _keys_ms(person: Person) -> list[float]:
    person.taken.clear()
    for _ in range(_KEYS):
        person.key()
    return [1000 * each for each in person.taken["a key"]]
