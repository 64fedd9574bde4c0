"""Static files under ASGI."""

import asyncio
from collections.abc import Callable

from django.http import FileResponse, HttpRequest, HttpResponse
from django.utils.decorators import sync_and_async_middleware
from whitenoise.middleware import WhiteNoiseMiddleware


class _Files(WhiteNoiseMiddleware):
    """WhiteNoise's lookup of files, whose answer is read whole: ours are small and cached for good.

    WhiteNoise streams with a synchronous iterator, which ASGI would have to run in a thread a chunk.
    """

    def answer(self, request: HttpRequest) -> HttpResponse | None:
        static_file = self.files.get(request.path_info)
        if static_file is None:
            return None
        response = self.serve(static_file, request)
        if not isinstance(response, FileResponse):
            return response
        whole = HttpResponse(response.getvalue(), status=response.status_code, headers=dict(response.items()))
        response.close()
        return whole


@sync_and_async_middleware
def AsyncWhiteNoise(get_response: Callable) -> Callable:  # noqa: N802 - named like a middleware class
    files = _Files(get_response=lambda request: None)

    async def answer_async(request: HttpRequest) -> HttpResponse:
        return files.answer(request) or await get_response(request)

    def answer(request: HttpRequest) -> HttpResponse:
        return files.answer(request) or get_response(request)

    return answer_async if asyncio.iscoroutinefunction(get_response) else answer
