from io import BytesIO

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile
from PIL import Image

from lantern.server.media.pictures import WIDTHS, reencode


def png(size=(900, 300), mode="RGB", **save):
    out = BytesIO()
    Image.new(mode, size, "red" if mode == "RGB" else (255, 0, 0, 0)).save(out, "PNG", **save)
    return out.getvalue()


def upload(caller, data, name="mark.png"):
    return caller.client.post("/api/media/pictures", {"file": SimpleUploadedFile(name, data)})


def test_a_picture_is_kept_in_our_own_encoding_and_seen_by_a_class(as_odile, nobody, settings, tmp_path):
    settings.MEDIA_ROOT = tmp_path
    stored = upload(as_odile, png()).json()
    assert (stored["width"], stored["height"]) == (900, 300)
    reply = nobody.client.get(f"/media/{stored['media']}/480.webp")
    assert reply["Content-Type"] == "image/webp"
    assert Image.open(BytesIO(reply.content)).size == (480, 160)


def test_what_came_along_with_a_picture_is_left_behind():
    image, out = Image.new("RGB", (40, 20)), BytesIO()
    exif = Image.Exif()
    exif[0x0112] = 6  # lies on its side
    exif[0x010E] = "secret place"
    image.save(out, "JPEG", exif=exif)
    size, variants = reencode(out.getvalue())
    assert size == (20, 40)
    assert all(b"secret" not in data for data in variants.values())


def test_small_pictures_are_not_blown_up_and_clear_ones_stay_clear():
    size, variants = reencode(png((10, 10), "RGBA"))
    assert set(variants) == set(WIDTHS)
    assert all(Image.open(BytesIO(data)).size == size for data in variants.values())
    assert Image.open(BytesIO(variants[480])).convert("RGBA").getpixel((0, 0))[3] == 0


@pytest.mark.parametrize(
    "data",
    [
        b"",
        b"no picture",
        b"<svg xmlns='http://www.w3.org/2000/svg'><script/></svg>",
        png()[:60],
        b"\x89PNG\r\n\x1a\n" * 9,
    ],
)
def test_what_is_no_picture_is_refused_with_a_sentence(as_odile, data):
    reply = upload(as_odile, data)
    assert (reply.status_code, reply.json()["code"]) == (422, "bad_picture")


@pytest.mark.slow
def test_a_picture_of_too_many_pixels_is_refused_before_it_is_decoded():
    with pytest.raises(Exception, match="51 megapixels; 50 at most"):
        reencode(png((10_000, 5_001), compress_level=9))


def test_a_file_that_is_too_large_is_refused(as_odile, settings):
    settings.PICTURE_MAX_BYTES = 100
    assert "0 at most can be kept" in upload(as_odile, png()).json()["sentence"]


def test_only_teachers_upload(nobody):
    assert upload(nobody, png()).status_code == 401


@pytest.mark.parametrize("path", ["nothing/480.webp", "..%2f..%2fsettings/480.webp"])
def test_an_unknown_picture_is_not_found(nobody, path):
    assert nobody.client.get(f"/media/{path}").status_code == 404
