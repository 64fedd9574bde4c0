"""Wrong codes are turned away at the door: whoever guesses costs next to nothing, and nobody waits behind him.

Right codes go on to the API, which alone says what a device is told of a session.
"""

import re

from asgiref.sync import sync_to_async
from django.http import HttpRequest, HttpResponse
from django.http.response import HttpResponseBase
from django.utils.deprecation import MiddlewareMixin

from lantern.core.errors import LanternError
from lantern.server.api import limits
from lantern.server.api.errors import reply_to, status_of
from lantern.server.live.queries import refuse_code

_LOOK_UP = re.compile(r"^/api/live/codes/([^/]{1,40})$")


class Doorman(MiddlewareMixin):
    """Stands before sessions and sign-ins, and behind what every reply has."""

    async def __acall__(self, request: HttpRequest) -> HttpResponseBase:
        asked = _LOOK_UP.match(request.path) if request.method == "GET" else None
        try:
            if asked:
                device, address = request.headers.get("X-Device", ""), limits.address_of(request)
                await sync_to_async(refuse_code)(asked[1], device, address)
        except LanternError as error:
            reply = HttpResponse(reply_to(error).model_dump_json(), "application/json", status_of(error))
            reply["Cache-Control"] = "no-store"
            return reply
        return await self.get_response(request)  # type: ignore[misc]  # its stubs know no asynchronous chain
