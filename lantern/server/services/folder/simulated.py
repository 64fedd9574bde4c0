"""A folder service that ships: a real WebDAV server, in this process, over a folder of the installation's own. What is
put there goes through the same client and the same protocol as with a school's own service."""

from collections.abc import Callable
from typing import Any

import httpx
from django.conf import settings
from wsgidav.wsgidav_app import WsgiDAVApp

from lantern.server.services.folder.webdav import WebDav


class SimulatedFolder(WebDav):
    def __init__(self) -> None:
        root = settings.FOLDER_ROOT
        root.mkdir(parents=True, exist_ok=True)
        super().__init__("http://folder.invalid", httpx.WSGITransport(app=_with_paths_as_bytes(webdav_app(str(root)))))


def _with_paths_as_bytes(app: WsgiDAVApp) -> Callable[[dict[str, Any], Any], Any]:
    """The transport tells paths as text; WSGI wants their bytes (PEP 3333)."""

    def call(environ: dict[str, Any], start_response: Any) -> Any:
        return app({**environ, "PATH_INFO": environ["PATH_INFO"].encode().decode("latin-1")}, start_response)

    return call


def webdav_app(root: str) -> WsgiDAVApp:
    """For this process alone, or behind a web server of its own."""
    return WsgiDAVApp(
        {
            "provider_mapping": {"/": root},
            "http_authenticator": {"domain_controller": None},
            "simple_dc": {"user_mapping": {"*": True}},
            "verbose": 0,
            "logging": {"enable": False, "enable_loggers": []},
            "dir_browser": {"enable": False},
            "property_manager": None,
            "lock_storage": None,
        }
    )
