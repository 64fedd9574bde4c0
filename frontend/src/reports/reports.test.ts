import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { api } from '@/api/http'
import type { DeskCommand, QuestionReport, SessionReport } from '@/api/types'
import QuestionCounts from './QuestionCounts.vue'
import SessionFigures from './SessionFigures.vue'
import { CORRECTIONS } from './useCorrections'

const post = vi.spyOn(api, 'POST') as unknown as ReturnType<typeof vi.fn>

const about = (more: Partial<QuestionReport>): QuestionReport =>
  ({
    item: 'q1',
    scored: true,
    counts: [],
    measures: [],
    forgiven: [],
    corrected: [],
    keys: [],
    earlier: [],
    by_hand: 0,
    round: 1,
    note: null,
    ...more,
  }) as unknown as QuestionReport

function counts(more: Partial<QuestionReport>) {
  const sent: DeskCommand[] = []
  const corrections = {
    session: 7,
    busy: ref(false),
    command: (what: DeskCommand) => Promise.resolve(void sent.push(what)),
  }
  const view = mount(QuestionCounts, {
    props: { question: about(more) },
    global: { provide: { [CORRECTIONS as symbol]: corrections } },
  })
  return { view, sent }
}

const said = (sentence: string) => ({ code: 'said', params: {}, sentence })

describe('a question’s counts', () => {
  it('stand with the measures that say more', () => {
    const { view } = counts({
      counts: [
        { label: 'A', text: 'Bowline', count: 3, right: true, given: '', part: '' },
        { label: 'B', text: 'Reef', count: 1, right: false, given: '', part: '' },
      ],
      measures: [{ name: said('mean place'), of: 'Bowline', value: 12345.23456 }],
    })
    expect(view.findAll('tr').map((row) => row.text())).toEqual(['ABowline ✓ right3', 'BReef1'])
    expect(view.find('dl').text()).toBe('mean place, Bowline12345.2346')
  })

  it('say why a typed answer is wrong, and count it in one step', async () => {
    const answer = { kind: 'text_entry' as const, text: 'bowlin' }
    const sentence = 'Not “bowline”: slips are not forgiven here.'
    post.mockResolvedValue({
      data: {
        part: '',
        text: 'bowlin',
        answer,
        counts: false,
        can_count: true,
        code: 'counts_here',
        sentence,
      },
    })
    const { view, sent } = counts({
      counts: [{ label: '', text: 'bowlin', count: 2, right: false, given: 'bowlin', part: '' }],
    })
    await view.find('button').trigger('click')
    await flushPromises()
    expect(view.text()).toContain(sentence)
    await view.findAll('button')[1]!.trigger('click')
    expect(sent).toEqual([{ do: 'count_as_right', item: 'q1', answer, part: '' }])
  })

  it('show what was forgiven and put right, and take it back', async () => {
    const { view, sent } = counts({
      forgiven: [{ sentence: 'seccond → second, a slip forgiven', count: 2 }],
      corrected: [{ what: 'counts', text: 'bowlin', at: Date.UTC(2026, 10, 26, 10, 5), by: 'Odile Brandt' }],
    })
    expect(view.text()).toContain('a slip forgiven (2 answers)')
    expect(view.text()).toMatch(/“bowlin” counts.*26 Nov.*Odile Brandt/)
    await view.find('[aria-label^="Take back"]').trigger('click')
    expect(sent).toEqual([{ do: 'take_back', item: 'q1' }])
  })

  it('keep the rounds before, and say which counts', () => {
    const bowline = { label: 'A', text: 'Bowline', count: 2, right: true, given: '', part: '' }
    const { view } = counts({
      round: 3,
      earlier: [
        { round: 1, answered: 4, share: 0.5, set_aside: true, counts: [bowline] },
        { round: 2, answered: 1, share: null, set_aside: false, counts: [] },
      ],
    })
    expect(view.text()).toContain('round 3 counts')
    expect(view.findAll('summary').map((one) => one.text())).toEqual([
      'Round 1 · 4 answers · 50 % · set aside',
      'Round 2 · 1 answer',
    ])
  })

  it('can be full for everybody, or left out, once', async () => {
    const { view, sent } = counts({})
    for (const button of view.findAll('button')) await button.trigger('click')
    expect(sent).toEqual([
      { do: 'give_full_marks', item: 'q1' },
      { do: 'drop', item: 'q1' },
    ])
    const corrected = [{ what: 'dropped' as const, text: '', at: 0, by: '' }]
    expect(counts({ corrected }).view.findAll('button')).toHaveLength(1)
  })

  it('take a key that was never set', async () => {
    const keys = (['A', 'B'] as const).map((letter) => ({
      answer: { kind: 'letter' as const, letter },
      name: letter,
    }))
    const { view, sent } = counts({ scored: false, note: said('No right answer was set.'), keys })
    await view.findAll('button')[1]!.trigger('click')
    expect(sent).toEqual([{ do: 'set_key', item: 'q1', answer: keys[1]!.answer }])
  })
})

describe('the figures', () => {
  const figures = (report: Partial<SessionReport['report']>) =>
    mount(SessionFigures, {
      props: {
        report: {
          took_part: 3,
          never_answered: 0,
          mean_share: 0.5,
          median_score: 2,
          top_score: 4,
          reliability: null,
          histogram: [0, 1, 1, 1, 0],
          ...report,
        } as unknown as SessionReport['report'],
      },
    })

  it('have a bar for each score, with the middle one dark', () => {
    const bars = figures({}).findAll('[role="img"] > span')
    expect(bars.map((bar) => bar.attributes('title'))).toEqual(['0: 0', '1: 1', '2: 1', '3: 1', '4: 0'])
    expect(bars.map((bar) => bar.classes('bg-ink'))).toEqual([false, false, true, false, false])
  })

  it('say where alpha has no meaning', () => {
    expect(figures({}).text()).toContain('cannot be said')
    expect(figures({ reliability: 0.62 }).text()).toContain('0.62')
    expect(figures({ top_score: 1, histogram: [1, 2] }).text()).not.toContain('cannot be said')
  })

  it('say who was there and never answered', () => {
    expect(figures({ never_answered: 1 }).text()).toContain('took part, 1 without an answer')
  })
})
