import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { api } from '@/api/http'
import type {
  Correcting,
  DeskCommand,
  Preview,
  QuestionReport,
  Reliability,
  SessionReport,
  StudentOverTime,
  ToMark,
} from '@/api/types'
import QuestionCounts from './QuestionCounts.vue'
import CorrectionPreview from './CorrectionPreview.vue'
import MarkButtons from './MarkButtons.vue'
import { bySlipping, told } from './trends'
import { nextWaiting } from './useMarking'
import ReliabilityNote from './ReliabilityNote.vue'
import SessionFigures from './SessionFigures.vue'
import TeachAgain from './TeachAgain.vue'
import { CORRECTIONS } from './useCorrections'
import { namesShown } from './useReportView'

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
    propose: (what: DeskCommand) => Promise.resolve(void sent.push(what)),
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
        { label: 'A', text: 'Bowline', words: null, count: 3, right: true, given: '', part: '' },
        { label: 'B', text: 'Reef', words: null, count: 1, right: false, given: '', part: '' },
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
        why: said(sentence),
      },
    })
    const { view, sent } = counts({
      counts: [{ label: '', text: 'bowlin', words: null, count: 2, right: false, given: 'bowlin', part: '' }],
    })
    await view.find('button').trigger('click')
    await flushPromises()
    expect(view.text()).toContain(sentence)
    await view.findAll('button')[1]!.trigger('click')
    expect(sent).toEqual([{ do: 'count_as_right', item: 'q1', answer, part: '' }])
  })

  it('show what was forgiven and put right, and take it back', async () => {
    const { view, sent } = counts({
      forgiven: [{ what: said('seccond → second, a slip forgiven'), count: 2 }],
      corrected: [
        {
          what: 'counts',
          text: 'bowlin',
          sentence: said('“bowlin” counts'),
          at: Date.UTC(2026, 10, 26, 10, 5),
          by: 'Odile Brandt',
        },
      ],
    })
    expect(view.text()).toContain('a slip forgiven (2 answers)')
    expect(view.text()).toMatch(/“bowlin” counts.*26 Nov.*Odile Brandt/)
    await view.find('[aria-label^="Take back"]').trigger('click')
    expect(sent).toEqual([{ do: 'take_back', item: 'q1' }])
  })

  it('keep the rounds before, and say which counts', () => {
    const bowline = { label: 'A', text: 'Bowline', words: null, count: 2, right: true, given: '', part: '' }
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
    const corrected = [
      { what: 'dropped' as const, text: '', sentence: said('It is in no score'), at: 0, by: '' },
    ]
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
          spread: 0.8,
          median_took: 12_400,
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

  it('say how far scores lie from each other, and how long an answer took', () => {
    expect(figures({}).text()).toContain('spread of scores0.8')
    expect(figures({}).text()).toContain('middle time of an answer12 s')
    expect(figures({ spread: null }).text()).not.toContain('spread')
  })

  it('say who was there and never answered', () => {
    expect(figures({ never_answered: 1 }).text()).toContain('took part, 1 without an answer')
  })
})

describe('how far scores can be relied on', () => {
  const note = (more: Partial<Reliability>) =>
    mount(ReliabilityNote, {
      props: {
        reliability: {
          name: 'kr20',
          alpha: 0.62,
          low: 0.31,
          high: 0.79,
          error: 1.234,
          students: 27,
          meaning: said('Compare large differences alone.'),
          warning: null,
          ...more,
        } as Reliability,
      },
    }).text()

  it('is told with its range, its error, and what that means', () => {
    expect(note({})).toContain('Reliability (KR-20) 0.62, between 0.31 and 0.79.')
    expect(note({})).toContain('Compare large differences alone.')
    expect(note({})).toContain('Standard error of measurement 1.23')
    expect(note({ warning: said('Only 6 were asked everything.') })).toContain(
      'Only 6 were asked everything.',
    )
  })

  it('is not told where it has no meaning', () => {
    const text = note({ alpha: null, low: null, high: null, error: null, meaning: null })
    expect(text).toContain('cannot be said')
    expect(text).not.toContain('Standard error')
  })
})

describe('what to teach again', () => {
  const question = about({
    number: 4,
    title: 'Which light?',
    share: 0.4,
    topics: ['Lights'],
    near: [],
    votes: null,
  })
  const teach = {
    topics: [
      { topic: 'Lights', share: 0.4, marks: 10, questions: ['q1'], advice: said('Begin with question 4.') },
    ],
    questions: [{ item: 'q1', share: 0.4, advice: said('Take up this one mistake.') }],
    untold: [],
  }
  const people = [{ seat: 2, name: 'Fen Okoro' }]
  const list = (more: Partial<QuestionReport>) =>
    mount(TeachAgain, {
      props: {
        session: 7,
        report: { questions: [{ ...question, ...more }], people } as unknown as SessionReport['report'],
        teach: teach as unknown as SessionReport['teach'],
        groupNames: [],
      },
      global: {
        stubs: { RouterLink: RouterLinkStub },
        provide: { [CORRECTIONS as symbol]: { session: 7, busy: ref(false) } },
      },
    })

  it('begins with the topic, its advice, then its questions with theirs', () => {
    const text = list({}).text()
    expect(text.indexOf('Begin with question 4.')).toBeLessThan(text.indexOf('Take up this one mistake.'))
  })

  const opened = async (more: Partial<QuestionReport>) => {
    const view = list(more)
    const line = view.get('details')
    ;(line.element as HTMLDetailsElement).open = true
    await line.trigger('toggle')
    return view.text()
  }

  it('says who gave the wrong answer, and both votes', async () => {
    const common_wrong = { text: said('A “red”'), count: 1, by: [2] }
    const votes = { both: 9, before: 0.3, after: 0.7 }
    expect(list({ common_wrong, votes }).text()).not.toContain('Fen Okoro')
    expect(await opened({ common_wrong, votes })).toContain('A “red”: Fen Okoro')
    expect(list({ common_wrong, votes }).text()).toContain('First vote 30 %, second 70 %.')
  })

  it('names nobody where names are hidden', async () => {
    namesShown.value = false
    expect(await opened({ common_wrong: { text: said('A “red”'), count: 1, by: [2] } })).not.toContain('Fen')
    namesShown.value = true
  })
})

