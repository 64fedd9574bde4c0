export default {
  gaps_are_typed: 'Gaps are typed',
  each_gap_has_its_choices: 'Each gap has its choices',
  one_bank_of_words: 'One bank of words',
  gaps: 'Gaps',
  what_belongs_into_a_gap_stands:
    'What belongs into a gap stands in brackets; a bar parts spellings that are also right: [rises|climbs].',
  in_brackets_the_right_choice_first:
    'In brackets the right choice first, then the others: [six|four|eight].',
  what_belongs_into_a_gap_stands_2:
    'What belongs into a gap stands in brackets: [spring]. All words make one bank.',
  text_with_gaps: 'Text with gaps',
  the_tide_rises_for_about_six: 'The tide rises for about [six] hours.',
  word_that_belongs_nowhere: 'Word that belongs nowhere',
  label: 'Gap fill',
  hint: 'words are put into the gaps of a text',
  gap: 'Gap {number}',
} as const
