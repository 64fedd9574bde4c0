"""Sounds, videos, captions, speech, the collection and the shelf."""

import io
import wave

import pytest
from django.core.files.uploadedfile import SimpleUploadedFile

from lantern.core.errors import BadMedia
from lantern.server.media import collection
from lantern.server.media.sounds import read_captions, read_sound, read_video
from lantern.server.services.speech import speech
from lantern.server.services.speech.port import SpeechFailed
from tests.builders import choice

MP4 = b"\x00\x00\x00\x18ftypisom" + bytes(64)
CAPTIONS = b"WEBVTT\n\n00:00:01.000 --> 00:00:02.500\nShe is <b>alongside</b>.\n"


@pytest.fixture(autouse=True)
def own_media(settings, tmp_path):
    settings.MEDIA_ROOT = tmp_path


def a_wav(seconds=0.5):
    out = io.BytesIO()
    with wave.open(out, "wb") as file:
        file.setnchannels(1)
        file.setsampwidth(2)
        file.setframerate(8000)
        file.writeframes(bytes(int(16000 * seconds)))
    return out.getvalue()


def test_a_voice_says_when_each_word_begins():
    text = "Which light flashes twice, every ten seconds?"
    spoken = speech().read(text, "en", 150)
    assert len(spoken.words) == len(text.split())
    assert list(spoken.words) == sorted(spoken.words)
    assert 1000 < spoken.words[-1] < 6000
    assert spoken.wav[:4] == b"RIFF"


def upload(caller, place, data, name="file"):
    return caller.client.post(f"/api/media/{place}", {"file": SimpleUploadedFile(name, data)})


def body_of(reply):
    return b"".join(reply.streaming_content) if reply.streaming else reply.content


def test_a_sound_is_told_by_its_content_and_heard_by_a_class(as_odile, nobody):
    stored = upload(as_odile, "sounds", a_wav(), "ahoy.mp3").json()
    assert (stored["type"], stored["seconds"]) == ("sound", 0.5)
    reply = nobody.client.get(f"/media/{stored['media']}/sound", headers={"range": "bytes=0-3"})
    assert (reply.status_code, reply["Content-Type"], reply.content) == (206, "audio/wav", b"RIFF")


@pytest.mark.parametrize(
    ("wanted", "status", "told"),
    [
        ("bytes=4-", 206, "bytes 4-8043/8044"),
        ("bytes=-10", 206, "bytes 8034-8043/8044"),
        ("bytes=9000-", 416, "bytes */8044"),
        ("bytes=5-2", 416, "bytes */8044"),
    ],
)
def test_a_player_may_ask_for_a_part(as_odile, wanted, status, told):
    stored = upload(as_odile, "sounds", a_wav()).json()
    reply = as_odile.client.get(f"/media/{stored['media']}/sound", headers={"range": wanted})
    assert (reply.status_code, reply["Content-Range"]) == (status, told)


@pytest.mark.parametrize("data", [b"", b"RIFF", b"<script>", MP4, a_wav()[:30]])
def test_what_is_no_sound_is_refused_in_a_sentence(as_odile, data):
    reply = upload(as_odile, "sounds", data)
    assert reply.status_code == 422
    assert reply.json()["sentence"]


def test_videos_and_captions_are_told_by_their_content():
    assert read_video(MP4) == "video/mp4"
    assert read_video(b"\x1a\x45\xdf\xa3" + b"\x42\x82\x84webm") == "video/webm"
    with pytest.raises(BadMedia):
        read_video(a_wav())
    assert b"alongside" in read_captions(CAPTIONS)
    for bad in (b"", b"1\n00:00:01,000 --> 00:00:02,000\nsrt", b"\xff\xfe", b"WEBVTT\n\nnothing"):
        with pytest.raises(BadMedia):
            read_captions(bad)


def test_a_video_has_its_captions_beside_it(as_odile, nobody):
    film = upload(as_odile, "videos", MP4).json()
    captions = upload(as_odile, "captions", CAPTIONS).json()["captions"]
    assert film["type"] == "video"
    reply = nobody.client.get(f"/media/{captions}/captions.vtt", headers={"range": "bytes=0-5"})
    assert (reply["Content-Type"], reply.content) == ("text/vtt", b"WEBVTT")


