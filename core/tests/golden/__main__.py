"""Record the command line's answers to many documents, or compare them with those recorded.

``record FOLDER`` at the old commit, ``compare FOLDER`` at the new one: the folder stays outside the
repository. The documents are those of the demo, of random runs, and all that the core's tests read.
"""

from __future__ import annotations

import argparse
import io
import json
import sys
import unittest
import warnings
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from contextlib import redirect_stderr, redirect_stdout, suppress
from hashlib import sha256
from pathlib import Path
from typing import Any
from unittest import mock

from core.tests.golden.changed import BY_COUNTRY, CHANGED, NEW_FIELDS
from core.tests.properties.strategies import makeable_runs

ROOT = Path(__file__).parents[3]
RANDOM_RUNS = 500
MOST_OF_A_KIND = 700
MOST_SHOWN = 20
ANSWERS = "answers.jsonl"

RUN_COMMANDS = (
    ("plan",),
    ("plan", "--format", "text"),
    ("plan", "--format", "csv"),
    ("plan", "--format", "bends"),
    ("handle",),
    ("convert", "--to", "in"),
    ("convert", "--to", "mm"),
)
COMMANDS = {
    "yarrow.run/1": RUN_COMMANDS,
    "yarrow.bends/1": (("fold",),),
    "yarrow.fill/1": (("fill",), ("convert", "--to", "mm")),
    "yarrow.box/1": (("box",), ("convert", "--to", "mm")),
    "yarrow.pullbox/1": (("pullbox",), ("convert", "--to", "mm")),
    "yarrow.entries/1": (("entries",), ("convert", "--to", "mm")),
    "yarrow.sitebox/1": (("sitebox",), ("convert", "--to", "mm")),
    "yarrow.bender/1": (("bender",), ("convert", "--to", "mm")),
}
"""What is asked of a document, by its format."""

LINES = (
    "offset 4 3/8 left at 33",
    "turn left at 71 5/8",
    "pipe 2 round at 40",
    "beam 4 wide 2 high at 60",
    "ledge 3 at 80",
    "kick 2 at 20",
    "hole 3 at 40",
    "saddle 2 at 4' 3",
    "nothing like it",
)
SCHEDULE = """name,type,size,length,bends,wires
one,emt,,20,2,3 x 12 thhn; 1 x 12 bare
two,emt,3/4,120,3,9 x 10 thhn
three,steel,20,5 m,2,3 x 2.5
"""


def main() -> int:
    """Returns the exit status: 1 where an answer is another one."""
    parser = argparse.ArgumentParser(description=__doc__)
    parser.add_argument("what", choices=["record", "compare"])
    parser.add_argument("folder", type=Path)
    options = parser.parse_args()
    if options.what == "record":
        options.folder.mkdir(parents=True, exist_ok=True)
        questions = [asked for document in _documents() for asked in _asked(document)]
        questions += [(("line", line), "") for line in LINES]
        questions += [(("schedule",), SCHEDULE), (("catalog",), "")]
        with (options.folder / ANSWERS).open("w") as file:
            for row in _answered(questions):
                file.write(json.dumps(row) + "\n")
        print(f"{len(questions)} answers recorded")
        return 0
    return _compare(options.folder)


def _compare(folder: Path) -> int:
    recorded = [json.loads(line) for line in (folder / ANSWERS).open()]
    different = 0
    questions = [(tuple(row["arguments"]), row["document"]) for row in recorded]
    for was, row in zip(recorded, _answered(questions), strict=True):
        for old, new in CHANGED:
            was = {**was, **{part: was[part].replace(old, new) for part in ("out", "error")}}
        for old, new in BY_COUNTRY:
            was["out"], row["out"] = (one["out"].replace(old, new) for one in (was, row))
        was["out"] = _in_order(was["out"])
        row["out"] = _in_order(row["out"])
        if row == was:
            continue
        different += 1
        if different <= MOST_SHOWN:
            _show(was, row)
    print(f"{len(recorded) - different} answers are the same, {different} are not")
    return int(different > 0)


def _in_order(out: str) -> str:
    """An answer without what it did not have then: figures of findings as data, an order of them,
    arcs to draw. Figures to nine places: the last ones hang on the order of a sum."""
    if not out.startswith("{"):
        return out
    answer = json.loads(out, object_hook=_without_values, parse_float=_nine_places)
    return json.dumps(answer, indent=2, ensure_ascii=False, allow_nan=False) + "\n"


