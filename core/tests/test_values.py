"""Values are as the standard library's frozen dataclasses, however they are made."""

from __future__ import annotations

import dataclasses
import unittest
from copy import deepcopy
from dataclasses import field
from typing import Generic, TypeVar

from yarrow.values import dataclass, replace

T = TypeVar("T")


@dataclass(frozen=True, slots=True)
class Mark:
    place: float
    name: str = "front"
    notes: list[str] = field(default_factory=list, compare=False)


@dataclass(frozen=True, slots=True)
class Seen(Mark):
    by: str = "nobody"
    length: int = field(init=False)

    def __post_init__(self) -> None:
        object.__setattr__(self, "length", len(self.by))


@dataclass(frozen=True, slots=True, kw_only=True)
class Named(Generic[T]):
    of: T
    called: str = ""


class Pencilled(Mark):
    """Of a value, and none itself."""


class Inked(Mark):
    """Likewise, with no more than its slots."""

    __slots__ = ()


class Values(unittest.TestCase):
    def test_fields_are_given_by_place_or_name_and_have_their_defaults(self) -> None:
        self.assertEqual(Mark(3.0, name="back"), Mark(place=3.0, name="back"))
        self.assertEqual((Mark(3.0).name, Mark(3.0).notes), ("front", []))
        self.assertIsNot(Mark(3.0).notes, Mark(3.0).notes)
        self.assertEqual(Named(of=2), Named(of=2, called=""))
        self.assertEqual(repr(Mark(3.0)), "Mark(place=3.0, name='front', notes=[])")

    def test_what_is_not_taken_is_refused(self) -> None:
        for wrong in (
            lambda: Mark(),  # type: ignore[call-arg]
            lambda: Mark(1.0, "front", [], 4),  # type: ignore[call-arg]
            lambda: Named(2),  # type: ignore[misc]
            lambda: Seen(1.0, length=3),  # type: ignore[call-arg]
        ):
            with self.assertRaises(TypeError):
                wrong()

    def test_nothing_of_one_is_changed(self) -> None:
        for value, name in ((Mark(3.0), "place"), (Seen(3.0), "by"), (Named(of=2), "of")):
            with self.assertRaises(dataclasses.FrozenInstanceError):
                setattr(value, name, 4)
            with self.assertRaises(dataclasses.FrozenInstanceError):
                delattr(value, name)
            self.assertFalse(hasattr(value, "__dict__"))

    def test_it_is_of_its_own_class_and_equal_by_its_fields(self) -> None:
        self.assertIs(type(Seen(3.0)), Seen)
        self.assertEqual({Mark(3.0, notes=["a"]), Mark(3.0)}, {Mark(3.0)})
        self.assertNotEqual(Mark(3.0), Seen(3.0))
        self.assertEqual(deepcopy(Seen(3.0, by="wren")), Seen(3.0, by="wren"))
        self.assertEqual(Seen(3.0, by="wren").length, 4)
        self.assertEqual((Pencilled(3.0).place, Pencilled(3.0).name), (3.0, "front"))
        self.assertIs(type(Pencilled(3.0)), Pencilled)
        self.assertIs(type(Inked(3.0)), Inked)

    def test_one_with_other_fields_keeps_the_rest(self) -> None:
        self.assertEqual(replace(Mark(3.0, "back"), place=4.0), Mark(4.0, "back"))
        self.assertEqual(replace(Seen(3.0, by="wren"), by="rook").length, 4)
        with self.assertRaises(TypeError):
            replace(Mark(3.0), colour="red")  # type: ignore[call-arg]


if __name__ == "__main__":
    unittest.main()
