export default {
  found_of: '{found} of {pairs} found',
  belong: '{left} and {right} belong together.',
  apart: '{left} and {right} do not belong together.',
  first_try: '{right} right at the first try',
  board: 'Board {number}: {found} of {all} found, {finished} have all of it',
  finished: '{finished} of {players} have all of it',
} as const
