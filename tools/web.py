"""Requests to a server of our own on this machine, as httpx makes them.

No certificates are read for them: that takes longer than most requests, and there is nothing to check.
"""

import ssl
from functools import partial

import httpx

_NO_CERTIFICATES = ssl.SSLContext(ssl.PROTOCOL_TLS_CLIENT)
get = partial(httpx.get, verify=_NO_CERTIFICATES, timeout=60)
post = partial(httpx.post, verify=_NO_CERTIFICATES, timeout=60)
request = partial(httpx.request, verify=_NO_CERTIFICATES, timeout=60)
client = partial(httpx.Client, verify=_NO_CERTIFICATES, timeout=60)
async_client = partial(httpx.AsyncClient, verify=_NO_CERTIFICATES, timeout=60)
