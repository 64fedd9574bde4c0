"""Writes the OpenAPI snapshot, and the defaults in it."""

from django.core.management.base import BaseCommand

from lantern.server.api.snapshot import DEFAULTS, SNAPSHOT, defaults_of, snapshot_of
from lantern.server.config.routers import api
from lantern.server.live.schemas import SOCKET_MESSAGES


class Command(BaseCommand):
    help = "Write the OpenAPI document that the front end's types are generated from."

    def handle(self, *args: object, **options: object) -> None:
        snapshot = snapshot_of(api, SOCKET_MESSAGES)
        SNAPSHOT.write_text(snapshot)
        DEFAULTS.write_text(defaults_of(snapshot))
        self.stdout.write(f"Written: {SNAPSHOT}, {DEFAULTS}")
