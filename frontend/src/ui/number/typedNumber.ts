/** A number as a teacher types it, read by the server: one reader reads what teachers and students type. */
import { until } from '@vueuse/core'
import { ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { t } from '@/ui/words'

export interface Read {
  /** The exact number as text; null for none. */
  value: string | null
  /** Why it is no number; empty where nothing is wrong. */
  sentence: string
}

/** How many numbers are typed but not read yet: until it is nought, not everything that was written is known. */
export const unread = ref(0)

/** Resolves once every number that was typed has been read. */
export const allRead = (): Promise<unknown> => until(unread).toBe(0)

/** Figures alone mean the same in every language: nobody has to be asked. */
const FIGURES = /^[-−–]?\d{1,15}$/

export async function readNumber(text: string, language: string): Promise<Read> {
  const typed = text.trim()
  if (!typed) return { value: null, sentence: '' }
  if (FIGURES.test(typed)) return { value: String(Number(typed.replace(/[−–]/, '-'))), sentence: '' }
  try {
    const found = await data(api.POST('/api/sets/read-number', { body: { text: typed, language } }))
    const rest = found.rest ? t('only_a_number_belongs_here_not', { rest: found.rest }) : ''
    return { value: found.value, sentence: found.sentence || rest }
  } catch (error) {
    return { value: null, sentence: sentenceOf(error) }
  }
}
