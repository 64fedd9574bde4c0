import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'señala en la imagen',
  choose: 'Señala en la imagen',
  invite: 'Señala en la imagen.',
  send_named: 'Enviar «{name}»',
  send_place: 'Enviar este lugar',
  points: { one: '{n} punto', many: '{n} de puntos', other: '{n} puntos' },
  elsewhere: 'en otro lugar',
  an_area: 'una zona',
  area_of: 'zona {number}',
  area_lit: 'la zona en la luz',
  left: 'Mover la marca a la izquierda',
  up: 'Mover la marca hacia arriba',
  down: 'Mover la marca hacia abajo',
  right: 'Mover la marca a la derecha',
  move_mark: 'Mover la marca',
  mark_at: 'La marca está al {across} % desde la izquierda y al {down} % desde arriba.',
  press: 'Pulsa en la imagen.',
  by_name: 'O elígelo por su nombre',
} satisfies Words<typeof en>
