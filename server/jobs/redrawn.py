"""Pictures from outside, drawn anew: what comes out holds what is seen and nothing else."""

from __future__ import annotations

import hashlib
import io
import warnings
from dataclasses import dataclass

from PIL import Image, ImageOps, UnidentifiedImageError

from yarrow import DocumentError

MOST_PIXELS = 36_000_000
LONGEST_SIDE = 2400
"""Pixels: a plan is looked at, not measured, by its picture."""

MOST_BYTES = 600_000
"""Of what is kept: it goes along in the job's file."""

_TRIES = ((1.0, 82), (1.0, 65), (0.7, 65), (0.5, 55), (0.25, 50))
"""Shares of that side, and qualities, until it is small enough."""

_FORMATS = ("PNG", "JPEG")


@dataclass(frozen=True, slots=True)
class Redrawn:
    """A JPEG of what a picture shows, its size in pixels, and the key that it is known by; how many
    ``pixels`` the picture had that it was drawn from."""

    data: bytes
    width: int
    height: int
    key: str
    pixels: int


def redrawn(data: bytes, most_pixels: int = MOST_PIXELS) -> Redrawn:
    """A picture drawn anew, turned as its camera said, without place, time, name or comment.

    Args:
        data: the file's bytes.
        most_pixels: that it may have.

    Raises:
        DocumentError, where it is no PNG or JPEG, can't be read, or is too large.
    """
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            with Image.open(io.BytesIO(data), formats=_FORMATS) as picture:
                pixels = picture.width * picture.height
                if pixels > most_pixels:
                    raise DocumentError("picture", f"at most {most_pixels // 1_000_000} megapixels")
                # A JPEG is read no larger than it is kept.
                picture.draft("RGB", (LONGEST_SIDE, LONGEST_SIDE))
                whole = ImageOps.exif_transpose(picture).convert("RGB")
                whole.info.clear()
    except (Image.DecompressionBombError, Image.DecompressionBombWarning):
        most = most_pixels // 1_000_000
        raise DocumentError("picture", f"at most {most} megapixels") from None
    except (UnidentifiedImageError, OSError, SyntaxError, ValueError):
        raise DocumentError("picture", "a PNG or JPEG picture that can be read") from None
    for share, quality in _TRIES:
        side = round(LONGEST_SIDE * share)
        whole.thumbnail((side, side))
        out = io.BytesIO()
        whole.save(out, "JPEG", quality=quality, optimize=True)
        drawn = out.getvalue()
        if len(drawn) <= MOST_BYTES:
            break
    key = hashlib.sha256(drawn).hexdigest()
    return Redrawn(drawn, whole.width, whole.height, key, pixels)
