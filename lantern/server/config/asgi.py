"""The server: HTTP by Django, sockets by plain ASGI endpoints behind Channels' router."""

import os

from django.core.asgi import get_asgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "lantern.server.config.settings")
django_app = get_asgi_application()

from channels.routing import ProtocolTypeRouter, URLRouter  # noqa: E402 - Django has to be set up first
from channels.security.websocket import AllowedHostsOriginValidator  # noqa: E402
from django.urls import path  # noqa: E402

from lantern.server.live.sockets import desk_socket, screen_socket, student_socket  # noqa: E402

application = ProtocolTypeRouter(
    {
        "http": django_app,
        "websocket": AllowedHostsOriginValidator(
            URLRouter(
                [  # Channels takes ASGI endpoints where Django's stubs expect views
                    path("live/student", student_socket),  # type: ignore[arg-type]
                    path("live/desk/<int:session_id>", desk_socket),
                    path("live/screen/<int:session_id>", screen_socket),
                ]
            )
        ),
    }
)
