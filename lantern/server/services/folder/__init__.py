"""The folder service: a port, WebDAV, and a simulated one that ships. FOLDER_URL names a school's own."""

from functools import cache

from django.conf import settings

from lantern.server.services.folder.port import FolderService


@cache
def folder_service() -> FolderService:
    """The service that this installation uses; it is loaded when it is first wanted."""
    if settings.FOLDER_URL:
        from lantern.server.services.folder.webdav import WebDav

        return WebDav(settings.FOLDER_URL)
    from lantern.server.services.folder.simulated import SimulatedFolder

    return SimulatedFolder()
