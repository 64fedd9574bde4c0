import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'La vuelta a la isla',
  rolls: 'El equipo al que le toca tira el dado desde un móvil. Luego responden todos.',
  rolls_in_room: 'Se tira el dado para el equipo al que le toca. Responde en voz alta.',
  goes_on:
    'Si la mitad lo sabe, su barca avanza lo que salió. Cualquier otro equipo que lo sepa avanza una cala.',
  events:
    'Una corriente lleva más lejos, un bajo hace retroceder, en el faro se tira otra vez, en la niebla se pierde un turno.',
  no_events: 'Todas las calas están en calma: solo avanzáis con lo que sabéis.',
  wins: 'Va delante el equipo que da la vuelta primero o, si no, el que llegó más lejos.',
  bay_of: 'Cala {bay} de {bays}',
  boat_at: 'Equipo {name}: cala {bay} de {bays}',
  you_roll: 'Tu equipo tira el dado',
  roll: 'Tirar',
  team_rolls: 'El equipo {name} tira el dado.',
  has_rolled: 'El equipo {name} ha sacado un {n}.',
  went_on: 'El equipo {name} avanza {n}.',
  stays: 'El equipo {name} se queda donde está.',
  met_current: 'Una corriente lo lleva 2 calas más lejos.',
  met_shoal: 'Un bajo lo hace retroceder 2 calas.',
  met_lighthouse: 'En el faro tira otra vez.',
  met_fog: 'En la niebla pierde el próximo turno.',
  round: '¡La vuelta está hecha!',
  is_over: 'Una barca ha dado la vuelta a la isla.',
  no_more: 'No hay más preguntas.',
  waits: 'pierde un turno',
} satisfies Words<typeof en>
