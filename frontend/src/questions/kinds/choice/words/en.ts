export default {
  sort_one: 'choose one',
  sort_several: 'choose all that are right',
  sort_true_false: 'true or false',
  choose: 'Choose an answer',
} as const
