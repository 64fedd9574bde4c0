/** What a student's page of set work asks the server for. */
import type {
  AttemptMessage,
  AttemptReply,
  Entered,
  MyWork,
  PracticeOffer,
  PracticeStarted,
  Reviewed,
  SpokenPart,
  StudentAnswer,
  StudentCommand,
  WorkDoor,
} from '@/api/types'
import { language } from '@/words'
import { request } from '../request'

const by = (token: string) => ({ Authorization: `Bearer ${token}` })
const at = (link: string): string => `/api/doing/at/${encodeURIComponent(link)}`

export const lookAtDoor = (link: string): Promise<WorkDoor> => request(at(link), {})
export const enterWork = (link: string, who: object): Promise<Entered> => request(at(link), {}, who)
export const myWork = (token: string): Promise<MyWork> => request('/api/doing/mine', by(token))
export const beginAttempt = (token: string): Promise<AttemptMessage> =>
  request('/api/doing/attempts', by(token), {})
export const readPractice = (token: string): Promise<PracticeOffer | null> =>
  request('/api/doing/practice', by(token))
export const beginPractice = (token: string): Promise<AttemptMessage> =>
  request('/api/doing/practice', by(token), {})
export const practiseMissed = (token: string, number: number): Promise<AttemptMessage> =>
  request(`/api/doing/attempts/${number}/missed`, by(token), {})
/** Of a session, by the token of one's seat in it. */
export const practiseMissedIn = (seat: string): Promise<PracticeStarted> =>
  request('/api/doing/missed-in-session', by(seat), {})
export const readAttempt = (token: string, number: number): Promise<AttemptMessage> =>
  request(`/api/doing/attempts/${number}`, by(token))
export const sendCommand = (token: string, attempt: number, said: StudentCommand): Promise<AttemptReply> =>
  request('/api/doing/commands', by(token), { attempt, said })
export const reviewOf = async (token: string, number: number): Promise<Reviewed[]> =>
  (await request<{ questions: Reviewed[] }>(`/api/doing/attempts/${number}/review`, by(token))).questions
export const readingOf = async (
  token: string,
  number: number,
  item: string,
  answer: StudentAnswer,
): Promise<string> =>
  (await request<{ read: string }>(`/api/doing/attempts/${number}/reading`, by(token), { item, answer })).read
export const spokenPart = (token: string, number: number, part: string, start: number): Promise<SpokenPart> =>
  request(
    `/api/doing/attempts/${number}/spoken/${encodeURIComponent(part)}?start=${start}&language=${language.value}`,
    by(token),
  )
export const spokenText = (token: string, text: string): Promise<SpokenPart> =>
  request('/api/doing/spoken', by(token), { text, language: language.value })
