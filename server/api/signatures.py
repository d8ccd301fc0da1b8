"""Functions that are made for a row of a table, with the parameters that the row says."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from inspect import Parameter, Signature
from typing import Any

from api.request import MemberRequest

_NO_DEFAULTS: Mapping[str, Any] = {}


def with_parameters(
    view: Callable[..., Any],
    takes: Mapping[str, Any],
    usual: Mapping[str, Any] = _NO_DEFAULTS,
) -> Callable[..., Any]:
    """A view of a request as Ninja reads it: with these parameters, by name.

    Args:
        view: takes the request, and all else by name.
        takes: each parameter's annotation.
        usual: what one is where nothing is sent.

    Returns:
        A function that takes a request and these.
    """
    first = Parameter("request", Parameter.POSITIONAL_OR_KEYWORD, annotation=MemberRequest)
    others = [
        Parameter(
            name,
            Parameter.KEYWORD_ONLY,
            annotation=annotation,
            default=usual.get(name, Parameter.empty),
        )
        for name, annotation in takes.items()
    ]
    view.__signature__ = Signature([first, *others])  # type: ignore[attr-defined]
    return view
