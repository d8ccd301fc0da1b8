"""A drawing as SVG."""

from __future__ import annotations

from xml.sax.saxutils import escape

from exports.drawing import Drawing, Item, Text

FAMILY = "Atkinson Hyperlegible Next Variable, Atkinson Hyperlegible Next, sans-serif"


def drawing_svg(drawing: Drawing) -> str:
    """The drawing as one SVG document, a millimetre a unit.

    Returns:
        An SVG document.
    """
    body = "\n".join(_element(item) for item in drawing.items)
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" role="img" '
        f'width="{drawing.width:g}mm" height="{drawing.height:g}mm" '
        f'viewBox="0 0 {drawing.width:g} {drawing.height:g}" font-family="{FAMILY}">\n'
        f"<title>{escape(drawing.title)}</title>\n{body}\n</svg>\n"
    )


def _element(item: Item) -> str:
    if isinstance(item, Text):
        weight = ' font-weight="700"' if item.bold else ""
        anchor = f' text-anchor="{item.anchor}"' if item.anchor != "start" else ""
        return (
            f'<text x="{item.x:.3f}" y="{item.y:.3f}" font-size="{item.size:.3f}" '
            f'fill="{item.colour}"{weight}{anchor}>{escape(item.text)}</text>'
        )
    points = " ".join(f"{x:.3f},{y:.3f}" for x, y in item.points)
    dash = f' stroke-dasharray="{" ".join(f"{d:g}" for d in item.dash)}"' if item.dash else ""
    name = "polygon" if item.closed else "polyline"
    return (
        f'<{name} points="{points}" fill="{item.fill or "none"}" stroke="{item.stroke}" '
        f'stroke-width="{item.width:g}" stroke-linejoin="round"{dash}/>'
    )