def test_text_is_spoken_heard_and_kept(as_odile):
    voices = as_odile("get", "/media/voices")
    assert {"en", "fr", "de"} <= {voice["id"] for voice in voices}
    heard = as_odile.client.get("/api/media/speech", {"text": "à tribord", "voice": "fr", "speed": 120})
    assert heard["Content-Type"] == "audio/wav"
    kept = as_odile("post", "/media/speech", {"text": "à tribord", "voice": "fr", "speed": 120})
    assert (kept["transcript"], kept["type"]) == ("à tribord", "sound")
    assert kept["seconds"] == read_sound(heard.content).seconds > 0.3


def test_faster_speech_is_shorter():
    slow, fast = (read_sound(speech().speak("the light is red", "en", speed)).seconds for speed in (90, 280))
    assert fast < slow


def test_a_voice_that_is_not_there_is_told(as_odile):
    with pytest.raises(SpeechFailed):
        speech().speak("ahoy", "nowhere", 150)
    as_odile("post", "/media/speech", {"text": "ahoy", "voice": "nowhere"}, 422)
    as_odile("post", "/media/speech", {"text": "x" * 601, "voice": "en"}, 422)


@pytest.mark.parametrize("words", ["lighthouse", "gull", "storm", "boat sail", "torch", "maths", "beac"])
def test_the_collection_is_found_by_everyday_words(words):
    found = collection.search(words)
    assert found
    assert all(any(own.startswith(word) for own in entry.words) for entry in found for word in words.split())


def test_a_picture_of_the_collection_is_described_and_credited(as_odile, nobody):
    row = as_odile("get", "/media/collection?q=anchor")[0]
    assert row["name"] == "anchor"
    assert nobody.client.get(f"/api/media/collection/{row['code']}.svg")["Content-Type"] == "image/svg+xml"
    kept = as_odile("post", "/media/collection", {"code": row["code"]})
    assert (kept["description"], kept["credit"]) == ("Anchor", "OpenMoji, CC BY-SA 4.0")
    as_odile("post", "/media/collection", {"code": "FFFFF"}, 404)
    assert nobody.client.get("/api/media/collection/../index.svg").status_code == 404


@pytest.mark.slow
def test_every_picture_of_the_collection_is_there_and_draws_nothing_from_elsewhere():
    for entry in collection.entries():
        svg = collection.svg_of(entry.code)
        assert svg
        assert svg.startswith("<svg")
        assert "script" not in svg
        assert 'href="http' not in svg


def test_the_shelf_tells_what_is_used_and_clears_the_rest(as_odile, as_ravi):
    used = upload(as_odile, "sounds", a_wav(), "used.wav").json()
    unused = upload(as_odile, "sounds", a_wav(), "unused.wav").json()
    theirs = upload(as_ravi, "sounds", a_wav(), "theirs.wav").json()
    made = as_odile("post", "/sets", {"title": "Knots"})
    item = choice("A", options=2).model_dump(mode="json") | {"sound": used}
    as_odile("patch", f"/sets/{made['id']}", {"put": [{"base": 0, "item": item}]})
    shelf = {row["name"]: row["used_in"] for row in as_odile("get", "/shelf")}
    assert shelf == {"used.wav": ["Knots"], "unused.wav": []}
    assert as_odile("delete", "/shelf") == {"removed": 1}
    assert as_odile.client.get(f"/media/{unused['media']}/sound").status_code == 404
    for kept in (used, theirs):
        reply = as_odile.client.get(f"/media/{kept['media']}/sound", headers={"range": "bytes=0-0"})
        assert reply.status_code == 206


def test_what_a_past_session_shows_is_not_cleared(as_odile):
    sound = upload(as_odile, "sounds", a_wav(), "ahoy.wav").json()
    made = as_odile("post", "/sets", {"title": "Knots"})
    item = choice("A", id="q1", options=2).model_dump(mode="json") | {"sound": sound}
    as_odile("patch", f"/sets/{made['id']}", {"put": [{"base": 0, "item": item}]})
    as_odile("post", "/live/sessions", {"set": made["id"]})
    as_odile("patch", f"/sets/{made['id']}", {"remove": [{"base": 1, "id": "q1"}]})
    assert [(row["used_in"], row["in_results"]) for row in as_odile("get", "/shelf")] == [([], True)]
    assert as_odile("delete", "/shelf") == {"removed": 0}
