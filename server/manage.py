"""Django's command line, with the core and the server on the path."""

import os
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
sys.path[:0] = [str(ROOT / "core"), str(ROOT / "server"), str(ROOT)]


def main() -> None:
    """Run a command; a database that is not there is told in words."""
    os.environ.setdefault("DJANGO_SETTINGS_MODULE", "config.settings")
    from django.core.management import execute_from_command_line
    from django.db import OperationalError

    try:
        execute_from_command_line(sys.argv)
    except OperationalError as error:
        if "--traceback" in sys.argv:
            raise
        sys.exit(f"The database can't be reached, or does not do this: {str(error).strip()}")


if __name__ == "__main__":
    main()
