export default {
  for_oneself: 'for oneself',
  everybody_solves_it: 'Everybody solves it',
  a_word_may_then_have_been:
    'A word may then have been read before it is answered, so that marks say less of each one.',
  crossword_number_of_these_words: 'Crossword number {number} of these words.',
  another_one: 'Another one',
  hint: 'Right answers are the words, and their questions the clues.',
  together: 'together: what anybody has right stands in the grid of all',
} as const
