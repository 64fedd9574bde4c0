from django.http import Http404, HttpRequest, HttpResponse
from ninja import File, Query, Router
from ninja.files import UploadedFile

from lantern.core.questions.items import Film, Picture, Recording
from lantern.server.accounts.requests import TeacherRequest
from lantern.server.api.auth import teacher
from lantern.server.media import actions, collection
from lantern.server.media.schemas import CollectionRow, FromCollection, KeptCaptions, ToSpeak, VoiceRow
from lantern.server.services.speech import speech

router = Router(auth=teacher)
MONTH = 30 * 86_400


@router.post("/pictures", response=Picture)
def upload_picture(request: TeacherRequest, file: File[UploadedFile]) -> Picture:
    return actions.store_picture(request.auth, file.read(), file.name or "")


@router.post("/sounds", response=Recording)
def upload_sound(request: TeacherRequest, file: File[UploadedFile]) -> Recording:
    return actions.store_sound(request.auth, file.read(), file.name or "")


@router.post("/videos", response=Film)
def upload_video(request: TeacherRequest, file: File[UploadedFile]) -> Film:
    return actions.store_video(request.auth, file.read(), file.name or "")


@router.post("/captions", response=KeptCaptions)
def upload_captions(request: TeacherRequest, file: File[UploadedFile]) -> KeptCaptions:
    return KeptCaptions(captions=actions.store_captions(request.auth, file.read(), file.name or ""))


@router.get("/voices", response=list[VoiceRow])
def list_voices(request: TeacherRequest) -> list[VoiceRow]:
    return [VoiceRow(id=v.id, name=v.name, language=v.language) for v in speech().voices()]


@router.get("/speech")
def try_speech(request: TeacherRequest, wanted: Query[ToSpeak]) -> HttpResponse:
    """The text spoken, to be heard before it is kept."""
    return HttpResponse(actions.speak(wanted), content_type="audio/wav")


@router.post("/speech", response=Recording)
def keep_speech(request: TeacherRequest, wanted: ToSpeak) -> Recording:
    return actions.store_speech(request.auth, wanted)


@router.get("/collection", response=list[CollectionRow])
def search_collection(request: TeacherRequest, q: str = "") -> list[CollectionRow]:
    return [CollectionRow(code=entry.code, name=entry.name) for entry in collection.search(q)]


@router.get("/collection/{code}.svg", auth=None)
def look_at_collection(request: HttpRequest, code: str) -> HttpResponse:
    svg = collection.svg_of(code)
    if svg is None:
        raise Http404
    headers = {"Cache-Control": f"public, max-age={MONTH}"}
    return HttpResponse(svg, content_type="image/svg+xml", headers=headers)


@router.post("/collection", response=Picture)
def take_from_collection(request: TeacherRequest, chosen: FromCollection) -> Picture:
    return actions.store_from_collection(request.auth, chosen.code)
