import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'El cofre de mar',
  draw_one: 'El equipo al que le toca saca una carta del cofre.',
  talk: 'Habladlo primero. Luego alguien dice en voz alta lo que pensáis.',
  worth: 'Tu docente dice lo que valió: 2 perlas, 1 o ninguna.',
  wins: 'Va delante el equipo con más perlas cuando el cofre queda vacío.',
  pearls: { one: '{n} perla', many: '{n} perlas', other: '{n} perlas' },
  left: { one: '{n} carta en el cofre', many: '{n} cartas en el cofre', other: '{n} cartas en el cofre' },
  empty: 'El cofre está vacío.',
  team_draws: 'El equipo {name} saca una carta.',
  has_drawn: 'El equipo {name} ha sacado esta carta.',
  you_draw: 'Le toca a tu equipo',
  draw: 'Sacar una carta',
  talk_now: 'Habladlo en el equipo.',
  team_has: 'Equipo {name}: {n}',
} satisfies Words<typeof en>
