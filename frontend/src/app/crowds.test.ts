import { ref } from 'vue'
/** The grid of a crowd draws what is in sight, and says how many there are. */
import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { DeskView, SessionReport } from '@/api/types'
import DeskPeople from '@/live/desk/DeskPeople.vue'
import type { Desk } from '@/live/desk/useDesk'
import SessionGrid from '@/reports/SessionGrid.vue'
import { useReportView } from '@/reports/useReportView'

const named = (count: number) =>
  Array.from({ length: count }, (_, at) => ({
    seat: at + 1,
    name: `Tove ${count - at}`,
    here: true,
    fog_lifted: false,
    panes: [1],
    points: 100,
    score: 1,
  }))

/** What is in sight is known once the frame is on the page. */
async function drawn<T>(view: T): Promise<T> {
  await flushPromises()
  return view
}

async function desk(count: number) {
  const view = {
    people: named(count),
    columns: [1],
    shown: null,
    taken_out: [],
    settings: { points: true },
  } as unknown as DeskView
  return drawn(mount(DeskPeople, { props: { view, desk: { info: ref(null) } as unknown as Desk } }))
}

async function grid(count: number) {
  const view = useReportView(1).value
  const question = { item: 'q', number: 1, title: 'Which knot?', share: 0.5 }
  const report = { people: named(count), questions: [question] } as unknown as SessionReport['report']
  return drawn(
    mount(SessionGrid, {
      props: { session: 1, report, hardest: ['q'], view },
      global: { plugins: [VueQueryPlugin], stubs: { RouterLink: RouterLinkStub } },
    }),
  )
}

describe.each([
  ['on the desk', desk],
  ['on the page of a session', grid],
])('everyone by every question, %s', (_, show) => {
  it('has the whole of a class', async () => {
    expect((await show(27)).findAll('tbody tr')).toHaveLength(27)
  })

  it('draws a part of a crowd, and tells how many lines there are and which these are', async () => {
    const crowd = await show(1000)
    const lines = crowd.findAll('tbody tr')
    expect(lines.length).toBeGreaterThan(20)
    expect(lines.length).toBeLessThan(200)
    expect(crowd.get('table').attributes('aria-rowcount')).toBe('1001')
    expect(lines[0]!.attributes('aria-rowindex')).toBe('2')
  })
})

it('counts the names of a crowd as people do', async () => {
  const names = (await desk(30)).findAll('tbody th').map((name) => name.text())
  expect(names.slice(0, 3)).toEqual(['Tove 1', 'Tove 2', 'Tove 3'])
})
