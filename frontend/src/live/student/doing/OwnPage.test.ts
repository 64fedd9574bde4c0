import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { MyWork } from '@/api/types'
import OwnPage from './OwnPage.vue'

const DUE = Date.UTC(2026, 11, 6, 18)
const work = (changes: Partial<MyWork>): MyWork =>
  ({
    link: 'abc',
    title: 'Knots that hold',
    teacher: 'Odile Brandt',
    class_name: '',
    name: 'Fen Okoro',
    number: 0,
    now: DUE - 86_400_000,
    zone: 'UTC',
    door: 'open',
    due: DUE,
    attempts_in_all: 1,
    counts: 'best',
    running: null,
    ends: null,
    why_not: null,
    facts: { questions: 4, changeable: true, feedback: 'handed_in' },
    target: {},
    more_minutes: 0,
    attempts: [],
    ...changes,
  }) as MyWork

const page = (changes: Partial<MyWork>) =>
  mount(OwnPage, {
    props: { work: work(changes), token: 't', notice: '', busy: false, fresh: null, practised: null },
  })
const buttons = (found: ReturnType<typeof page>): string[] => found.findAll('button').map((one) => one.text())
const whyNot = (code: string): MyWork['why_not'] => ({ code, params: {}, sentence: code })

describe('a page of set work', () => {
  it('says until when there is time, to who has begun and to who has not', () => {
    expect(page({}).text()).toContain('Due Sunday 6 December')
    expect(page({ title: '' }).get('h1').text()).toBe('Untitled set')
    const begun = page({ running: 1, ends: DUE - 86_000_000, why_not: whyNot('attempt_running') })
    expect(begun.text()).toContain('It is over at')
    expect(buttons(begun)).toContain('Go on')
  })

  it('says once that it was taken back, speaks of no date, and leads nowhere', () => {
    const found = page({
      title: '',
      door: 'withdrawn',
      excused: true,
      running: 1,
      why_not: whyNot('work_withdrawn'),
    })
    expect(found.text().match(/Your teacher has taken this work back/g)).toHaveLength(1)
    expect(found.text()).not.toMatch(/December|closed|excused/)
    expect(buttons(found)).not.toContain('Go on')
  })

  it('says when it opens, or that it is over', () => {
    const early = page({ title: '', door: 'not_yet', opens: DUE, why_not: whyNot('work_not_yet') })
    expect(early.text()).toContain('Not open yet')
    const late = page({ door: 'closed', why_not: whyNot('work_closed') })
    expect(late.text()).toContain('It was due Sunday 6 December')
    for (const found of [early, late]) expect(buttons(found)).not.toContain('Begin')
  })
})
