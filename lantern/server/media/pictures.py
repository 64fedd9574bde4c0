"""Uploaded bytes to clean pictures: what is kept is encoded by us, never what was sent."""

from collections.abc import Mapping
from io import BytesIO

from PIL import Image, ImageOps

from lantern.core.errors import BadPicture
from lantern.core.messages import said

WIDTHS = (480, 960, 1600)
THUMBNAIL_WIDTH = 240
MAX_THUMBNAIL_PIXELS = 400_000_000
FORMATS = ("PNG", "JPEG", "GIF", "WEBP")
MAX_PIXELS = 50_000_000


def reencode(data: bytes) -> tuple[tuple[int, int], dict[int, bytes]]:
    """((width, height) as it stands upright, WebP bytes for each width). Raises BadPicture."""
    upright = _upright(data)
    return upright.size, {width: _webp(upright, width) for width in WIDTHS}


def thumbnails(files: Mapping[str, bytes]) -> dict[str, bytes]:
    """Small WebPs of those that are pictures, to know them by; of the first ones, where they are very many or large."""
    made, pixels = {}, 0
    for name, data in files.items():
        try:
            picture = _upright(data)
        except BadPicture:
            continue
        made[name] = _webp(picture, THUMBNAIL_WIDTH)
        pixels += picture.width * picture.height
        if pixels > MAX_THUMBNAIL_PIXELS:
            break
    return made


def _upright(data: bytes) -> Image.Image:
    try:
        with Image.open(BytesIO(data), formats=FORMATS) as source:
            if source.width * source.height > MAX_PIXELS:
                raise BadPicture(
                    said(
                        "picture_too_many_pixels",
                        "This picture has more than {most} million pixels. Save it smaller, then try again.",
                        most=50,
                    )
                )
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
