/** How a session's results are looked at: kept on this device, so that they are opened again as they were left. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'
import type { Paper, SessionReport } from '@/api/types'

export type Counting = SessionReport['report']['counting']

export interface ReportView {
  counting: Counting
  /** The order of the grid's columns, and of its lines. */
  questions: 'hardest' | 'set'
  people: 'name' | 'score'
  /** What the grid's panes show. */
  by: 'marks' | 'answers' | 'seconds'
  of_class: string
  group: string
  topic: string
}

const USUAL: ReportView = {
  counting: 'since_joined',
  questions: 'hardest',
  people: 'name',
  by: 'marks',
  of_class: '',
  group: '',
  topic: '',
}

export const useReportView = (session: number): RemovableRef<ReportView> =>
  useLocalStorage(`lantern.report.${session}`, USUAL, { mergeDefaults: true })

/** Whether names are shown in results: hidden where others look on, in every session alike. */
export const namesShown = useLocalStorage('lantern.grid-names', true)

/** What results are printed on. */
export const paper = useLocalStorage<Paper>('lantern.paper', 'a4')

/** The part of the results that is looked at, as the server is asked for it. */
export const partOf = ({ of_class, group, topic }: ReportView) => ({ of_class, group, topic })
