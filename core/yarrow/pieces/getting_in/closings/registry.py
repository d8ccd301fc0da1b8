"""Every way to close a threaded run, by its name in a document."""

from __future__ import annotations

from yarrow.catalog.couplings import couplings
from yarrow.pieces.getting_in.closings.box_off import BoxOff
from yarrow.pieces.getting_in.closings.closing import ClosingKind
from yarrow.pieces.getting_in.closings.last_piece import LastPiece
from yarrow.pieces.getting_in.closings.standing_coupling import StandingCoupling
from yarrow.pieces.getting_in.closings.wind_back import WindBack

_KINDS: tuple[ClosingKind, ...] = (
    LastPiece(),
    BoxOff(),
    WindBack(),
    *(StandingCoupling(coupling.kind) for coupling in couplings().values() if coupling.stands),
)

CLOSINGS = {kind.kind: kind for kind in _KINDS}
