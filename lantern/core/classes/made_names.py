"""Nicknames that are made for students: two gentle words, from light, coast and weather, in each language.

1. No two of one language are alike; none says how anybody looks, and none is a person's name.
2. A name is known by its language and a number, so that a device can ask for one and need not be believed.
3. Words agree as the language wants it.
"""

from collections.abc import Collection
from dataclasses import dataclass
from random import Random

from lantern.core.languages import Language

_TRIES = 40


@dataclass(frozen=True, slots=True)
class _Words:
    """`qualities` have a form for each gender; `things` are told by gender. The thing comes first in some languages."""

    qualities: tuple[tuple[str, ...], ...]
    things: tuple[tuple[str, int], ...]
    thing_first: bool

    @property
    def count(self) -> int:
        return len(self.qualities) * len(self.things)

    def name(self, number: int) -> str:
        of_thing, of_quality = divmod(number % self.count, len(self.qualities))
        thing, gender = self.things[of_thing]
        quality = self.qualities[of_quality][gender]
        words = (thing, quality) if self.thing_first else (quality, thing)
        return " ".join((words[0][0].upper() + words[0][1:], words[1]))


def _words(qualities: str, *things: str, thing_first: bool = False) -> _Words:
    """`qualities`: forms joined by "/", as many as genders; or one for all. `things`: a text for each gender."""
    forms = [tuple(quality.split("/")) for quality in qualities.split()]
    return _Words(
        qualities=tuple(form if len(form) > 1 else form * len(things) for form in forms),
        things=tuple((thing, gender) for gender, text in enumerate(things) for thing in text.split()),
        thing_first=thing_first,
    )


def _endings(stems: str, *endings: str) -> str:
    return " ".join("/".join(stem + ending for ending in endings) for stem in stems.split())


_OF: dict[Language, _Words] = {
    "en": _words(
        "Calm Early Steady Kind Brave Quiet Merry Patient Curious Gentle Honest Lively Nimble Hopeful Cheerful "
        "Careful Clever Friendly Playful Loyal Daring Thoughtful Wandering Dreaming",
        "Beacon Lantern Harbour Tide Breeze Island Pebble Heron Otter Puffin Tern Dolphin Turtle Plover Curlew "
        "Starfish Limpet Anchor Compass Sail Rudder Buoy Skiff Ferry Pilot Comet Star Moon Sunrise Rainbow Cloud "
        "Lagoon Meadow Heather Willow Swallow",
    ),
    "de": _words(
        _endings(
            "ruhig früh mutig geduldig neugierig sanft ehrlich lebhaft flink hoffnungsvoll fröhlich sorgsam klug "
            "freundlich verspielt treu kühn nachdenklich wandernd träumend lustig gelassen wach munter",
            "er", "e", "es",
        ),
        "Otter Anker Kompass Leuchtturm Delfin Reiher Regenbogen Mond Stern Komet Kiesel Hafen Wind Strand "
        "Seestern Kutter",
        "Laterne Boje Welle Brise Insel Seeschwalbe Wolke Bucht Flut Muschel Schildkröte Fähre Düne Lagune "
        "Schwalbe",
        "Segel Ruder Boot Licht Riff Ufer Rotkehlchen",
    ),
    "fr": _words(
        "calme curieux/curieuse patient/patiente joyeux/joyeuse discret/discrète honnête agile fidèle "
        "prudent/prudente malin/maligne rêveur/rêveuse vif/vive courageux/courageuse aimable doux/douce "
        "matinal/matinale gai/gaie habile tranquille sage attentif/attentive vaillant/vaillante serein/sereine "
        "bienveillant/bienveillante",
        "Phare Héron Dauphin Goéland Rivage Voilier Compas Galet Nuage Cormoran Macareux Récif Ruisseau Pilote "
        "Port Soleil",
        "Lanterne Loutre Mouette Marée Brise Île Étoile Bouée Voile Tortue Comète Lune Vague Dune Hirondelle "
        "Ancre Crique Aurore Sterne Lagune",
        thing_first=True,
    ),
    "es": _words(
        "tranquilo/tranquila curioso/curiosa paciente alegre discreto/discreta honesto/honesta ágil fiel prudente "
        "listo/lista soñador/soñadora vivaz valiente amable sereno/serena atento/atenta hábil sabio/sabia gentil "
        "leal noble constante madrugador/madrugadora sincero/sincera",
        "Faro Delfín Puerto Velero Compás Cometa Arrecife Arroyo Bote Remo Frailecillo Cormorán Viento Río Lucero",
        "Linterna Gaviota Marea Brisa Isla Estrella Boya Vela Tortuga Luna Ola Duna Golondrina Playa Aurora "
        "Laguna Nube Garza Ancla Bahía",
        thing_first=True,
    ),
    "ar": _words(
        "هادئ/هادئة صبور/صبورة لطيف/لطيفة شجاع/شجاعة مرح/مرحة أمين/أمينة نشيط/نشيطة حكيم/حكيمة كريم/كريمة "
        "ذكي/ذكية وفي/وفية حالم/حالمة متفائل/متفائلة صادق/صادقة فضولي/فضولية ودود/ودودة مبتهج/مبتهجة متأمل/متأملة "
        "بارع/بارعة مخلص/مخلصة يقظ/يقظة طموح/طموحة مثابر/مثابرة منصت/منصتة",
        "فنار قمر نجم دلفين شراع قارب نسيم غيم شاطئ مرجان نورس كوكب فجر نهر جدول مرفأ شهاب",
        "منارة نجمة موجة سفينة جزيرة بوصلة سلحفاة غيمة نسمة شمس واحة لؤلؤة صدفة مرساة بحيرة فراشة",
        thing_first=True,
    ),
    "uk": _words(
        _endings(
            "спокійн терпляч допитлив чесн жвав мрійлив вірн привітн хоробр мудр уважн лагідн весел дбайлив "
            "смілив тих добр щир спритн бадьор ввічлив завзят винахідлив старанн",
            "ий", "а", "е",
        ),
        "маяк дельфін якір компас острів вітрильник камінчик місяць світанок корал струмок човен промінь вогник "
        "причал бриз",
        "чайка хвиля зоря комета видра черепаха хмаринка ластівка веселка затока лагуна перлина дюна чапля гавань "
        "шхуна",
        "вітрило сонечко озеро джерело",
    ),
}  # fmt: skip


def count_of(language: Language) -> int:
    """How many names there are."""
    return _OF[language].count


def made_name(language: Language, number: int) -> str:
    return _OF[language].name(number)


def free_number(language: Language, rng: Random, taken: Collection[str]) -> int:
    """The number of a name that nobody has yet; in a crowd larger than the language any."""
    used = {name.casefold() for name in taken}
    number = 0
    for _ in range(_TRIES):
        number = rng.randrange(count_of(language))
        if made_name(language, number).casefold() not in used:
            return number
    free = [one for one in range(count_of(language)) if made_name(language, one).casefold() not in used]
    return rng.choice(free) if free else number
