import type { Words } from '@/words'
import type en from './en'

export default {
  by_pointing_only: 'nur durch Zeigen',
  also_by_name: 'auch mit dem Namen',
  margin: '{value} % Rand',
  no_margin: 'kein Rand',
  answered: 'Geantwortet wird',
  margin_2: 'Rand',
  add_the_picture_first_then_draw:
    'Fügen Sie zuerst das Bild hinzu, dann zeichnen Sie darauf, was richtig ist.',
  draw: 'Zeichnen',
  close_the_outline: 'Umriss schließen',
  area_in_the_middle: '+ Fläche in der Mitte',
  name_of_area: 'Name der Fläche {number}',
  right: 'richtig',
  remove_area: 'Fläche {number} entfernen',
  label: 'Zeigen auf ein Bild',
  hint: 'auf eine Stelle im Bild wird gezeigt',
  rectangle: 'Rechteck',
  ellipse: 'Ellipse',
  corners: 'Ecken, eine nach der anderen',
  centre_across: 'Mitte waagerecht',
  centre_down: 'Mitte senkrecht',
  radius_across: 'Radius waagerecht',
  radius_down: 'Radius senkrecht',
  left: 'links',
  top: 'oben',
  width: 'Breite',
  height: 'Höhe',
} satisfies Words<typeof en>
