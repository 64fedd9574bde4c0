import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'finde die Paare',
  choose: 'Finde die Paare',
  put: '{left} mit {right}',
  partners: 'Wähle zu jeder Zeile die passende',
  chosen: 'gewählt',
  choose_one: 'wählen…',
  caption: 'Wie viele jede Zeile der ersten Spalte mit jeder der zweiten verbunden haben',
  partner_of: 'Was zu Nummer {number} passt',
} satisfies Words<typeof en>
