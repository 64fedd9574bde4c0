#!/usr/bin/env python
"""Django's command line for Tall Lantern."""

import gc
import os
import sys

gc.set_threshold(50_000, 20, 50)  # a quarter of what starting cost went into looking for cycles in what stays

from django.core.management import execute_from_command_line  # noqa: E402

if __name__ == "__main__":
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "lantern.server.config.settings")
    execute_from_command_line(sys.argv)
