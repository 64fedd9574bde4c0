import type { Words } from '@/words'
import type en from './en'

export default {
  your_light: 'Tu luz',
  change: 'Cambiar tu luz',
  loading: 'Un momento…',
  which_part: 'Qué parte',
  draw_one: 'Sacar una al azar',
  how_earned:
    'Ganas conchas al responder, bien o mal, al mejorar y al ayudar a un equipo. Ninguna se pierde.',
  for_now: 'Esta luz es solo para esta sesión.',
  take: 'Quedarme esta luz',
  leave_it: 'Dejarla como estaba',
  next_time: 'La tendrás desde la próxima sesión.',
  shells: { one: '{n} concha', many: '{n} conchas', other: '{n} conchas' },
  you_have: { one: 'Tienes {n} concha.', many: 'Tienes {n} conchas.', other: 'Tienes {n} conchas.' },
  earned: {
    one: 'Esta sesión te dio {n} concha.',
    many: 'Esta sesión te dio {n} conchas.',
    other: 'Esta sesión te dio {n} conchas.',
  },
  take_for: {
    one: 'Quedármela por {n} concha',
    many: 'Quedármela por {n} conchas',
    other: 'Quedármela por {n} conchas',
  },
  more_wanted: {
    one: 'Te falta {n} concha.',
    many: 'Te faltan {n} conchas.',
    other: 'Te faltan {n} conchas.',
  },
} satisfies Words<typeof en>
