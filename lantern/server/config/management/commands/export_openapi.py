"""Writes the OpenAPI snapshot."""

from django.core.management.base import BaseCommand

from lantern.server.api.snapshot import SNAPSHOT, snapshot_of
from lantern.server.config.routers import api
from lantern.server.live.schemas import SOCKET_MESSAGES


class Command(BaseCommand):
    help = "Write the OpenAPI document that the front end's types are generated from."

    def handle(self, *args: object, **options: object) -> None:
        SNAPSHOT.write_text(snapshot_of(api, SOCKET_MESSAGES))
        self.stdout.write(f"Written: {SNAPSHOT}")
