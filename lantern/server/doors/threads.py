"""Django under ASGI, its synchronous work on a few threads that stay.

Django gives each request a thread of its own, and each thread opens a database handle that stays open until the
thread is collected: a thousand requests left ninety. Here all requests share a few threads, so handles are few
and reused. No transaction spans two steps of a request, so each step may take whichever thread is free.
"""

from collections.abc import AsyncIterator
from concurrent.futures import ThreadPoolExecutor
from contextlib import asynccontextmanager
from typing import Any

from asgiref.sync import SyncToAsync, ThreadSensitiveContext
from django.core.handlers.asgi import ASGIHandler

THREADS = 6
_context = ThreadSensitiveContext()
SyncToAsync.context_to_thread_executor[_context] = ThreadPoolExecutor(THREADS, thread_name_prefix="django")


@asynccontextmanager
async def on_few_threads() -> AsyncIterator[None]:
    """Inside, synchronous work (`sync_to_async`) runs on the threads that all requests share."""
    token = SyncToAsync.thread_sensitive_context.set(_context)
    try:
        yield
    finally:
        SyncToAsync.thread_sensitive_context.reset(token)


class FewThreads(ASGIHandler):
    """Django's handler, but for where synchronous work runs."""

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        async with on_few_threads():
            await self.handle(scope, receive, send)
