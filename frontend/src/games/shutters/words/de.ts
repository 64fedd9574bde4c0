import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Fensterläden',
  open_two: 'Hinter jedem Laden liegt die Hälfte eines Paars. Öffne zwei.',
  stay: 'Gehören sie zusammen, bleiben sie offen. Sonst merke dir, was du gesehen hast.',
  counts: 'Daneben zählt nur, wenn du das Richtige schon gesehen hattest.',
  wins: 'Vorn ist, wer am meisten ohne so einen Fehler gefunden hat.',
  house: 'Fensterläden am Haus',
  shut: 'Laden {number}, zu',
  is_open: 'Laden {number}: {text}',
  is_found: 'Laden {number}: {text}, gefunden',
} satisfies Words<typeof en>
