"""Makes the picture collection that ships: a reduced, minified part of OpenMoji 17 with everyday words added.

    python -m tools.make_collection path/to/openmoji

OpenMoji is an open set of pictures, CC BY-SA 4.0 (openmoji.org). It is needed only to make the collection anew.
"""

import json
import re
import sys
import zipfile
from pathlib import Path

OUT = Path(__file__).resolve().parents[1] / "lantern/server/media/collection"
GROUPS = {"animals-nature", "food-drink", "travel-places", "objects", "activities"}
EXTRA_GROUPS = {"extras-openmoji"}
EXTRA_SUBGROUPS = {"animals-nature", "climate-environment", "healthcare", "objects", "travel-places"}

# What a teacher would type, for pictures whose own words do not say it.
SYNONYMS = {
    "lighthouse of alexandria": "harbour light beacon coast tower sea mark",
    "anchor": "harbour boat ship moor ground tackle",
    "sailboat": "yacht sail wind sea boat dinghy regatta",
    "ship": "boat vessel ferry sea",
    "passenger ship": "ferry liner boat vessel",
    "motor boat": "launch rib boat",
    "speedboat": "launch rib boat",
    "canoe": "paddle rowing kayak boat",
    "ring buoy": "lifebuoy rescue float safety sea",
    "water wave": "sea tide surf swell ocean",
    "compass": "bearing north navigation course direction",
    "world map": "chart geography atlas",
    "knot": "rope bowline hitch line tie",
    "fish": "sea catch herring cod",
    "tropical fish": "sea reef",
    "fishing pole": "angling hook line",
    "shark": "sea fish",
    "whale": "sea mammal",
    "spouting whale": "sea mammal blow",
    "crab": "shellfish shore beach",
    "lobster": "shellfish trap pot",
    "shrimp": "shellfish prawn",
    "oyster": "shellfish pearl",
    "spiral shell": "beach shore snail",
    "bird": "sea bird gull tern",
    "duck": "water bird eider",
    "swan": "water bird",
    "penguin": "sea bird auk",
    "feather": "bird plumage",
    "wind face": "weather breeze storm blow",
    "cloud with lightning": "weather thunder storm",
    "cloud with rain": "weather shower wet",
    "cloud with snow": "weather winter cold",
    "tornado": "weather storm whirlwind",
    "fog": "weather mist haze visibility",
    "sun behind cloud": "weather fair cloudy",
    "thermometer": "temperature weather warm cold",
    "cyclone": "weather low storm hurricane depression",
    "full moon": "tide spring night phase",
    "new moon": "tide spring night phase",
    "first quarter moon": "tide neap night phase",
    "last quarter moon": "tide neap night phase",
    "fireworks": "flare distress signal",
    "flashlight": "torch lamp light signal",
    "light bulb": "lamp light idea",
    "candle": "light lamp flame",
    "red paper lantern": "lamp light",
    "diya lamp": "light lamp flame oil",
    "hourglass done": "time sand timer",
    "stopwatch": "time timer race",
    "umbrella with rain drops": "weather wet",
    "microscope": "biology science laboratory",
    "telescope": "astronomy stars science",
    "test tube": "chemistry science laboratory",
    "alembic": "chemistry science laboratory flask",
    "magnet": "physics science",
    "abacus": "maths counting numbers",
    "triangular ruler": "maths geometry set square",
    "straight ruler": "maths length measure",
    "open book": "reading literature page",
    "books": "library reading literature",
    "school": "class lesson education",
    "backpack": "school bag satchel",
    "globe showing Europe-Africa": "earth world geography",
    "volcano": "geography eruption lava",
    "mountain": "geography peak hill",
    "desert": "geography dry sand",
    "beach with umbrella": "coast shore sand sea",
    "desert island": "coast beach sea",
    "national park": "lake forest nature",
    "deciduous tree": "wood plant leaf",
    "seedling": "plant growth biology",
    "bread": "loaf food baker",
    "musical score": "music notes",
    "violin": "music instrument strings",
    "artist palette": "art paint colours",
    "soccer ball": "football sport",
}


def minified(svg: str) -> str:
    svg = re.sub(r"<\?xml.*?\?>|<!--.*?-->|<metadata>.*?</metadata>", "", svg, flags=re.DOTALL)
    svg = re.sub(r'\s(?:id|data-name|xmlns:\w+|class)="[^"]*"', "", svg)
    svg = re.sub(r"(\d\.\d{2})\d+", r"\1", svg)
    return re.sub(r">\s+<", "><", re.sub(r"\s+", " ", svg)).strip()


# Of interest in one town only, or somebody's.
DROPPED = re.compile("schwäbisch|stuttgart|tardis|guy fawkes|kehrwoche|spätzle|name badge")


def is_wanted(entry: dict[str, str]) -> bool:
    if entry["skintone"] or DROPPED.search(entry["annotation"]):
        return False
    return entry["group"] in GROUPS or (entry["group"] in EXTRA_GROUPS and entry["subgroups"] in EXTRA_SUBGROUPS)


def words_of(entry: dict[str, str]) -> str:
    parts = [entry["annotation"], entry["tags"], entry["openmoji_tags"], SYNONYMS.get(entry["annotation"], "")]
    words = re.findall(r"[\w-]+", " ".join(parts).lower())
    return " ".join(dict.fromkeys(words))


def main() -> None:
    source = Path(sys.argv[1])
    entries = json.loads((source / "data/openmoji.json").read_text())
    index = []
    with zipfile.ZipFile(OUT / "pictures.zip", "w", zipfile.ZIP_DEFLATED, compresslevel=9) as archive:
        for entry in filter(is_wanted, entries):
            svg = minified((source / f"color/svg/{entry['hexcode']}.svg").read_text())
            stamp = zipfile.ZipInfo(f"{entry['hexcode']}.svg")
            archive.writestr(stamp, svg, zipfile.ZIP_DEFLATED)
            index.append({"code": entry["hexcode"], "name": entry["annotation"], "words": words_of(entry)})
        index.sort(key=lambda row: row["name"])
        archive.writestr(zipfile.ZipInfo("index.json"), json.dumps(index, ensure_ascii=False), zipfile.ZIP_DEFLATED)
    unknown = set(SYNONYMS) - {row["name"] for row in index}
    print(f"{len(index)} pictures; words for pictures that are not there: {sorted(unknown) or 'none'}")


if __name__ == "__main__":
    main()
