"""Reading by JSON Schema: checks a document against a shipped schema and converts what it holds.

The core has no third-party package, so this is a small reader of the keywords that the shipped
schemas use; a keyword it does not know is an error when the schema is compiled, never a check that
is quietly left out. The tests hold it to a full validator. Beyond checking, it

- turns strings and numbers with ``"format": "length"`` into exact fractions in the document's unit,
- fills in ``default`` values, and ``x-usual`` ones by unit, so that what comes out is complete,
- chooses a branch of ``oneOf`` by the property that ``discriminator`` names.
"""

from __future__ import annotations

import json
import math
import re
from collections.abc import Callable
from decimal import Decimal
from functools import cache
from pathlib import Path
from typing import Any
from unicodedata import category

from yarrow.by_name import function_named
from yarrow.documents.errors import DocumentError
from yarrow.documents.upgrading import refuse_newer, upgrade
from yarrow.measure.tape import LengthSyntaxError, Reading, read_length
from yarrow.measure.units import Unit

_HERE = Path(__file__).parent / "schemas"

SCHEMAS = tuple(sorted(path.name.partition(".")[0] for path in _HERE.glob("*.schema.json")))
"""The formats that have one, by name."""

ReadValue = Callable[[Any, str, Unit], Any]
"""Reads a value at a path in a document of that unit; raises DocumentError."""

_MARGINAL = {
    *("$schema", "$id", "$defs", "title", "description", "examples", "default"),
    *("x-names", "x-gone"),
}
_KNOWN = {
    "object": {"type", "properties", "required", "additionalProperties"},
    "array": {"type", "items", "minItems", "maxItems"},
    "string": {"type", "enum", "const", "maxLength", "x-quantity"},
    "number": {"type", "minimum", "maximum", "x-quantity"},
    "integer": {"type", "minimum", "maximum"},
    "boolean": {"type"},
    "length": {"type", "format", "maxLength", "x-least", "x-above", "x-usual", "x-quantity"},
}


@cache
def schema(name: str) -> dict[str, Any]:
    """A shipped JSON Schema (draft 2020-12) by its format's name: ``run``, ``bends``, ``plan``.

    Args:
        name: one of ``SCHEMAS``.

    Returns:
        The whole of it, with its ``$defs``.
    """
    result: dict[str, Any] = json.loads((_HERE / f"{name}.schema.json").read_text("utf-8"))
    if name in _FROM_REGISTRIES:
        result["$defs"] = _FROM_REGISTRIES[name](result["$defs"])
    return result


def _of_a_bender() -> dict[str, Any]:
    """What a run's bender is told by, with all that this refers to: a wall's is told likewise."""
    of_run = schema("run")["$defs"]
    result: dict[str, Any] = {}
    waiting = ["bender"]
    while waiting:
        name = waiting.pop()
        if name not in result:
            result[name] = of_run[name]
            waiting += re.findall(r'"#/\$defs/(\w+)"', json.dumps(of_run[name]))
    return result


def _bend_as_read(own: dict[str, Any]) -> dict[str, Any]:
    """A bend that is made, with all that can be read of one."""
    made, kinds = own["made"], function_named("bench.readings.registry:READINGS")
    readings = {name: dict(kind.schema) for name, kind in kinds.items()}
    return {**own, "made": {**made, "properties": {**readings, **made["properties"]}}}


_FROM_REGISTRIES: dict[str, Callable[[dict[str, Any]], dict[str, Any]]] = {
    "run": lambda own: {**own, **function_named("documents.line_schema:line_definitions")()},
    "wall": lambda own: {**_of_a_bender(), **own},
    "bench": _bend_as_read,
}
"""What a shipped schema's definitions are with the kinds that registries have, by its name."""


@cache
def reader(name: str, part: str = "") -> ReadValue:
    """The compiled reader of a shipped schema, or of one of the parts that it defines. Documents of
    earlier versions are upgraded before.

    Raises (once, when compiling): ValueError for a keyword that it would not check.

    Args:
        name: of the format.
        part: among its definitions (empty: the whole).
    """
    document = schema(name)
    read = _compile({"$ref": f"#/$defs/{part}"} if part else document, document)
    newest = newest_format(name, part)

    def read_newest(value: Any, path: str, unit: Unit) -> Any:
        value = upgrade(value)
        refuse_newer(value, newest)
        return read(value, path, unit)

    return read_newest


