"""Makes the one API object."""

from collections.abc import Mapping

from ninja import NinjaAPI, Router

from lantern.server.api.errors import add_error_replies


def make_api(routers: Mapping[str, Router]) -> NinjaAPI:
    api = NinjaAPI(title="Tall Lantern", version="1", docs_url=None, openapi_url=None)
    add_error_replies(api)
    for prefix, router in routers.items():
        api.add_router(f"/{prefix}", router, tags=[prefix])
    return api
