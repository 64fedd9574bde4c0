export default {
  name: 'Two halves',
  join: 'Everything lies there in two halves. Touch one, then the one that belongs to it.',
  lights: 'What belongs together is joined, and its light goes on.',
  first: 'The first try for each is what counts. Take your time.',
  wins: 'First is who joined the most at the first try.',
  halves: 'Halves',
  others: 'Their other halves',
  joined: 'Joined',
} as const
