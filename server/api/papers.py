"""What goes out as a file or on paper: the answer that carries it."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

from django.http import HttpResponse

from exports.drawing import Drawing
from exports.svg import drawing_svg

LargePaper = Literal["a4", "letter", "a3"]


def as_file(body: bytes, kind: str, name: str, shown: bool = True) -> HttpResponse:
    """An answer that is shown or kept under a name.

    Args:
        body: its bytes.
        kind: its media type.
        name: that it is kept under.
        shown: by a browser that can, in place of the page.
    """
    disposition = "inline" if shown else "attachment"
    headers = {"Content-Disposition": f'{disposition}; filename="{name}"'}
    return HttpResponse(body, content_type=kind, headers=headers)


def one_page(pages: Sequence[Drawing], page: int) -> HttpResponse:
    """One of a sheet's pages, counted from 1, as the page shows and prints it; how many there are
    stands in ``X-Pages``. Beyond the last, that.

    Args:
        page: counted from 1.
    """
    shown = pages[min(max(page, 1), len(pages)) - 1]
    headers = {"X-Pages": str(len(pages))}
    return HttpResponse(drawing_svg(shown), content_type="image/svg+xml", headers=headers)
