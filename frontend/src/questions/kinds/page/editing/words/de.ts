import type { Words } from '@/words'
import type en from './en'

export default {
  without_how_to_join: 'Ohne Hinweis zum Mitmachen',
  with_how_to_join: 'Mit Hinweis zum Mitmachen',
  how_to_join_on_the_big: 'Wie man mitmacht, auf dem großen Bildschirm',
  text_of_the_page: 'Text der Seite',
  text_of_the_page_a_line: 'Text der Seite. Eine Zeile, die mit - beginnt, wird zur Liste.',
  label: 'Informationsseite',
  hint: 'etwas zu lesen, nichts zu beantworten',
} satisfies Words<typeof en>
