export default {
  a_typed_text: 'A typed text',
  dictation_write_what_is_heard: 'Dictation: write what is heard',
  form: 'Form',
  dictation: 'Dictation',
  typed_text: 'Typed text',
  accepted_answer: 'Accepted answer',
  students_type_a_short_text: 'Students type a short text.',
  label: 'Text',
  hint: 'a short text is typed, or written from a sound',
} as const
