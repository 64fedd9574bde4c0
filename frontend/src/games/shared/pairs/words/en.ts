export default {
  found_of: '{found} of {pairs} found',
  belong: '{left} and {right} belong together.',
  apart: '{left} and {right} do not belong together.',
  first_try: '{right} right at the first try',
  board: 'Board {number}: {found} of {all} found, {finished} have all of it',
  finished: '{finished} of {players} have all of it',
  picture: 'Picture {number}',
  sound: 'Sound {number}',
  film: 'Film {number}',
  touch_to_hear: 'Touch a sound to hear it.',
  turn_of: 'It is {name}’s turn.',
  all_found: 'Everything is found.',
} as const
