/** Questions that are asked on the spot: what the teacher's few signs become. */
import { newId } from '@/api/ids'
import type { Item } from '@/api/types'
import { blankItem } from '@/questions/blank'
import { t } from './words'

export type QuickForm = 'letters' | 'yes_no' | 'number' | 'word' | 'text'

export const quickForms = (): { value: QuickForm | 'typed'; words: string }[] => [
  { value: 'letters', words: t('letters') },
  { value: 'yes_no', words: t('yes_or_no') },
  { value: 'number', words: t('a_number') },
  { value: 'word', words: t('a_word') },
  { value: 'text', words: t('a_text') },
  { value: 'typed', words: t('typed') },
]

/** What is right in it can be said afterwards. `letters` is how many are offered. */
export function quickItem(form: QuickForm, prompt: string, letters: number): Item {
  const asked = { prompt: prompt.trim() }
  switch (form) {
    case 'letters':
      return { ...blankItem('letter', newId()), ...asked, letters } as Item
    case 'yes_no': {
      const options = [t('yes'), t('no')].map((text) => ({ id: newId(), text, right: false }))
      return { ...blankItem('choice', newId()), ...asked, form: 'true_false', options } as Item
    }
    case 'number':
      return { ...blankItem('numeric_entry', newId()), ...asked } as Item
    case 'word':
      return { ...blankItem('word_cloud', newId()), ...asked, scored: true, most: 1 } as Item
    case 'text':
      return { ...blankItem('open_response', newId()), ...asked } as Item
  }
}

/** With nothing prepared there is no set whose language it would have: the one that this browser speaks, then. */
export function inItsLanguage(item: Item, isUnprepared: boolean, spoken: string): Item {
  return isUnprepared && !item.language ? { ...item, language: spoken.split('-')[0]! } : item
}
