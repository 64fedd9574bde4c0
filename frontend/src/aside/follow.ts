/** Waiting, on a page, for what is made aside. */
import { api, data } from '@/api/http'
import { Refusal } from '@/api/refusal'
import type { JobRow } from '@/api/types'
import { t } from './words'

const LOOKS_EVERY = 500
const isLive = (job: JobRow): boolean => job.state === 'waiting' || job.state === 'running'
const pause = () => new Promise((resolve) => setTimeout(resolve, LOOKS_EVERY))

/**
 * The job once it has come to its end; undefined where it was given up. `tell` hears how far it is. Throws a Refusal
 * for one that failed. A look that does not reach the server is made again.
 */
export async function follow(job: JobRow, tell: (job: JobRow) => void): Promise<JobRow | undefined> {
  let now: JobRow | undefined = job
  while (now && isLive(now)) {
    tell(now)
    await pause()
    const jobs: JobRow[] | null = await data(api.GET('/api/jobs')).catch(() => null)
    if (jobs) now = jobs.find((one) => one.id === job.id)
  }
  if (now?.state === 'failed')
    throw new Refusal(now.refused ?? { code: 'job_failed', sentence: t('it_could_not_be_made') })
  return now
}

export const giveUp = (job: JobRow): Promise<unknown> =>
  api.DELETE('/api/jobs/{job_id}', { params: { path: { job_id: job.id } } })
