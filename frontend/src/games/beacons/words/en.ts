export default {
  name: 'Beacon run',
  each_answers: 'Everybody in your team answers.',
  lights: 'Right answers light the next beacons of your team’s chain; wrong ones put none out.',
  mean: 'A team’s light is the mean of its members, so small and large teams are equal.',
  wins_first: 'First is the team whose chain is lit to the end.',
  wins_furthest: 'First is the team whose chain is lit furthest in the end.',
  lit: '{lit} of {length} lit',
  light_of: 'Team {name}: {lit} of {length} beacons lit.',
  at_the_end: 'At the end of the chain!',
  your_light: 'Your answers lit {light} of it.',
} as const
