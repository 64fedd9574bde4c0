import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Den Fang sortieren',
  hook: 'Eins nach dem anderen hängt am Haken. Leg es in die Kiste, in die es gehört.',
  comes_back: 'Was in die falsche Kiste kommt, hängt wieder am Haken.',
  first: 'Bei jedem zählt der erste Versuch. Lass dir Zeit.',
  wins: 'Vorn ist, wer beim ersten Versuch am meisten richtig sortiert hat.',
  crates: 'Kisten',
  on_hook: 'Am Haken',
  later: 'Erst etwas anderes',
  not_in: '{text} gehört nicht in {group}.',
  goes_in: '{text} gehört in {group}.',
  in_crates: '{found} von {pairs} in ihren Kisten',
  inside: '{n} darin',
} satisfies Words<typeof en>
