export default {
  sort: 'type a text',
  sort_dictation: 'write what you hear',
  choose: 'Type your answer',
  invite: 'Type your answer.',
  hear: 'Write what you hear',
  listen: 'Listen, and write what you hear.',
} as const
