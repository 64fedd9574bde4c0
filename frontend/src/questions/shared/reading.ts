/** How an answer is understood, asked of whoever the student's view talks to: a session, or a trial. */
import { inject, provide, type InjectionKey } from 'vue'
import { Refusal } from '@/api/refusal'
import type { StudentAnswer } from '@/api/types'

/** Resolves to how it is read, empty where that is never in doubt; rejects with a Refusal in words. */
export type Reading = (item: string, answer: StudentAnswer) => Promise<string>

export const READING: InjectionKey<Reading> = Symbol('how an answer is read')

/** `told` says in the language of the page why an answer cannot be read. */
export function provideReading(reading: Reading, told: (why: Refusal) => string): void {
  provide(READING, async (item, answer) => {
    try {
      return await reading(item, answer)
    } catch (error) {
      throw error instanceof Refusal ? new Refusal({ ...error, sentence: told(error) }, error.status) : error
    }
  })
}
export const useReading = (): Reading => inject(READING, () => Promise.resolve(''))
