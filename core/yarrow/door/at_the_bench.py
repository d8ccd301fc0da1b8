"""A piece at the bench, after what came out of its bends; answers as frozen values."""

from __future__ import annotations

from yarrow.bench.at_bench import BenchFit, BenchPlan
from yarrow.documents.bench.reading import bench_document, bench_fit_document
from yarrow.door.pieces import run_or_piece


def bench(run: object, came_out: object, piece: int | None = None) -> BenchPlan:
    """A piece at the bench: what is left to do after what came out of the bends that are made.

    Args:
        run: ``yarrow.run/1``.
        came_out: ``yarrow.bench/1``, in the run's units.
        piece: of which of its pieces, counted from 1; None: of the run as one.

    Returns:
        ``yarrow.bench-plan/1``: the order of bends with marks, steps and pictures of the piece as
        it is, how each leg will lie, and whether it fits, has to give way somewhere, or is scrap.

    Raises:
        DocumentError.

    Source:
        docs/pieces-and-walls.md, at the bench.
    """
    return bench_document(run_or_piece(run, piece), came_out)


def bench_fit(run: object, came_out: object, piece: int | None = None) -> BenchFit:
    """How a piece at the bench comes to lie: of what bench answers, what a reading that is still
    being typed makes of it.

    Args:
        run: ``yarrow.run/1``.
        came_out: ``yarrow.bench/1``, in the run's units.
        piece: as for bench.

    Returns:
        ``yarrow.bench-fit/1``: how each leg will lie, the verdict, what to do about it.

    Raises:
        DocumentError.
    """
    return bench_fit_document(run_or_piece(run, piece), came_out)
