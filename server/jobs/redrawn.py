"""Pictures from outside, drawn anew: what comes out holds what is seen and nothing else."""

from __future__ import annotations

import hashlib
import io
import warnings
from dataclasses import dataclass

from PIL import Image, ImageOps, UnidentifiedImageError

from yarrow.documents.errors import DocumentError

MOST_PIXELS = 40_000_000
LONGEST_SIDE = 2400
"""Pixels: a plan is looked at, not measured, by its picture."""

_FORMATS = ("PNG", "JPEG")


@dataclass(frozen=True, slots=True)
class Redrawn:
    """A JPEG of what a picture shows, its size in pixels, and the key that it is known by."""

    data: bytes
    width: int
    height: int
    key: str


def redrawn(data: bytes) -> Redrawn:
    """A picture drawn anew, turned as its camera said, without place, time or name.

    Raises: DocumentError, where it is no PNG or JPEG, can't be read, or is too large.
    """
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            with Image.open(io.BytesIO(data), formats=_FORMATS) as found:
                if found.width * found.height > MOST_PIXELS:
                    raise DocumentError("picture", f"at most {MOST_PIXELS // 1_000_000} megapixels")
                whole = ImageOps.exif_transpose(found).convert("RGB")
    except (Image.DecompressionBombError, Image.DecompressionBombWarning):
        most = MOST_PIXELS // 1_000_000
        raise DocumentError("picture", f"at most {most} megapixels") from None
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError):
        raise DocumentError("picture", "a PNG or JPEG picture that can be read") from None
    whole.thumbnail((LONGEST_SIDE, LONGEST_SIDE))
    out = io.BytesIO()
    whole.save(out, "JPEG", quality=82, optimize=True)
    drawn = out.getvalue()
    return Redrawn(drawn, whole.width, whole.height, hashlib.sha256(drawn).hexdigest())
