"""The kinds of long work, each a file."""

from __future__ import annotations

from long_work.kind import WorkKind
from long_work.kinds.cut_list import CutListOfJob
from long_work.kinds.job_archive import ArchiveOfJob
from long_work.kinds.job_sheets import SheetsOfJob

KINDS: dict[str, WorkKind] = {
    kind.name: kind for kind in (ArchiveOfJob(), SheetsOfJob(), CutListOfJob())
}
"""By their names."""
