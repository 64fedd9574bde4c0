"""The people of the demo school. All names are invented."""

from dataclasses import dataclass

NAME = "Gullmark Bay Community School"


@dataclass(frozen=True, slots=True)
class DemoTeacher:
    name: str
    email: str
    password: str


ODILE = DemoTeacher("Odile Brandt", "odile@gullmark.example", "lantern at dusk")
RAVI = DemoTeacher("Ravi Anker", "ravi@gullmark.example", "tide tables 1904")

CLASS_8C = (
    "Alva Renner",
    "Bo Tanaka-Lind",
    "Cyrus Adeyemi",
    "Dagny Holt",
    "Emil Vasquez",
    "Fen Okoro",
    "Greta Saari",
    "Hugo Mbeki",
    "Ines Dahl",
    "Jonas Prieto",
    "Kaia Lindqvist",
    "Leif Osei",
    "Mara Devi",
    "Nils Abara",
    "Oona Petrov",
    "Pia Castellan",
    "Quentin Moss",
    "Runa Eide",
    "Sami Haddow",
    "Tove Hallin",
    "Ulla Brandvik",
    "Viggo Amadi",
    "Wren Castell",
    "Xenia Porto",
    "Yara Solheim",
    "Zeno Marsh",
    "Ada Kvist",
    "Birk Tammela",
)
