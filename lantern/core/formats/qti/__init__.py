"""QTI content packages (1EdTech Question and Test Interoperability), versions 3.0 and 2.1."""

from lantern.core.formats.qti.package import Qti2Format, Qti3Format

__all__ = ["Qti2Format", "Qti3Format"]
