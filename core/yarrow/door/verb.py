"""A verb of the public door: a document in, an answer out, in each of the forms that it has."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import field
from typing import Any, Generic, NamedTuple, TypeVar, cast

from yarrow.by_name import function_named
from yarrow.door.shared import Answer, Document, wording_for
from yarrow.values import dataclass
from yarrow.wording.wording import EN_US, Language, Wording

Asked = TypeVar("Asked")
Values = TypeVar("Values")


class Written(NamedTuple):
    """An answer as lines of ``text``, lengths in the document's units, and whether nothing in it is
    an error."""

    text: str
    can_be_made: bool


@dataclass(frozen=True, slots=True)
class Argument:
    """What a verb takes beside its document: its ``name``, what it is in ``words``, and whether it
    is a list of any length."""

    name: str
    words: str
    many: bool = False


@dataclass(frozen=True, slots=True)
class Option:
    """What a verb can be told: its ``name``, the ``kind`` of its value, what it is in ``words``;
    ``usual`` is what it is where nothing is said."""

    name: str
    kind: type
    words: str
    usual: Any = None


@dataclass(frozen=True, slots=True)
class Verb(Generic[Asked, Values]):
    """What is asked of the core. Called with a document it gives plain JSON, in a ``language``
    (left out: the one that is spoken where the document's units are usual).

    Args:
        name: that it is called by, at the door and on the command line.
        takes: the name of its document's format.
        room: of the core, and its function that gives the answer as frozen values.
        result: the type of those, by its name at the door.
        words: what it does, in a line.
        beside: what it takes beside its document, in order.
        options: what it can be told.
        forms: how an answer is written as lines of text: the form's name, its room and function.
        asked_by_everyone: whether it is asked over the network as it is.
    """

    name: str
    takes: str
    room: str
    result: str
    words: str
    beside: tuple[Argument, ...] = ()
    options: tuple[Option, ...] = ()
    forms: Mapping[str, str] = field(default_factory=dict)
    asked_by_everyone: bool = True

    def __call__(
        self,
        document: Asked | Document,
        *beside: Any,
        language: Language | None = None,
        **options: Any,
    ) -> Answer:
        """The answer as JSON.

        Args:
            document: of the format that it takes.
            beside: what it takes beside that, in order.
            language: of its words; left out, the one spoken where the document's units are usual.
            options: what it can be told, by name.

        Returns:
            Plain JSON, in the format that the verb answers in.

        Raises:
            DocumentError.
        """
        values = self.values(document, *beside, **options)
        plain = function_named("documents.writing:plain")
        answer: Answer = plain(values, wording_for(cast(Document, document), language))
        return answer

    def values(self, document: Asked | Document, *beside: Any, **options: Any) -> Values:
        """The same answer as frozen values, for who draws it.

        Args:
            document: of the format that it takes.
            beside: what it takes beside that, in order.
            options: what it can be told, by name.

        Raises:
            DocumentError.
        """
        result: Values = function_named(self.room)(document, *beside, **options)
        return result

    def load(self) -> None:
        """Loads what answers it, which else is loaded when it is first asked."""
        function_named(self.room)

    def written(
        self, document: Asked | Document, form: str, language: Language | None = None
    ) -> Written:
        """The same answer as text.

        Args:
            document: of the format that it takes.
            form: one of its ``forms``.
            language: of its words; left out, the one spoken where the document's units are usual.

        Raises:
            DocumentError.
        """
        made: Any = self.values(document)
        text = self.text(made, form, wording_for(cast(Document, document), language))
        return Written(text, getattr(made, "can_be_made", True))

    def text(self, values: Values, form: str, wording: Wording = EN_US) -> str:
        """An answer that is there as text.

        Args:
            values: the answer, as ``values`` gives it.
            form: one of its ``forms``.
            wording: of what is said in words.

        Returns:
            With its last line's end.
        """
        text: str = function_named(self.forms[form])(values, wording)
        return text
