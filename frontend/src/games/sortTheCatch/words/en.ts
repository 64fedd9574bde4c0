export default {
  name: 'Sort the catch',
  hook: 'One after another hangs on the hook. Put it into the crate that it belongs in.',
  comes_back: 'What goes into a wrong crate comes back onto the hook.',
  first: 'The first try for each is what counts. Take your time.',
  wins: 'First is who sorted the most at the first try.',
  crates: 'Crates',
  on_hook: 'On the hook',
  later: 'Another one first',
  not_in: '{text} does not go into {group}.',
  goes_in: '{text} goes into {group}.',
  in_crates: '{found} of {pairs} in their crates',
  inside: '{n} inside',
} as const
