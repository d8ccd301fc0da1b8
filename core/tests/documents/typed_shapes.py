"""``core/yarrow/shapes.py``: every format as a TypedDict, from its schema, for who writes documents
in Python. Written anew by ``./yarrow contract``."""

from __future__ import annotations

import json
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import yarrow

SHAPES = Path(yarrow.__file__).parent / "shapes.py"

_HEAD = '''"""The documents of each format, as a type checker knows them.

Made from their schemas by ``./yarrow contract``: what is written here by hand is lost.
"""

from __future__ import annotations

from typing import Literal, NotRequired, TypeAlias, TypedDict
'''

_PLAIN = {
    "string": "str",
    "integer": "int",
    "number": "float",
    "boolean": "bool",
    "object": "dict[str, object]",
    "null": "None",
}

Node = dict[str, Any]


def written() -> str:
    """The whole file."""
    rows = {(row.schema, row.part): _document(row.name) for row in yarrow.FORMATS.values()}
    found: list[str] = []
    for schema in dict.fromkeys(row.schema for row in yarrow.FORMATS.values()):
        root = yarrow.schema(schema)
        parts = root["$defs"]
        known = {part: rows.get((schema, part), _camel(f"{schema}_{part}")) for part in parts}
        for part, node in parts.items():
            found += _defined(known[part], node, known)
        found += _defined(rows[schema, ""], root, known)
    return "\n\n".join([_HEAD.rstrip(), *found]) + "\n"


def _document(format_name: str) -> str:
    return f"{_camel(format_name)}Document"


def _camel(name: str) -> str:
    return "".join(part[:1].upper() + part[1:] for part in name.split("_"))


def _defined(name: str, node: Node, known: dict[str, str]) -> Iterator[str]:
    """A type by its name, after those of the mappings that stand within it."""
    if "properties" not in node:
        yield f"{name}: TypeAlias = {json.dumps(_type(node, known))}{_about(node)}"
        return
    fields = []
    for field, part in node["properties"].items():
        within = f"{name}{_camel(field)}"
        if "properties" in part:
            yield from _defined(within, part, known)
        said = within if "properties" in part else _type(part, known)
        needed = field in node.get("required", ())
        typed = json.dumps(said)
        fields.append(f'        "{field}": {typed if needed else f"NotRequired[{typed}]"},')
    lines = (f"{name} = TypedDict(", f'    "{name}",', "    {", *fields, "    },", ")")
    yield "\n".join(lines) + _about(node)


def _about(node: Node) -> str:
    about = node.get("description", "").strip().rstrip(".")
    return f'\n"""{about}."""' if about else ""


def _type(node: Node, known: dict[str, str]) -> str:
    """What stands there, without names of mappings within."""
    if "$ref" in node:
        return known[node["$ref"].rpartition("/")[2]]
    if "oneOf" in node:
        return " | ".join(dict.fromkeys(_type(each, known) for each in node["oneOf"]))
    if "const" in node or "enum" in node:
        words = node.get("enum", [node.get("const")])
        return f"Literal[{', '.join(map(repr, words))}]"
    if node.get("type") == "array":
        return f"list[{_type(node['items'], known)}]"
    kinds = node.get("type", "object")
    return " | ".join(_PLAIN[kind] for kind in ([kinds] if isinstance(kinds, str) else kinds))


if __name__ == "__main__":
    SHAPES.write_text(written(), "utf-8")
