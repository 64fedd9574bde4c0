export default {
  without_how_to_join: 'Without how to join',
  with_how_to_join: 'With how to join',
  how_to_join_on_the_big: 'How to join, on the big screen',
  text_of_the_page: 'Text of the page',
  text_of_the_page_a_line: 'Text of the page. A line that begins with - becomes a list.',
  label: 'Information page',
  hint: 'something to read, nothing to answer',
} as const
