export default {
  sort: 'find the pairs',
  choose: 'Find the pairs',
  put: '{left} with {right}',
  partners: 'Choose a partner for each line',
  chosen: 'chosen',
  choose_one: 'choose…',
  caption: 'How many put each line on the left to each on the right',
  partner_of: 'Partner of number {number}',
} as const
