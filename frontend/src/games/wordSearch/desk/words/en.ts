export default {
  across_and_down: 'across and down',
  across_down_and_on_slopes: 'across, down and on slopes',
  in_every_direction_backwards_too: 'in every direction, backwards too',
  words_run: 'Words run',
  hint: 'Words of the set lie hidden among letters, and are found by their clues.',
} as const
