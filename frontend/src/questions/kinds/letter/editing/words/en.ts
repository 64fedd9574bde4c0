export default {
  a_to: 'A to {last}',
  letters: 'Letters',
  you_ask_aloud_or_it_stands: 'You ask aloud, or it stands on the board; students send a letter.',
  is_right: '{letter} is right',
  label: 'Letter',
  hint: 'asked aloud, answered with a letter',
} as const
