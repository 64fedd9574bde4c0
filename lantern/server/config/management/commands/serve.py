"""Starts the server."""

import contextlib
import gc
import socket
from typing import Any

import uvicorn
from django.conf import settings
from django.core.management.base import BaseCommand, CommandError, CommandParser
from django.db import connection

from lantern.server.accounts.invitations import invite, link
from lantern.server.accounts.models import Teacher
from lantern.server.api.addresses import is_this_machine
from lantern.server.aside import worker
from lantern.server.config.backups import finish_restoring, serving
from lantern.server.doors import protocols
from lantern.server.doors.acceptor import DoorServer
from lantern.server.doors.descriptors import raise_limit
from lantern.server.doors.lines import PATIENCE, Lines

ANYWHERE = "0.0.0.0"  # noqa: S104 - the teacher asks for it with HOST=
BACKLOG = 4096


class Command(BaseCommand):
    help = "Start Tall Lantern on one address until Ctrl-C."

    def add_arguments(self, parser: CommandParser) -> None:
        parser.add_argument("--host", default="127.0.0.1")
        parser.add_argument("--port", type=int, default=8000)
        parser.add_argument("--hint", default="", help="lines to print below the address; \\n between them")

    def handle(self, *args: Any, **options: Any) -> None:
        with serving():
            finish_restoring()
            self.serve(**options)

    def serve(self, host: str, port: int, hint: str, **options: Any) -> None:
        listener = _listen(host, port)
        address = f"http://{_own_address() if host == ANYWHERE else host}:{listener.getsockname()[1]}"
        if host == ANYWHERE:
            settings.ALLOWED_HOSTS = [*settings.ALLOWED_HOSTS, _own_address()]
            settings.PUBLIC_URL = settings.PUBLIC_URL or address
        settings.SIGN_UP = settings.SIGN_UP or ("open" if is_this_machine(host) else "closed")
        self.stdout.write(f"\nTall Lantern is at {address}\n")
        if not Teacher.objects.exists():
            first = link(settings.PUBLIC_URL or address, invite())
            self.stdout.write(f"Nobody has an account yet. Make the first one, within a week, at\n  {first}\n")
        if worker.has_work():  # left by a server before this one
            worker.wake()
        connection.close()
        if hint:
            self.stdout.write(hint.replace("\\n", "\n") + "\n")
        descriptors = raise_limit()
        lines = Lines.within(descriptors, frozenset(settings.TRUSTED_PROXIES))
        protocols.doors.lines = lines
        self.stdout.write(f"It holds {lines.most:,} connections at once ({descriptors:,} open files are allowed).\n")
        self.stdout.write("Press Ctrl-C to stop it. Everything is kept.\n")
        self.stdout.flush()
        config = uvicorn.Config(
            "lantern.server.config.asgi:application",
            log_level="warning",
            access_log=False,
            lifespan="off",
            http=protocols.HttpProtocol,
            ws=protocols.SocketProtocol,
            timeout_keep_alive=int(PATIENCE),
            proxy_headers=bool(settings.TRUSTED_PROXIES),  # whoever forges a header is nobody's proxy
            forwarded_allow_ips=settings.TRUSTED_PROXIES or None,
            ws_per_message_deflate=False,  # our messages are small: compressing them costs more than it saves
            ws_max_size=128 * 1024,
            backlog=BACKLOG,
            timeout_graceful_shutdown=2,
        )
        collect_less_often()
        with contextlib.suppress(KeyboardInterrupt):  # uvicorn has closed everything and passes Ctrl-C on
            DoorServer(config).run(sockets=[listener])
        self.stdout.write("Stopped.")


def _listen(host: str, port: int) -> socket.socket:
    listener = socket.socket(socket.AF_INET6 if ":" in host else socket.AF_INET)
    listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        listener.bind((host, port))
    except OSError as error:
        listener.close()
        raise CommandError(
            f"Port {port} on {host} cannot be used: another program has it, or it is not allowed. "
            f"Choose another, as in: make demo PORT={port + 1 if port < 65535 else 8000}"
        ) from error
    listener.listen(BACKLOG)
    return listener


def collect_less_often() -> None:
    """A burst of answers makes many small objects that live on: looking through all of them for cycles
    again and again took a third of its time (docs/performance.md)."""
    gc.collect()
    gc.freeze()
    gc.set_threshold(50_000, 20, 50)


def _own_address() -> str:
    """This machine's address on its network, found without sending anything."""
    with socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        try:
            probe.connect(("192.0.2.1", 9))  # an address kept for documentation: no packet leaves
        except OSError:
            return "127.0.0.1"
        return str(probe.getsockname()[0])
