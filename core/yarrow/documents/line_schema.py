"""The part of the run's JSON Schema that follows from the kinds of lines: one definition a kind."""

from __future__ import annotations

from typing import Any

from yarrow.catalog.fittings import fittings
from yarrow.features.in_document import Field, InDocument
from yarrow.features.registry import KINDS
from yarrow.obstacles.registry import OBSTACLES


def line_definitions() -> dict[str, dict[str, Any]]:
    """The definitions of all kinds by name, ``line``, which is one of them, and the ``fitting``
    that a run may begin and end in.

    Returns:
        By name, for the ``$defs`` of a JSON Schema.
    """
    documents = [kind.document for kind in (*KINDS.values(), *OBSTACLES.values())]
    # An end comes last, as in a walk.
    documents.sort(key=lambda document: document.kind == "end")
    result = {document.kind: _definition(document) for document in documents}
    kinds = [{"$ref": f"#/$defs/{kind}"} for kind in result]
    line = {"oneOf": kinds, "discriminator": {"propertyName": "kind"}}
    return {"fitting": {"type": "string", "enum": list(fittings())}, "line": line, **result}


def _definition(document: InDocument) -> dict[str, Any]:
    *fields, label = document.fields
    properties = {field.name: _property(field) for field in fields}
    if document.loose:
        properties["loose"] = {
            "type": "array",
            "items": {"type": "string", "enum": list(document.loose)},
            "default": [],
            "maxItems": 4,
            "description": "Numbers of this line that may be moved so that both ends meet.",
        }
    properties[label.name] = _property(label)
    return {
        **({"description": document.about} if document.about else {}),
        "type": "object",
        "additionalProperties": False,
        "required": ["kind", *(field.name for field in document.fields if field.required)],
        "properties": {"kind": {"const": document.kind}, **properties},
    }


def _property(field: Field) -> dict[str, Any]:
    shapes: list[dict[str, Any]] = []
    if field.shape:
        shapes.append({"$ref": f"#/$defs/{field.shape}"})
    if field.words:
        shapes.append({"type": "string", "enum": list(field.words)})
    return {
        **(shapes[0] if len(shapes) == 1 else {"oneOf": shapes}),
        **({} if field.default is None else {"default": field.default}),
        **({} if field.usual is None else {"x-usual": dict(field.usual)}),
        **({"description": field.about} if field.about else {}),
    }
