export default {
  first_vote: 'First vote',
  second_vote: 'Second vote',
  right_before_after: '{before} right before, {after} after.',
  gained: 'Gained of what could be: {share}.',
  changed: {
    one: '{changed} of {n} student who voted twice changed their answer.',
    other: '{changed} of {n} students who voted twice changed their answer.',
  },
  to: 'to',
} as const
