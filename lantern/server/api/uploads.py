"""Files that come in."""

import json
from typing import Any

from lantern.core.formats.exchange import Source
from lantern.core.messages import said
from lantern.server.api.errors import BadForm


def source_of(file: Any, choices: str, most_mb: int) -> Source:
    """An uploaded file with what was chosen for it, as JSON. Raises BadForm."""
    if file.size > most_mb * 1024 * 1024:
        raise BadForm(said("file_too_large", "This file is larger than {most} MB.", most=most_mb), field="file")
    return Source(file.name or "", file.file, chosen(choices))


def chosen(choices: str) -> dict[str, str]:
    """What was chosen, from JSON. Raises BadForm."""
    try:
        return {str(name): str(value) for name, value in json.loads(choices).items()}
    except (ValueError, AttributeError) as error:
        raise BadForm(
            said("choices_not_understood", "What was chosen for this file was not understood."), field="choices"
        ) from error
