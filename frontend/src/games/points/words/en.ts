export default {
  name: 'Quick lights',
  look_up: 'Every question is on the big screen and here. Answer it here.',
  points: 'Right answers earn points: 100 for all of it, else a part.',
  no_hurry: 'Take your time: being quick earns nothing.',
  more_early: 'Early right answers earn a little more, 20 points at most.',
  more_run: 'Right answers in a row earn a little more, 30 points at most.',
  more_both: 'Early answers and right ones in a row earn a little more.',
  wins: 'Whoever has the most points in the end is first. Everybody’s light is lit.',
} as const
