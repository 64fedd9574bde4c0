export default {
  devices_say_each_word: 'Devices say each word as it is opened',
  hint: 'Pairs lie behind shutters; open two, and remember.',
} as const
