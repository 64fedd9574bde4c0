export default {
  video: 'Video',
  sound: 'Sound',
  captions: 'Captions',
  hide_text: 'Hide the text',
  read_instead: 'Read it instead',
} as const
