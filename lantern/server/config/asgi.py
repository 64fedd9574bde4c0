"""The server: HTTP by Django, sockets by plain endpoints behind Channels' router."""

import os

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "lantern.server.config.settings")
django.setup(set_prefix=False)

from channels.routing import ProtocolTypeRouter, URLRouter  # noqa: E402 - Django has to be set up first
from django.urls import path, re_path  # noqa: E402

from lantern.server.doors.origin import own_pages_only  # noqa: E402
from lantern.server.doors.threads import FewThreads  # noqa: E402
from lantern.server.live.sockets import (  # noqa: E402
    desk_socket,
    remote_socket,
    screen_socket,
    student_socket,
    unknown_socket,
)
from lantern.server.work.endpoint import answering  # noqa: E402

application = ProtocolTypeRouter(
    {
        "http": answering(FewThreads()),
        "websocket": own_pages_only(
            URLRouter(
                [  # Channels takes ASGI endpoints where Django's stubs expect views
                    path("live/student", student_socket),  # type: ignore[arg-type]
                    path("live/desk/<int:session_id>", desk_socket),
                    path("live/screen/<int:session_id>", screen_socket),
                    path("live/remote", remote_socket),  # type: ignore[arg-type]
                    re_path("", unknown_socket),  # type: ignore[arg-type]
                ]
            )
        ),
    }
)
