export default {
  students_write_a_text_of_their:
    'Students write a text of their own. There is no right answer to compare it with.',
  at_most: 'At most',
  characters: 'characters',
  i_mark_the_answers_by_hand: 'I mark the answers by hand afterwards',
  label: 'Open response',
  hint: 'a text of one’s own',
} as const
