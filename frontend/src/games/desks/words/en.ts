export default {
  drawn_as_they_come_in: 'drawn as they come in',
  chosen_by_the_players: 'chosen by the players',
  the_groups_of_the_class_list: 'the groups of the class list',
  balanced_by_earlier_marks: 'balanced by earlier marks',
  one_for_each_shared_device: 'one for each shared device',
  each_device_is_a_team:
    'Each device is a team, {most} at most. Whoever joins types in the names of all who sit there; reports show them.',
  for_this_students:
    'For this, students have to be known by their name in the class list, or by a record ID: see “Who takes part”.',
  a_group_is_what_the_class:
    'A group is what the class list says of each member. Who has none goes to the smallest team.',
  they_are_made_when_it_starts:
    'They are made when it starts, by the mean of each one’s marks in this class’s last ten sessions. Nobody is told it.',
  teams_are: 'Teams are',
  how_many: 'How many',
  for: '{unit} for {team}',
  on_one_board: '{what} on one board.',
  on_boards: '{what} on {played} boards.',
  what_is_tried_first: 'What is tried first is the answer, and counts in reports.',
  on_shared_devices: 'On shared devices, as on one large board: whoever joins names all who play at it',
  whose_turn_it_is: 'Whose turn it is',
} as const
