"""`make audit`: what can be tried of the product's safety by itself. Exits with 1 where something does not hold.

1. Django's deployment check, with the settings of a school.
2. Known weaknesses of libraries, where an advisory source can be reached; they are told, and hold up nothing: a new
   advisory must not stop an unrelated change.
3. Patterns in the code that are often weaknesses (bandit).
4. Every operation of the OpenAPI document with made-up input, as a teacher, as a student, and as nobody, against a
   real server: no answer may be a fault of the server (schemathesis, bounded in time).
5. Keys that leak, over all kinds; who may do what, for every operation and socket.
"""

import os
import re
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable, Sequence
from pathlib import Path

from tools.client import TeacherClient, join
from tools.server import ROOT, RealServer

SNAPSHOT = ROOT / "lantern/server/api/openapi.json"
SECONDS_FOR_EACH_ROLE = 55
ADVISORIES_WITHIN = 60
TESTS = ("tests/contracts/test_secrets.py", "tests/server/test_authorisation.py")
ITEM = {
    "id": "q1",
    "kind": "choice",
    "prompt": "Which knot?",
    "options": [{"id": "a", "text": "Bowline", "right": True}, {"id": "b", "text": "Reef knot"}],
}


def run(command: Sequence[str], **environment: str) -> tuple[int, str]:
    done = subprocess.run(
        list(command), cwd=ROOT, env={**os.environ, **environment}, capture_output=True, text=True, check=False
    )
    return done.returncode, done.stdout + done.stderr


def deployment() -> tuple[bool, str]:
    with tempfile.TemporaryDirectory() as folder:
        school = {"LANTERN_VAR": folder, "ALLOWED_HOSTS": "lantern.school.example", "PLAIN_HTTP": "0"}
        code, said = run([sys.executable, "manage.py", "check", "--deploy", "--fail-level", "WARNING"], **school)
    return code == 0, said


def weaknesses_of_libraries() -> tuple[bool, str]:
    """Told, never failed."""
    told = []
    audits = {
        "Python": [sys.executable, "-m", "pip_audit", "--no-deps", "-r", "requirements-several.txt"],
        "Node": ["npm", "--prefix", "frontend", "audit", "--omit=dev"],
    }
    for name, command in audits.items():
        try:
            done = subprocess.run(
                command, cwd=ROOT, capture_output=True, text=True, timeout=ADVISORIES_WITHIN, check=False
            )
            said = done.stdout + done.stderr
        except (subprocess.TimeoutExpired, FileNotFoundError):
            said = "no answer"
        unreached = re.search(r"could not be audited|endpoint returned an error|no answer|Connection|ENOTFOUND", said)
        told.append(f"{name}: no advisory source could be reached: not checked" if unreached else f"{name}: {said}")
    return True, "\n".join(told)


def patterns() -> tuple[bool, str]:
    code, said = run([sys.executable, "-m", "bandit", "-q", "-r", "lantern", "-ll", "-c", "pyproject.toml"])
    return code == 0, said


def made_up_input() -> tuple[bool, str]:
    with tempfile.TemporaryDirectory() as folder:
        server = RealServer(Path(folder), RATE_LIMITS_ON="0").start()
        try:
            told = [_as_role(server, role, headers) for role, headers in _roles(server).items()]
        finally:
            server.stop()
        faults = server.log().count("Traceback")
        told.append((faults == 0, f"faults in the server's log: {faults}\n" + (server.log()[-3000:] if faults else "")))
    return all(fine for fine, _ in told), "\n".join(said for _, said in told)


def _roles(server: RealServer) -> dict[str, dict[str, str]]:
    teacher = TeacherClient(server.url)
    teacher.sign_up()
    session = teacher.start(teacher.make_set("Knots that hold", [ITEM]))
    cookies = dict(teacher.http.cookies)
    signed_in = {
        "Cookie": "; ".join(f"{name}={value}" for name, value in cookies.items()),
        "X-CSRFToken": cookies["csrftoken"],
        "Referer": server.url,
    }
    student = {"Authorization": f"Bearer {join(server.url, session['code'], 'Fen')}"}
    return {"teacher": signed_in, "student": student, "nobody": {}}


def _as_role(server: RealServer, role: str, headers: dict[str, str]) -> tuple[bool, str]:
    program = Path(sys.executable).with_name("schemathesis")
    command = [
        str(program), "run", str(SNAPSHOT), "--url", server.url, "--checks", "not_a_server_error",
        "--phases", "examples,fuzzing", "--max-time", str(SECONDS_FOR_EACH_ROLE), "--continue-on-failure",
        "--request-timeout", "25", "--suppress-health-check", "all", "--no-color", "--generation-deterministic",
        # It would sign itself out, or change its own password; the long wait for a next view is no fault.
        "--exclude-path-regex", "sign-out|password|/(desk|screen|student)$",
    ]  # fmt: skip
    for name, value in headers.items():
        command += ["-H", f"{name}: {value}"]
    code, said = run(command)
    cases = re.findall(r"\d+ generated|(?:Test cases|Generated)[^\n]*", said)
    summary = f"as {role}: {'no server error' if code == 0 else 'SERVER ERRORS'}; {'; '.join(cases)}"
    failures = said.partition("= FAILURES =")[2].partition("= WARNINGS =")[0] or said
    return code == 0, summary if code == 0 else f"{summary}\n{failures[:4000]}"


def tests() -> tuple[bool, str]:
    code, said = run([sys.executable, "-m", "pytest", "-q", "-n", "0", *TESTS])
    return code == 0, said.strip().splitlines()[-1] if code == 0 else said[-4000:]


CHECKS: dict[str, Callable[[], tuple[bool, str]]] = {
    "Settings of a school": deployment,
    "Weaknesses of libraries": weaknesses_of_libraries,
    "Patterns in the code": patterns,
    "Made-up input to every operation": made_up_input,
    "Keys and permissions": tests,
}


def main() -> None:
    failed = []
    for name, check in CHECKS.items():
        start = time.monotonic()
        fine, said = check()
        print(f"{'ok  ' if fine else 'FAIL'} {name} ({time.monotonic() - start:.0f} s)", flush=True)
        for line in said.strip().splitlines():
            print(f"     {line}", flush=True)
        if not fine:
            failed.append(name)
    if failed:
        sys.exit(1)


if __name__ == "__main__":
    main()
