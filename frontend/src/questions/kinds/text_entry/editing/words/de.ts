import type { Words } from '@/words'
import type en from './en'

export default {
  a_typed_text: 'Ein getippter Text',
  dictation_write_what_is_heard: 'Diktat: schreiben, was man hört',
  form: 'Form',
  dictation: 'Diktat',
  typed_text: 'Getippter Text',
  accepted_answer: 'Angenommene Antwort',
  students_type_a_short_text: 'Lernende tippen einen kurzen Text.',
  label: 'Text',
  hint: 'ein kurzer Text wird getippt oder nach Gehör geschrieben',
} satisfies Words<typeof en>
