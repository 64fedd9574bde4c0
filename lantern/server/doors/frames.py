"""Frames of WebSocket messages (RFC 6455, 5.2), for the one case that makes up nearly all: whole, short texts.

Anything else (fragments, control frames, halves of frames, long ones) is left to the library.
"""

import struct

from websockets.speedups import apply_mask

TEXT, MASKED = 0x81, 0x80
LONGEST = 65_535


def text_frame(text: str) -> bytes:
    """A text message as it travels from server to device: not masked."""
    payload = text.encode()
    size = len(payload)
    if size < 126:
        return bytes((TEXT, size)) + payload
    if size <= LONGEST:
        return struct.pack("!BBH", TEXT, 126, size) + payload
    return struct.pack("!BBQ", TEXT, 127, size) + payload


def text_payloads(data: bytes) -> list[bytes] | None:
    """What is in `data`, if that is nothing but whole, masked text frames; None for anything else."""
    found = []
    start, end = 0, len(data)
    while start < end:
        span = _span(data, start)
        if span is None or data[start] != TEXT:
            return None
        body, start = span
        found.append(apply_mask(data[body:start], data[body - 4 : body]))
    return found


def are_whole(data: bytes) -> bool:
    """Whether `data` ends where a frame ends, if it begins where one begins."""
    start = 0
    while start < len(data):
        span = _span(data, start)
        if span is None:
            return False
        start = span[1]
    return True


def _span(data: bytes, start: int) -> tuple[int, int] | None:
    """Where the payload of the masked frame at `start` begins and ends; None if it is not whole, or not masked."""
    if len(data) < start + 2 or not data[start + 1] & MASKED:
        return None
    size, body = data[start + 1] & 0x7F, start + 6
    if size == 127:
        return None
    if size == 126:
        if len(data) < start + 4:
            return None
        size, body = int.from_bytes(data[start + 2 : start + 4], "big"), start + 8
    return (body, body + size) if len(data) >= body + size else None