describe('a correction', () => {
  const preview: Preview = {
    changes: [
      { seat: 2, name: 'Fen Okoro', before: 3, after: 4, out_of: 10, share_before: 0.3, share_after: 0.4 },
    ],
    unchanged: 26,
    class_before: 0.6,
    class_after: 0.61,
    question_before: 0.3,
    question_after: 0.34,
  }
  const dialog = (more: Partial<Preview>) => {
    const sent: DeskCommand[] = []
    const command: Correcting = { do: 'drop', item: 'q1' }
    const corrections = {
      session: 7,
      busy: ref(false),
      proposal: ref({ command, preview: { ...preview, ...more } }),
      command: (what: DeskCommand) => Promise.resolve(void sent.push(what)),
    }
    const view = mount(CorrectionPreview, {
      global: {
        provide: { [CORRECTIONS as symbol]: corrections },
        stubs: { UiDialog: { template: '<div><slot /></div>' } },
      },
    })
    return { view, sent, corrections }
  }

  it('says whom it changes before it is made, and then is made', async () => {
    const { view, sent, corrections } = dialog({})
    expect(view.text()).toContain('It changes the score of 1 student. 26 students stay as they are.')
    expect(view.text()).toContain('This question: 30 % right before, 34 % right after.')
    expect(view.find('tbody').text()).toMatch(/Fen Okoro\s*3\s*→\s*4 of 10/)
    await view.find('button').trigger('click')
    expect(sent).toEqual([{ do: 'drop', item: 'q1' }])
    expect(corrections.proposal.value).toBeNull()
  })

  it('says so where it changes nobody', () => {
    expect(dialog({ changes: [], unchanged: 27 }).view.text()).toContain('It changes nobody’s score.')
  })
})

describe('marking by hand', () => {
  const group = (...marks: (number | null)[]) => ({
    answers: marks.map((mark, seat) => ({ seat, name: '', text: '', mark, met: [], comment: '' })),
  })
  const questions = [
    { groups: [group(1), group(null)] },
    { groups: [group(0.5, null), group(1)] },
  ] as unknown as ToMark[]

  it('goes on with the next that waits, in a later question too, and comes round', () => {
    expect(nextWaiting(questions, 0, 0)).toEqual([0, 1])
    expect(nextWaiting(questions, 0, 1)).toEqual([1, 0])
    expect(nextWaiting(questions, 1, 0)).toEqual([0, 1])
    expect(nextWaiting([{ groups: [group(1)] }] as unknown as ToMark[], 0, 0)).toBeNull()
  })

  it('gives a mark by its key, or the lines of the rubric that are met', async () => {
    const press = (key: string) =>
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
    const props = { mark: null, met: [] }
    const plain = mount(MarkButtons, { props: { ...props, rubric: [] } })
    press('3')
    expect(plain.emitted('mark')).toEqual([[0.75]])
    plain.unmount()
    const rubric = [
      { text: 'It is shallow', points: 1 },
      { text: 'Wind against tide', points: 2 },
    ]
    const by = mount(MarkButtons, { props: { ...props, rubric } })
    press('2')
    press('9')
    press('Enter')
    expect(by.emitted('lines')).toEqual([[[1]]])
  })
})

describe('a trend', () => {
  const trend = (verdict: '' | 'slips' | 'rises', change: number | null = -0.12) => ({
    change,
    low: change === null ? null : change - 0.08,
    high: change === null ? null : change + 0.08,
    verdict,
  })

  it('is told with its range, and as none where it may be none', () => {
    expect(told(trend('slips'))).toBe('slips: −12 points in four weeks (−20 to −4)')
    expect(told(trend('', 0.02))).toBe('no clear trend: +2 points in four weeks (−6 to +10)')
    expect(told(trend('', null))).toBe('too few sessions to say')
  })

  it('puts those who slip first', () => {
    const one = (student: string, ...args: Parameters<typeof trend>) =>
      ({ student, trend: trend(...args) }) as StudentOverTime
    const rows = [one('a', 'rises', 0.3), one('b', '', -0.4), one('c', 'slips'), one('d', '', null)]
    expect(rows.sort(bySlipping).map((row) => row.student)).toEqual(['c', 'b', 'a', 'd'])
  })
})
