"""A drawing as PDF."""

from __future__ import annotations

import io
import threading
from collections.abc import Sequence

from reportlab.lib.colors import HexColor
from reportlab.lib.units import mm
from reportlab.pdfgen.canvas import Canvas

from exports.drawing import Drawing, Stroke, Text, font_name


def sheet_pdf(*pages: Drawing) -> bytes:
    """Drawings as a PDF, a page each; the same drawings give the same bytes.

    One at a time: the faces, which keep what each document takes of them, are shared by threads.

    Returns:
        A PDF file.
    """
    with _FACES:
        return _drawn(pages)


_FACES = threading.Lock()


def _drawn(pages: Sequence[Drawing]) -> bytes:
    out = io.BytesIO()
    first = pages[0]
    size = (first.width * mm, first.height * mm)
    canvas = Canvas(out, pagesize=size, invariant=1, pageCompression=1)
    canvas.setTitle(first.title)
    canvas.setCreator("Yarrow")
    for drawing in pages:
        # From here on, millimetres from the top left, as the drawing has it.
        canvas.translate(0, size[1])
        canvas.scale(mm, mm)
        for item in drawing.items:
            if isinstance(item, Text):
                _draw_text(canvas, item)
            else:
                _stroke(canvas, item)
        canvas.showPage()
    canvas.save()
    return out.getvalue()


def _draw_text(canvas: Canvas, item: Text) -> None:
    canvas.setFillColor(HexColor(item.colour))
    canvas.setFont(font_name(item.bold), item.size)
    draw = {
        "start": canvas.drawString,
        "middle": canvas.drawCentredString,
        "end": canvas.drawRightString,
    }[item.anchor]
    draw(item.x, -item.y, item.text)


def _stroke(canvas: Canvas, item: Stroke) -> None:
    path = canvas.beginPath()
    for index, (x, y) in enumerate(item.points):
        (path.lineTo if index else path.moveTo)(x, -y)
    if item.closed:
        path.close()
    canvas.setLineWidth(item.width)
    canvas.setLineJoin(1)
    canvas.setDash(list(item.dash) or [])
    canvas.setStrokeColor(HexColor(item.stroke))
    if item.fill:
        canvas.setFillColor(HexColor(item.fill))
    canvas.drawPath(path, stroke=1, fill=int(bool(item.fill)))
