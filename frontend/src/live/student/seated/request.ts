/** What is asked once somebody sits, beside their line to the session. */
import type { OwnLightInfo, Reviewed, SpokenPart, StudentAnswer } from '@/api/types'
import { request } from '../request'

const by = (token: string) => ({ Authorization: `Bearer ${token}` })

export const readingOf = async (token: string, item: string, answer: StudentAnswer): Promise<string> =>
  (await request<{ read: string }>('/api/live/student/reading', by(token), { item, answer })).read
export const spokenPart = (
  token: string,
  part: string,
  start: number,
  language: string,
): Promise<SpokenPart> =>
  request(`/api/live/student/spoken/${encodeURIComponent(part)}?start=${start}&language=${language}`, {
    Authorization: `Bearer ${token}`,
  })
export const spokenText = (token: string, text: string, language: string): Promise<SpokenPart> =>
  request('/api/live/student/spoken', by(token), { text, language })
export const reviewOf = async (token: string): Promise<Reviewed[]> =>
  (await request<{ questions: Reviewed[] }>('/api/live/student/review', by(token))).questions

const LIGHT = '/api/live/student/light'
export const lightOf = (token: string): Promise<OwnLightInfo> => request(LIGHT, by(token))
export const chooseLight = (token: string, light: string): Promise<OwnLightInfo> =>
  request(LIGHT, by(token), { light }, 'PUT')
