"""Units as people write them, and what they are of one another (docs/kinds.md, N9 to N12).

A line is: the usual symbol and others that mean the same, exactly as written; names, in any case; what it measures;
how much of that. Factors are exact (the international yard and pound, 1959; the nautical mile, 1929).
"""

import re
import unicodedata
from dataclasses import dataclass
from fractions import Fraction
from functools import lru_cache

from lantern.core.questions.marking.letters import powers_written_out

_TABLE = """
m | metre metres meter meters mètre mètres metro metros metri | length | 1
km | kilometre kilometres kilometer kilometers kilomètre kilomètres kilómetro kilómetros chilometri | length | 1000
dm | decimetre decimetres decimeter dezimeter décimètre | length | 1/10
cm | centimetre centimetres centimeter centimeters zentimeter centimètre centimètres | length | 1/100
mm | millimetre millimetres millimeter millimeters millimètre millimètres | length | 1/1000
μm | micrometre micrometres micrometer mikrometer micron microns | length | 1/1000000
nm | nanometre nanometres nanometer nanometers | length | 1/1000000000
in " | inch inches zoll pouce | length | 254/10000
ft ' | foot feet fuß pied pieds | length | 3048/10000
yd | yard yards | length | 9144/10000
mi | mile miles meile meilen | length | 1609344/1000
M NM nmi sm | nautical_mile nautical_miles seemeile seemeilen mille_marin | length | 1852
m^2 qm | square_metre square_metres square_meter square_meters sq_m quadratmeter mètre_carré mètres_carrés | area | 1
km^2 | square_kilometre square_kilometres square_kilometers sq_km quadratkilometer | area | 1000000
dm^2 | square_decimetre quadratdezimeter | area | 1/100
cm^2 | square_centimetre square_centimetres square_centimeters sq_cm quadratzentimeter | area | 1/10000
mm^2 | square_millimetre square_millimetres quadratmillimeter | area | 1/1000000
ha | hectare hectares hektar | area | 10000
m^3 cbm | cubic_metre cubic_metres cubic_meter cubic_meters kubikmeter | volume | 1
dm^3 | cubic_decimetre kubikdezimeter | volume | 1/1000
cm^3 cc ccm | cubic_centimetre cubic_centimetres cubic_centimeters kubikzentimeter | volume | 1/1000000
mm^3 | cubic_millimetre kubikmillimeter | volume | 1/1000000000
l L | litre litres liter liters litro litros | volume | 1/1000
hl hL | hectolitre hektoliter | volume | 1/10
dl dL | decilitre deciliter deziliter | volume | 1/10000
cl cL | centilitre centiliter zentiliter | volume | 1/100000
ml mL | millilitre millilitres milliliter milliliters | volume | 1/1000000
g | gram grams gramme grammes gramm gramo gramos | mass | 1/1000
kg | kilogram kilograms kilogramme kilogrammes kilogramm kilo kilos | mass | 1
mg | milligram milligrams milligramme milligramm | mass | 1/1000000
μg | microgram micrograms mikrogramm | mass | 1/1000000000
t | tonne tonnes metric_ton tonnen | mass | 1000
lb lbs | pound pounds | mass | 45359237/100000000
oz | ounce ounces | mass | 45359237/1600000000
s sec | second seconds sekunde sekunden seconde secondes segundo segundos | time | 1
ms | millisecond milliseconds millisekunde millisekunden | time | 1/1000
min | minute minutes minuten minuto minutos | time | 60
h hr hrs | hour hours stunde stunden heure heures hora horas | time | 3600
d | day days tag tage jour jours día días | time | 86400
wk | week weeks woche wochen semaine semaines | time | 604800
m/s m*s^-1 ms^-1 | metres_per_second meters_per_second metre_per_second | speed | 1
km/h km/hr kph kmh kmph km*h^-1 | kilometres_per_hour kilometers_per_hour stundenkilometer | speed | 1000/3600
mph mi/h | miles_per_hour | speed | 1609344/3600000
kn kt kts | knot knots knoten nœud nœuds nudo nudos | speed | 1852/3600
m/s^2 m*s^-2 ms^-2 | metres_per_second_squared | acceleration | 1
N | newton newtons | force | 1
kN | kilonewton kilonewtons | force | 1000
mN | millinewton | force | 1/1000
Pa | pascal pascals | pressure | 1
hPa | hectopascal hectopascals hektopascal | pressure | 100
kPa | kilopascal kilopascals | pressure | 1000
MPa | megapascal megapascals | pressure | 1000000
bar | bars | pressure | 100000
mbar mb | millibar millibars | pressure | 100
atm | atmosphere atmospheres | pressure | 101325
J | joule joules | energy | 1
kJ | kilojoule kilojoules | energy | 1000
MJ | megajoule megajoules | energy | 1000000
mJ | millijoule | energy | 1/1000
Wh | watt_hour watt_hours wattstunde wattstunden | energy | 3600
kWh | kilowatt_hour kilowatt_hours kilowattstunde kilowattstunden | energy | 3600000
MWh | megawatt_hour megawatt_hours megawattstunde | energy | 3600000000
cal | calorie calories kalorie kalorien | energy | 4184/1000
kcal | kilocalorie kilocalories kilokalorie kilokalorien | energy | 4184
eV | electronvolt electronvolts | energy | 1602176634/10000000000000000000000000000
W | watt watts | power | 1
mW | milliwatt milliwatts | power | 1/1000
kW | kilowatt kilowatts | power | 1000
MW | megawatt megawatts | power | 1000000
GW | gigawatt gigawatts | power | 1000000000
V | volt volts | voltage | 1
mV | millivolt millivolts | voltage | 1/1000
kV | kilovolt kilovolts | voltage | 1000
A | ampere amperes amp amps | current | 1
mA | milliampere milliamperes milliamp milliamps | current | 1/1000
Ω Ohm | ohms | resistance | 1
kΩ | kiloohm kiloohms kilohm | resistance | 1000
MΩ | megaohm megohm | resistance | 1000000
C | coulomb coulombs | charge | 1
Hz | hertz | frequency | 1
kHz | kilohertz | frequency | 1000
MHz | megahertz | frequency | 1000000
GHz | gigahertz | frequency | 1000000000
°C C | celsius degrees_celsius degree_celsius grad_celsius centigrade | celsius | 1
°F F | fahrenheit degrees_fahrenheit grad_fahrenheit | fahrenheit | 1
K | kelvin kelvins | kelvin | 1
° | degree degrees deg grad degré degrés | angle | 1
mol | mole moles | amount | 1
mmol | millimole millimoles | amount | 1/1000
B | byte bytes | data | 8
kB KB | kilobyte kilobytes | data | 8000
MB | megabyte megabytes | data | 8000000
GB | gigabyte gigabytes | data | 8000000000
bit | bits | data | 1
% | percent per_cent prozent pour_cent por_ciento per_cento | share | 1
‰ | permille promille | share | 1/10
$ US$ USD | dollar dollars | dollar | 1
€ EUR | euro euros | euro | 1
£ GBP | pound_sterling pounds_sterling | pound | 1
¥ JPY | yen | yen | 1
kr SEK NOK DKK | krona kronor krone kroner kronen | krone | 1
CHF Fr | franken franc francs | franc | 1
"""
CURRENCY = "$€£¥"


