export default {
  sort: 'write in your own words',
  choose: 'Write your answer',
  invite: 'Write in your own words.',
  characters_left: '{left} of {of} characters left',
  answers: { one: '{n} answer: {texts}', other: '{n} answers: {texts}' },
} as const
