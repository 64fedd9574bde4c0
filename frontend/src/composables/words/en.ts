export default {
  a_number_alone: 'a number alone',
  nobody_is_asked_for_a_name: 'Nobody is asked for a name. Everyone is a guest with a number.',
  a_name_they_type: 'a name they type',
  their_own_or_one_they_think: 'Their own, or one they think of.',
  a_name_made_for_them: 'a name made for them',
  two_gentle_words_as_curious_heron:
    'Two gentle words, as “Curious Heron”. One tap for another; no two the same.',
  their_name_in_the_class_list: 'their name in the class list',
  each_picks_their_own_or_types:
    'Each picks their own, or types a pass phrase where the class has them. Results add up.',
  a_record_id: 'a record ID',
  the_schools_number_or_e_mail:
    'The school’s number or e-mail, and a name for the others. Only reports show the ID.',
} as const
