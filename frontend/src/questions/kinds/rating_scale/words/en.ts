export default {
  sort: 'rate each statement',
  choose: 'Rate the statements',
  rated: {
    one: '{line}: mean {mean}, spread {spread}, {n} rating',
    other: '{line}: mean {mean}, spread {spread}, {n} ratings',
  },
  rated_once: '{line}: {mean}, one rating',
} as const
