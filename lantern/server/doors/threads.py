"""Django under ASGI, its synchronous work on a few threads that stay.

Django gives each request a thread of its own, and each thread opens a database handle that stays open until the
thread is collected: a thousand requests left hundreds. Here all requests share a few threads, so handles are few
and reused. No transaction spans two steps of a request, so each step may take whichever thread is free.
"""

from concurrent.futures import ThreadPoolExecutor
from typing import Any

from asgiref.sync import SyncToAsync, ThreadSensitiveContext
from django.core.handlers.asgi import ASGIHandler

THREADS = 6


class FewThreads(ASGIHandler):
    """Django's handler, but for where synchronous work runs."""

    def __init__(self) -> None:
        super().__init__()
        self._context = ThreadSensitiveContext()
        executor = ThreadPoolExecutor(max_workers=THREADS, thread_name_prefix="django")
        SyncToAsync.context_to_thread_executor[self._context] = executor

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        token = SyncToAsync.thread_sensitive_context.set(self._context)
        try:
            await self.handle(scope, receive, send)
        finally:
            SyncToAsync.thread_sensitive_context.reset(token)
