"""The people of the demo school. All names are invented."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from random import Random

from lantern.core.classes.needs import Needs

NAME = "Gullmark Bay Community School"


@dataclass(frozen=True, slots=True)
class DemoTeacher:
    name: str
    email: str
    password: str


ODILE = DemoTeacher("Odile Brandt", "odile@gullmark.example", "lantern at dusk")
RAVI = DemoTeacher("Ravi Anker", "ravi@gullmark.example", "tide tables 1904")

SUNNIVA = DemoTeacher("Sunniva Toll", "sunniva@gullmark.example", "sea marks 1871")

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

EVENING = (
    "Asta Winther",
    "Boas Keller",
    "Chidi Nwosu",
    "Dorte Aas",
    "Edvin Sol",
    "Farida Noor",
    "Gideon Wray",
    "Halla Storm",
    "Ivo Petrides",
    "Jarle Rasmussen",
    "Kerstin Ohm",
    "Luz Marin",
)
_GIVEN = """
    Aino Bashir Celia Dario Elif Finn Gudrun Hassan Iris Joao Kamala Lars Mei Noor Odd Priya Rafael Signe Tariq Una
    Vera Wiktor Ximena Yusuf Zara Anouk Bela Ciara Deniz Esben Freja Goran Hilde Imran Jana Kofi Linnea Mateo Nadia
    Otis Petra Rune Selma Tomas Uwe Vilde Walid Ylva
""".split()
_FAMILY = """
    Aagaard Banerjee Castro Demir Eklund Farah Grau Haugen Ibarra Jensen Kaya Larsen Moreau Nakamura Okafor Pereira
    Quist Rossi Sandvik Takala Ueda Varga Westby Yilmaz Zeller Almeida Birk Cohen Duarte Engen Fuchs Gomes Hoxha Iversen
    Jovanovic Khan Lund Mensah Novak Olsen
""".split()


def lecture_hall(count: int = 180) -> list[str]:
    """As many invented names as a lecture has students, no two alike."""
    rng = Random("oceanography")
    all_names = [f"{given} {family}" for given in _GIVEN for family in _FAMILY]
    return rng.sample(all_names, count)


@dataclass(frozen=True, slots=True)
class DemoClass:
    """`record_ids` is how the school numbers them, with a place for the number; empty where it does not. `needs` by
    name."""

    name: str
    subject: str
    year: str
    people: tuple[str, ...]
    has_phrases: bool = False
    record_ids: str = ""
    needs: Mapping[str, Needs] = field(default_factory=dict)


NEEDS_8C = {
    "Fen Okoro": Needs(time=1.5, fewer_options=1),
    "Mara Devi": Needs(text="large", high_contrast=True),
    "Leif Osei": Needs(no_motion=True, no_fog=True),
    "Viggo Amadi": Needs(language="fr", read_aloud=True),
}
CLASSES = (
    DemoClass(
        "8C", "Coastal Science", "2026/27", CLASS_8C, has_phrases=True, record_ids="GB-{number:04}", needs=NEEDS_8C
    ),
    DemoClass("Evening Seamanship", "Seamanship", "2026/27", EVENING),
    DemoClass(
        "Introduction to Oceanography",
        "Oceanography",
        "2026/27",
        tuple(lecture_hall()),
        record_ids="oc{number}@gullmark.example",
    ),
)
