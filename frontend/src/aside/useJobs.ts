/** What the server makes aside: large files, many mails. It goes on whatever page is open, and after a reload. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { api, data } from '@/api/http'
import { sentenceOf, told } from '@/told'
import type { JobRow } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import { t } from './words'
import { t as common } from '@/ui/words'

export const isLive = (job: JobRow): boolean => job.state === 'waiting' || job.state === 'running'
export const fileOf = (job: JobRow): string => `/api/jobs/${job.id}/file`
const LOOKS_EVERY = 1000
const KEY = ['jobs']

export function useJobs() {
  const client = useQueryClient()
  const { show } = useToasts()
  const { data: jobs } = useQuery({
    queryKey: KEY,
    queryFn: async () => {
      const before = client.getQueryData<JobRow[]>(KEY)
      const now = await data(api.GET('/api/jobs'))
      tellOfEnded(before, now)
      return now
    },
    refetchInterval: (query) => (query.state.data?.some(isLive) ? LOOKS_EVERY : false),
    staleTime: LOOKS_EVERY,
  })

  /** Says what has become of those that were being made at the look before. */
  function tellOfEnded(before: readonly JobRow[] | undefined, now: readonly JobRow[]): void {
    const live = new Set(before?.filter(isLive).map((job) => job.id))
    for (const job of now.filter((one) => live.has(one.id) && !isLive(one))) {
      if (job.state === 'failed')
        show(
          `${common('quoted', { text: job.title })}: ${job.refused ? told(job.refused) : t('it_could_not_be_made')}`,
        )
      else if (job.has_file)
        show(t('is_made', { title: job.title }), {
          label: t('fetch_it'),
          run: () => window.location.assign(fileOf(job)),
        })
      else show(t('done', { title: job.title }))
    }
  }

  /** Asks for something to be made; a refusal is returned as a sentence, empty where there is none. */
  async function begin(ask: () => Promise<JobRow>): Promise<string> {
    try {
      const job = await ask()
      client.setQueryData<JobRow[]>(KEY, (known) => [{ ...job, state: 'waiting' }, ...(known ?? [])])
      await client.invalidateQueries({ queryKey: KEY })
      return ''
    } catch (error) {
      return sentenceOf(error)
    }
  }

  async function remove(job: JobRow): Promise<void> {
    try {
      await api.DELETE('/api/jobs/{job_id}', { params: { path: { job_id: job.id } } })
    } catch (error) {
      show(sentenceOf(error))
    }
    await client.invalidateQueries({ queryKey: KEY })
  }

  return { jobs, begin, remove }
}
