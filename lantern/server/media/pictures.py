"""Uploaded bytes to clean pictures: what is kept is encoded by us, never what was sent."""

from collections.abc import Iterable
from io import BytesIO

from django.conf import settings
from PIL import Image, ImageOps

from lantern.core.errors import BadPicture
from lantern.core.messages import said

WIDTHS = (480, 960, 1600)
THUMBNAIL_WIDTH = 240
MAX_THUMBNAIL_PIXELS = 60_000_000
MB = 1024 * 1024
FORMATS = ("PNG", "JPEG", "GIF", "WEBP")
MAX_PIXELS = 50_000_000


def reencode(data: bytes) -> tuple[tuple[int, int], dict[int, bytes]]:
    """((width, height) as it stands upright, WebP bytes for each width). Raises BadPicture."""
    upright = _upright(data)
    return upright.size, {width: _webp(upright, width) for width in WIDTHS}


def thumbnails(files: Iterable[tuple[str, bytes]]) -> dict[str, bytes]:
    """Small WebPs of those that are pictures, to know them by; of the first ones, where they are very many or large."""
    made, pixels = {}, 0
    for name, data in files:
        try:
            picture = _upright(data, THUMBNAIL_WIDTH)
        except BadPicture:
            continue
        made[name] = _webp(picture, THUMBNAIL_WIDTH)
        pixels += picture.width * picture.height
        if pixels > MAX_THUMBNAIL_PIXELS:
            break
    return made


def check_picture(data: bytes) -> None:
    """Raises BadPicture for what cannot be kept, as far as its beginning tells."""
    check_size(len(data))
    try:
        with Image.open(BytesIO(data), formats=FORMATS) as source:
            _check_pixels(source)
    except BadPicture:
        raise
    except Exception as error:
        raise BadPicture from error


def check_size(size: int) -> None:
    """In bytes. Raises BadPicture."""
    most = settings.PICTURE_MAX_BYTES
    if size > most:
        large = "This picture has {size} MB; {most} at most can be kept. Save it smaller, then try again."
        raise BadPicture(said("picture_too_large", large, size=-(-size // MB), most=most // MB))


def _check_pixels(source: Image.Image) -> None:
    pixels = source.width * source.height
    if pixels > MAX_PIXELS:
        many = "This picture has {size} megapixels; {most} at most can be kept. Save it smaller, then try again."
        size, most = -(-pixels // 1_000_000), MAX_PIXELS // 1_000_000
        raise BadPicture(said("picture_too_many_pixels", many, size=size, most=most))


def _upright(data: bytes, width: int | None = None) -> Image.Image:
    """For a picture of `width` alone a JPEG is decoded no larger than it needs."""
    try:
        with Image.open(BytesIO(data), formats=FORMATS) as source:
            _check_pixels(source)
            if width is not None:
                source.draft("RGB", (2 * width, 2 * width))
            return ImageOps.exif_transpose(source).convert("RGBA" if _has_alpha(source) else "RGB")
    except BadPicture:
        raise
    except Exception as error:  # any decoder may fail in its own way on hostile bytes
        raise BadPicture from error


def _has_alpha(image: Image.Image) -> bool:
    return image.mode in ("RGBA", "LA", "PA") or "transparency" in image.info


def _webp(image: Image.Image, width: int) -> bytes:
    if image.width > width:
        image = image.resize((width, max(1, round(image.height * width / image.width))), Image.Resampling.LANCZOS)
    out = BytesIO()
    image.save(out, "WEBP", quality=82, method=4)
    return out.getvalue()
