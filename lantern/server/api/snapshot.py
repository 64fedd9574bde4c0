"""The OpenAPI document as it is kept beside the code: the front end's types are generated from it."""

import json
from pathlib import Path
from typing import Any

from ninja import NinjaAPI
from pydantic.json_schema import models_json_schema

from lantern.core.values import Value

SNAPSHOT = Path(__file__).with_name("openapi.json")
DEFAULTS = SNAPSHOT.parents[3] / "frontend/src/api/defaults.json"
REF = "#/components/schemas/{model}"


def snapshot_of(api: NinjaAPI, messages: list[type[Value]]) -> str:
    """The API as JSON text, with the messages that travel over sockets among its schemas."""
    document: dict[str, Any] = api.get_openapi_schema()
    modes = [(model, "serialization") for model in messages]
    _, extra = models_json_schema(modes, ref_template=REF)  # type: ignore[arg-type]
    schemas = document["components"]["schemas"]
    for name, schema in extra["$defs"].items():
        if set(schemas.get(name, schema).get("properties", {})) != set(schema.get("properties", {})):
            raise ValueError(f"two shapes are called {name}: rename one")
        schemas[name] = schema
    return json.dumps(document, indent=1, ensure_ascii=False) + "\n"


def defaults_of(snapshot: str) -> str:
    """What the fields of items (by kind), of settings and of needs are unless somebody says otherwise, as JSON
    text: types alone do not tell the front end."""
    schemas: dict[str, Any] = json.loads(snapshot)["components"]["schemas"]
    kinds: dict[str, str] = schemas["PutItem"]["properties"]["item"]["discriminator"]["mapping"]
    defaults = {
        "items": {kind: _defaults(schemas[ref.rpartition("/")[2]]) for kind, ref in kinds.items()},
        "settings": _defaults(schemas["Settings"]),
        "needs": _defaults(schemas["Needs"]),
    }
    return json.dumps(defaults, indent=2, ensure_ascii=False) + "\n"


def _defaults(schema: dict[str, Any]) -> dict[str, Any]:
    """A field that need not be there and says no more is null."""
    optional = (name for name in schema["properties"] if name not in schema.get("required", ()))
    return {name: schema["properties"][name].get("default") for name in optional}
