"""A piece at the bench, after what came out of its bends."""

from __future__ import annotations

from yarrow.documents.bench_file import bench_document, bench_fit_document
from yarrow.documents.writing import plain
from yarrow.door.runs import run_or_piece
from yarrow.door.shared import Answer, Document, wording_for
from yarrow.wording.wording import Country


def bench(
    run: Document,
    came_out: Document,
    country: Country | None = None,
    piece: int | None = None,
) -> Answer:
    """A piece at the bench: what is left to do after what came out of the bends that are made.

    Args: run, ``yarrow.run/1``; came_out, ``yarrow.bench/1``, in the run's units; piece, as for
    handle.
    Returns: ``yarrow.bench-plan/1``: the order of bends with marks, steps and pictures of the piece
    as it is, how each leg will lie, and whether it fits, has to give way somewhere, or is scrap.
    Raises: DocumentError.
    Source: docs/geometry.md, at the bench.
    """
    answer = bench_document(run_or_piece(run, piece), came_out)
    return plain(answer, wording_for(run, country))


def bench_fit(
    run: Document,
    came_out: Document,
    country: Country | None = None,
    piece: int | None = None,
) -> Answer:
    """How a piece at the bench comes to lie: of what bench answers, what a reading that is still
    being typed makes of it.

    Args: run, came_out and piece, as for bench.
    Returns: ``yarrow.bench-fit/1``: how each leg will lie, the verdict, what to do about it.
    Raises: DocumentError.
    """
    answer = bench_fit_document(run_or_piece(run, piece), came_out)
    return plain(answer, wording_for(run, country))