@dataclass(frozen=True, slots=True)
class Unit:
    """`factor` is how much of what it `measures` one of it is; units that measure the same can be turned into
    each other."""

    symbol: str
    symbols: frozenset[str]
    names: frozenset[str]
    measures: str
    factor: Fraction


def _line(line: str) -> Unit:
    symbols, names, measures, factor = (part.strip() for part in line.split(" | "))
    return Unit(
        symbols.split()[0],
        frozenset(symbols.split()),
        frozenset(name.replace("_", " ") for name in names.split()),
        measures,
        Fraction(factor),
    )


UNITS = tuple(_line(line) for line in _TABLE.strip().splitlines())
_LOW_POWER = re.compile(r"(?<=[A-Za-zμ])([23])(?!\d)")


def as_written(unit: str) -> str:
    """The unit with its powers as ^2, one sign for times, and no full stop behind it."""
    unit = powers_written_out(unit.strip().replace("º", "°"))
    unit = unicodedata.normalize("NFKC", unit).replace("⁄", "/").replace("Ω", "Ω").replace("µ", "μ")
    unit = re.sub(r"\s*([/^·⋅*×])\s*", r"\1", re.sub(r"\s+", " ", unit)).rstrip(". ").strip()
    return _LOW_POWER.sub(r"^\1", re.sub("[·⋅×]", "*", unit))


@lru_cache(maxsize=1024)
def how_many(written: str, unit: str) -> Fraction | None:
    """How many `unit` one `written` is: 1 where they are the same, None where they measure different things.

    Capitals count where they tell units apart (MW and mW); elsewhere they do not.
    """
    written, unit = as_written(written), as_written(unit)
    wanted = known(unit)
    if written == unit or (wanted and (written in wanted.symbols or written.lower() in wanted.names)):
        return Fraction(1)
    found = known(written)
    if wanted and found:
        return found.factor / wanted.factor if found.measures == wanted.measures else None
    return Fraction(1) if written.casefold() == unit.casefold() and not _is_ambiguous(written, wanted) else None


def _is_ambiguous(written: str, wanted: Unit | None) -> bool:
    """Whether it may be two units of what is asked for, by its capitals alone."""
    alike = [one for one in UNITS if written.casefold() in {symbol.casefold() for symbol in one.symbols}]
    return wanted is not None and sum(one.measures == wanted.measures for one in alike) > 1


@lru_cache(maxsize=1024)
def known(unit: str) -> Unit | None:
    """The unit of the table with this symbol or name; None also where its capitals leave open which."""
    unit = as_written(unit)
    as_product, as_name = unit.replace(" ", "*"), unit.lower().replace(".", "")  # m s^-1; sq. m
    for one in UNITS:
        if {unit, as_product} & one.symbols or as_name in one.names:
            return one
    loose = [one for one in UNITS if unit.casefold() in {symbol.casefold() for symbol in one.symbols}]
    return loose[0] if len(loose) == 1 else None
