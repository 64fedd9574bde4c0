import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Schnelle Lichter',
  look_up: 'Jede Frage steht auf dem großen Bildschirm und hier. Antworte hier.',
  points: 'Eine richtige Antwort bringt 100 Punkte, eine halb richtige einen Teil davon.',
  no_hurry: 'Lass dir Zeit: Schnell sein bringt nichts.',
  more_early: 'Frühe richtige Antworten bringen etwas mehr, höchstens 20 Punkte.',
  more_run: 'Richtige Antworten in Folge bringen etwas mehr, höchstens 30 Punkte.',
  more_both: 'Frühe Antworten und richtige in Folge bringen etwas mehr.',
  wins: 'Wer am Ende die meisten Punkte hat, ist vorn. Es leuchten die Lichter von allen.',
} satisfies Words<typeof en>
