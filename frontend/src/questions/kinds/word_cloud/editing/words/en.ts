export default {
  one_word: 'one word',
  up_to_words: 'up to {value} words',
  words: 'Words',
  right_word: 'Right word',
  students_send_a_few_words_those:
    'Students send a few words. Those that differ in capitals, accents or a plural ending are counted as one.',
  label: 'Word cloud',
  hint: 'a few words, counted',
} as const
