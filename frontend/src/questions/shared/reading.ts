/** How an answer is understood, asked of whoever the student's view talks to: a session, or a trial. */
import { inject, provide, type InjectionKey } from 'vue'
import type { StudentAnswer } from '@/api/types'

/** Resolves to how it is read, empty where that is never in doubt; rejects with a Refusal. */
export type Reading = (item: string, answer: StudentAnswer) => Promise<string>

export const READING: InjectionKey<Reading> = Symbol('how an answer is read')

export const provideReading = (reading: Reading): void => provide(READING, reading)
export const useReading = (): Reading => inject(READING, () => Promise.resolve(''))