def newest_format(name: str, part: str = "") -> str | None:
    """The format's name and version that a schema is of; None of a part without one.

    Args:
        name: one of ``SCHEMAS``.
        part: one of its definitions; empty, the whole.

    Returns:
        ``yarrow.run/1``.
    """
    document = schema(name)
    properties = (document["$defs"][part] if part else document).get("properties", {})
    result: str | None = properties.get("format", {}).get("const")
    return result


def _compile(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    if "$ref" in node:
        target = root["$defs"][node["$ref"].removeprefix("#/$defs/")]
        return _compile({**target, **{k: v for k, v in node.items() if k != "$ref"}}, root)
    if "oneOf" in node:
        return _one_of(node, root)
    if "const" in node and "type" not in node:
        node = {**node, "type": "string"}
    kind = "length" if node.get("format") == "length" else node["type"]
    unknown = set(node) - _KNOWN[kind] - _MARGINAL
    if unknown:
        raise ValueError(f"schema keywords that are not checked: {sorted(unknown)}")
    return _COMPILERS[kind](node, root)


def _object(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    properties = {key: _compile(child, root) for key, child in node["properties"].items()}
    required = node.get("required", [])
    usual = {key: usual_values(resolved(child, root)) for key, child in node["properties"].items()}
    defaults = {key: by_unit for key, by_unit in usual.items() if by_unit is not None}
    known = _listed(list(properties))

    def read(value: Any, path: str, unit: Unit) -> dict[str, Any]:
        if not isinstance(value, dict):
            raise DocumentError(path, _WORDS["object"])
        prefix = f"{path}." if path else ""
        result = {}
        for key, item in value.items():
            property_reader = properties.get(key)
            if property_reader is None:
                name = key if len(key) <= 40 and key.isprintable() else "…"
                raise DocumentError(f"{prefix}{name}", f"no such field; one of {known}")
            result[key] = property_reader(item, f"{prefix}{key}", unit)
        for key in required:
            if key not in result:
                raise DocumentError(f"{prefix}{key}", "a value; it is missing")
        for key, default in defaults.items():
            if key not in result:
                result[key] = properties[key](default[unit], f"{prefix}{key}", unit)
        return result

    return read


def _array(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    item_reader = _compile(node["items"], root)
    least, most = node.get("minItems", 0), node.get("maxItems", math.inf)

    def read(value: Any, path: str, unit: Unit) -> list[Any]:
        if not isinstance(value, list | tuple):
            raise DocumentError(path, _WORDS["array"])
        if not least <= len(value) <= most:
            wanted = f"at least {least}" if len(value) < least else f"at most {most}"
            raise DocumentError(path, f"{wanted} item{'s' if wanted[-2:] != ' 1' else ''}")
        return [item_reader(item, f"{path}[{i}]", unit) for i, item in enumerate(value)]

    return read


def _one_of(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    if "discriminator" not in node:
        return _branch_by_type(
            [_compile(branch, root) for branch in node["oneOf"]], node["description"]
        )
    name = node["discriminator"]["propertyName"]
    branches = {
        resolved(branch, root)["properties"][name]["const"]: _compile(branch, root)
        for branch in node["oneOf"]
    }
    known = _listed(list(branches))

    def read(value: Any, path: str, unit: Unit) -> Any:
        if not isinstance(value, dict):
            raise DocumentError(path, _WORDS["object"])
        word = value.get(name)
        branch = branches.get(word) if isinstance(word, str) else None
        if branch is None:
            raise DocumentError(f"{path}.{name}", f"one of {known}")
        return branch(value, path, unit)

    return read


def _branch_by_type(branches: list[ReadValue], expected: str) -> ReadValue:
    """A text or an object: whichever branch takes the value's type decides the refusal."""

    def read(value: Any, path: str, unit: Unit) -> Any:
        for branch in branches:
            try:
                return branch(value, path, unit)
            except DocumentError as refusal:
                if refusal.path != path:  # it was of the right type, and wrong further in
                    raise
        raise DocumentError(path, expected)

    return read


def _string(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    words = frozenset(node.get("enum", [node["const"]] if "const" in node else []))
    expected = f"one of {_listed(sorted(words))}" if len(words) > 1 else _listed(list(words))
    longest = node.get("maxLength", math.inf)

    def read(value: Any, path: str, unit: Unit) -> str:
        if not isinstance(value, str):
            raise DocumentError(path, expected if words else _WORDS["string"])
        if words and value not in words:
            raise DocumentError(path, expected)
        if len(value) > longest:
            raise DocumentError(path, f"at most {longest} characters")
        if _has_control(value):
            raise DocumentError(path, "text without control codes and marks of direction")
        return value

    return read


_LINES = "\t\n\r"
"""What a text of several lines may hold."""


def _has_control(text: str) -> bool:
    """Control codes, halves of letters, and marks that turn what stands beside them round."""
    if text.isprintable():
        return False
    return any(
        category(letter) in ("Cc", "Cf", "Cs", "Zl", "Zp") and letter not in _LINES
        for letter in text
    )


def _number_reader(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    least, most = node.get("minimum", -math.inf), node.get("maximum", math.inf)
    whole = node["type"] == "integer"
    expected = "a whole number" if whole else "a number"
    if "minimum" in node and "maximum" in node:
        expected += f" from {least} to {most}"

    def read(value: Any, path: str, unit: Unit) -> float | int:
        if isinstance(value, bool) or not isinstance(value, int | float | Decimal):
            raise DocumentError(path, expected)
        finite = isinstance(value, int) or math.isfinite(value)
        if not (finite and least <= value <= most):
            raise DocumentError(path, expected)
        if not whole:
            return float(value)
        if value != int(value):
            raise DocumentError(path, expected)
        return int(value)

    return read


def _boolean(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    def read(value: Any, path: str, unit: Unit) -> bool:
        if not isinstance(value, bool):
            raise DocumentError(path, "true or false")
        return value

    return read


def _length_reader(node: dict[str, Any], root: dict[str, Any]) -> ReadValue:
    above, least = node.get("x-above"), node.get("x-least")

    def read(value: Any, path: str, unit: Unit) -> Reading:
        try:
            reading = read_length(value, unit)
        except LengthSyntaxError as error:
            raise DocumentError(path, error.expected + _found_instead(value)) from None
        if above is not None and reading.value <= above:
            raise DocumentError(path, f"a length above {above}")
        if least is not None and reading.value < least:
            raise DocumentError(path, f"a length of {least} or more")
        return reading

    return read


def usual_values(node: dict[str, Any]) -> dict[Unit, Any] | None:
    """What stands for a property that is left out, by the document's unit; None where nothing.

    Args:
        node: of the schema.

    Returns:
        By unit, as a document has it.
    """
    if "default" in node:
        return {"in": node["default"], "mm": node["default"]}
    return node.get("x-usual")


def _found_instead(value: object) -> str:
    """What was found instead, where repeating it helps."""
    if isinstance(value, str) and len(value) <= 30 and value.isprintable():
        return f', not "{value}"' if value.strip() else ", not an empty field"
    return ""


def resolved(node: dict[str, Any], root: dict[str, Any]) -> dict[str, Any]:
    """A schema's node with what it refers to, its own keywords before those of the reference.

    Args:
        node: of the schema.
        root: the whole of it.

    Returns:
        A node without a reference.
    """
    if "$ref" not in node:
        return node
    target: dict[str, Any] = root["$defs"][node["$ref"].removeprefix("#/$defs/")]
    return {**target, **node}


def _listed(words: list[str]) -> str:
    return ", ".join(words)


_WORDS = {"object": "an object", "array": "a list", "string": "a text"}

_COMPILERS: dict[str, Callable[[dict[str, Any], dict[str, Any]], ReadValue]] = {
    "object": _object,
    "array": _array,
    "string": _string,
    "number": _number_reader,
    "integer": _number_reader,
    "boolean": _boolean,
    "length": _length_reader,
}
