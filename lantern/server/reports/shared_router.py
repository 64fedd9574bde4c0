from django.http import HttpRequest
from ninja import Router

from lantern.server.reports.schemas import SharedReport
from lantern.server.reports.sharing import shared_report

router = Router()


@router.get("/{secret}", response=SharedReport)
def read_shared(request: HttpRequest, secret: str) -> SharedReport:
    """For whoever has the link."""
    return shared_report(secret)
