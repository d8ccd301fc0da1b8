"""The API itself: its reader of bodies, its walls, its routes and its contract."""

from __future__ import annotations

import json
from typing import Any

from django.http import HttpRequest, HttpResponse
from ninja import NinjaAPI
from ninja.parser import Parser
from ninja.renderers import BaseRenderer
from ninja.responses import NinjaJSONEncoder

from api.answers import strict_json
from api.problems import handle_problems
from api.router import Router
from api.routes import (
    at_bench,
    benders,
    boxes,
    checks,
    crew,
    fittings,
    gauge,
    jobs,
    long_work,
    passkeys,
    planning,
    runs,
    session,
    sites,
    stock,
    verbs,
    walls,
)
from api.saved import add_routes, routes_in_a_job
from versions.kinds import SavedKind, every_kind
from yarrow import FORMATS, __version__, read_json, schema


class StrictParser(Parser):
    """JSON as the standard has it: no NaN, no Infinity, no bottomless nesting."""

    def parse_body(self, request: HttpRequest) -> Any:
        """The body's JSON.

        Returns:
            Plain JSON.

        Raises:
            DocumentError.
        """
        return read_json(request.body)


class StrictRenderer(BaseRenderer):
    """JSON out, with NaN and Infinity an error rather than an invalid document."""

    media_type = "application/json"

    def render(self, request: HttpRequest, data: Any, *, response_status: int) -> bytes:
        """The answer's bytes.

        Args:
            data: plain JSON, or what Ninja answers.
            response_status: of HTTP.

        Returns:
            UTF-8.
        """
        return strict_json(data)


class YarrowAPI(NinjaAPI):
    """Ninja's API with the core's documents in its contract."""

    def get_openapi_schema(self, **options: Any) -> Any:
        """The contract; where it says x-document, the core's own JSON Schema.

        Returns:
            An OpenAPI document.
        """
        contract = super().get_openapi_schema(**options)
        plain = json.loads(json.dumps(contract, cls=NinjaJSONEncoder))
        components = plain["components"]["schemas"]
        for name in _DOCUMENTS:
            document = dict(schema(name))
            definitions = document.pop("$defs")
            title = f"{name.capitalize()}Document"
            components[title] = _placed(document, title)
            for part, definition in definitions.items():
                components[f"{title}_{part}"] = _placed(definition, title)
        return _placed(plain, "")


_DOCUMENTS = tuple(dict.fromkeys(row.schema for row in FORMATS.values()))
"""The schemas of all that something can be asked with."""


def _placed(node: Any, title: str) -> Any:
    """A schema with its references turned to where its parts stand in the contract."""
    if isinstance(node, list):
        return [_placed(item, title) for item in node]
    if not isinstance(node, dict):
        return node
    if "x-document" in node:
        part = f"_{node['x-part']}" if "x-part" in node else ""
        return {"$ref": f"#/components/schemas/{node['x-document'].capitalize()}Document{part}"}
    result = {
        key: _placed(value, title)
        for key, value in node.items()
        if key not in (_READERS_OWN if title else ())
    }
    reference = result.get("$ref", "")
    if isinstance(reference, str) and reference.startswith("#/$defs/"):
        result["$ref"] = f"#/components/schemas/{title}_{reference.removeprefix('#/$defs/')}"
    return result


_READERS_OWN = (
    *("$schema", "$id", "default", "discriminator"),
    *("x-above", "x-gone", "x-least", "x-names", "x-quantity", "x-usual"),
)
"""Of a core schema, what is not for a client: it has to send nothing where there is a default."""


def new_api(namespace: str) -> YarrowAPI:
    """An API without routes.

    Args:
        namespace: of its addresses.
    """
    built = YarrowAPI(
        title="Yarrow",
        version=__version__,
        description="Plan and keep conduit runs. Shapes: docs/run-file.md.",
        parser=StrictParser(),
        renderer=StrictRenderer(),
        docs_url=None,
        openapi_url="openapi.json",
        urls_namespace=namespace,
    )
    handle_problems(built)
    return built


def add_plain_kind(to: YarrowAPI, kind: SavedKind[Any]) -> None:
    """The routes of a kind that needs none of its own.

    Args:
        to: that they are added to.
        kind: of saved documents that a job has.
    """
    router = Router(tags=[kind.many])
    add_routes(router, routes_in_a_job(router, kind))
    to.add_router("", router)


def _build() -> YarrowAPI:
    built = new_api("api")
    # Addresses are tried in turn: what every key asks for comes first.
    for part in (
        verbs,
        planning,
        checks,
        session,
        passkeys,
        jobs,
        walls,
        sites,
        gauge,
        crew,
        long_work,
    ):
        built.add_router("", part.router)
    own = (runs, boxes, stock, at_bench, benders, fittings)
    for part in own:
        add_routes(part.router, part.SAVED)
        built.add_router("", part.router)
    with_their_own = [part.SAVED.kind for part in own]
    for kind in every_kind():
        if kind not in with_their_own:
            add_plain_kind(built, kind)
    return built


api = _build()


def missing(request: HttpRequest) -> HttpResponse:
    """For addresses under the API that lead nowhere."""
    body = {"code": "not-found", "message": "There is no such address.", "errors": []}
    return api.create_response(request, body, status=404)
