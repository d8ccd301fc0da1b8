"""What each role of a crew may do: one table, which routes, saved documents and the page go by."""

from __future__ import annotations

from enum import StrEnum

from django.db import models


class Act(StrEnum):
    """What an operation does, for a crew."""

    SEE = "see"
    """Open, read, work out; nothing is kept."""
    BEND = "bend"
    """What is done at the bender: ticks, pieces at the bench, how far a run is, bends measured."""
    PLAN = "plan"
    """Jobs and all that they hold, benders, fittings."""
    LEAD = "lead"
    """Who is in the crew, and what they may do."""


class CrewRole(models.TextChoices):
    """What a person is in their crew."""

    LEAD = "lead"
    PLANNER = "planner"
    BENDER = "bender"
    INSPECTOR = "inspector"


MAY: dict[CrewRole, frozenset[Act]] = {
    CrewRole.LEAD: frozenset(Act),
    CrewRole.PLANNER: frozenset({Act.SEE, Act.BEND, Act.PLAN}),
    CrewRole.BENDER: frozenset({Act.SEE, Act.BEND}),
    CrewRole.INSPECTOR: frozenset({Act.SEE}),
}

_DOES = {
    CrewRole.LEAD: "does everything here",
    CrewRole.PLANNER: "plans and bends; who is in the crew is for a lead to say",
    CrewRole.BENDER: "bends and ticks; what is planned is for a planner to change",
    CrewRole.INSPECTOR: "sees everything and changes nothing",
}


class NotForRole(Exception):
    """Something that this role does not do.

    Args:
        role: of whoever asked for it.
    """

    def __init__(self, role: CrewRole) -> None:
        article = "an" if role is CrewRole.INSPECTOR else "a"
        super().__init__(
            f"You are {article} {role.value} of this crew: {article} {role.value} {_DOES[role]}."
        )
        self.role = role