def _nine_places(figure: str) -> float:
    return round(float(figure), 9) + 0.0


def _without_values(part: dict[str, Any]) -> dict[str, Any]:
    for field in NEW_FIELDS:
        part.pop(field, None)
    if {"code", "level", "values"} <= set(part):
        del part["values"]
    if isinstance(part.get("findings"), list):
        part["findings"].sort(key=lambda found: ("error", "warning", "note").index(found["level"]))
    return part


def _show(was: dict[str, Any], row: dict[str, Any]) -> None:
    print("---", *row["arguments"], row["document"][:300])
    for part in ("status", "out", "error"):
        old, new = str(was[part]), str(row[part])
        if old != new:
            at = next((n for n, (a, b) in enumerate(zip(old, new, strict=False)) if a != b), 0)
            begins = max(at - 60, 0)
            print(f"  {part}: … {old[begins : at + 100]!r}\n     is … {new[begins : at + 100]!r}")


def _asked(document: dict[str, Any]) -> Iterator[tuple[tuple[str, ...], str]]:
    text = json.dumps(document, sort_keys=True, default=float)
    for command in COMMANDS.get(str(document.get("format")), (("plan",),)):
        yield command, text
    if "rack" in document:
        yield ("rack",), text
        yield ("rack", "--format", "csv"), text


def _answered(questions: list[tuple[tuple[str, ...], str]]) -> Iterator[dict[str, Any]]:
    with ProcessPoolExecutor() as pool:
        yield from pool.map(_answer, questions, chunksize=50)


def _answer(question: tuple[tuple[str, ...], str]) -> dict[str, Any]:
    from yarrow.__main__ import main as yarrow

    arguments, document = question
    command, *options = arguments
    out, error = io.StringIO(), io.StringIO()
    given = mock.Mock(buffer=io.BytesIO(document.encode()))
    files = ["-"] if document else []
    with redirect_stdout(out), redirect_stderr(error), mock.patch.object(sys, "stdin", given):
        status = yarrow([command, *files, *options])
    return {
        "arguments": list(arguments),
        "document": document,
        "status": status,
        "out": out.getvalue(),
        "error": error.getvalue(),
    }


def _documents() -> list[dict[str, Any]]:
    """Each once: the demo's, random ones, then a fair lot of every kind that a test reads."""
    sys.path.insert(0, str(ROOT / "server"))
    from jobs import demo

    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        drawn = [makeable_runs().example() for _ in range(RANDOM_RUNS)]
    found: dict[str, dict[str, Any]] = {}
    for document in [*_nested(vars(demo)), *drawn]:
        found[json.dumps(document, sort_keys=True, default=float)] = document
    by_kind: dict[str, int] = {}
    read = _read_by_tests()
    for text in sorted(read, key=lambda text: sha256(text.encode()).hexdigest()):
        kind = str(read[text].get("format"))[:40]
        by_kind[kind] = by_kind.get(kind, 0) + 1
        if by_kind[kind] <= MOST_OF_A_KIND and len(text) < 50_000:
            found.setdefault(text, read[text])
    return list(found.values())


def _nested(value: Any) -> Iterator[dict[str, Any]]:
    """Every document in a nest of dictionaries and lists."""
    if isinstance(value, dict):
        if str(value.get("format", "")).startswith("yarrow."):
            yield value
        else:
            for each in value.values():
                yield from _nested(each)
    elif isinstance(value, list | tuple):
        for each in value:
            yield from _nested(each)


def _read_by_tests() -> dict[str, dict[str, Any]]:
    """What the core's tests give to its readers, by its text."""
    from yarrow.documents import schema

    upgrade, found = schema.upgrade, {}

    def noting(value: Any) -> Any:
        if isinstance(value, dict):
            with suppress(TypeError, ValueError, RecursionError):  # a test of what is no JSON
                found[json.dumps(value, sort_keys=True, default=float, allow_nan=False)] = value
        return upgrade(value)

    with mock.patch.object(schema, "upgrade", noting):
        tests = unittest.defaultTestLoader.discover(
            str(ROOT / "core" / "tests"), top_level_dir=str(ROOT)
        )
        unittest.TextTestRunner(stream=io.StringIO()).run(tests)
    return found


if __name__ == "__main__":
    sys.exit(main())
