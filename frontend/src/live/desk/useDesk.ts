/** The desk's line to its session, and its commands. */
import { computed, ref } from 'vue'
import { api, csrfToken, data } from '@/api/http'
import { createOrders, openLine } from '@/api/live'
import { sentenceOf } from '@/told'
import type {
  GameGuide,
  Item,
  ResultForm,
  StudentAnswer,
  DeskCommand,
  DeskMessage,
  DeskView,
  SessionInfo,
} from '@/api/types'
import { useTimeLeft } from '@/composables/useTimeLeft'
import { useToasts } from '@/composables/useToasts'

export function useDesk(sessionId: number) {
  const { show } = useToasts()
  const line = openLine<DeskMessage>({
    socket: `/live/desk/${sessionId}`,
    poll: `/api/live/sessions/${sessionId}/desk`,
    commands: `/api/live/sessions/${sessionId}/commands`,
    headers: () => ({ 'X-CSRFToken': csrfToken() }),
  })
  const view = computed<DeskView | null>(() => line.message.value?.view ?? null)
  const time = useTimeLeft(() => view.value?.shown, line.offset)
  const order = createOrders()
  /** What the session is beside what happens in it; null until it is known. */
  const info = ref<SessionInfo | null>(null)
  const params = { path: { session_id: sessionId } }
  void data(api.GET('/api/live/sessions/{session_id}', { params })).then(
    (found) => (info.value = found),
    () => {},
  )
  /** Commands on their way: the large button waits for its own. */
  const pending = ref(0)

  async function command(what: DeskCommand): Promise<boolean> {
    pending.value += 1
    try {
      await line.send(order(what))
      return true
    } catch (error) {
      show(sentenceOf(error))
      return false
    } finally {
      pending.value -= 1
    }
  }

  const step = (): number => view.value?.step ?? 0
  const can = (name: DeskCommand['do']): boolean => view.value?.allowed.includes(name!) ?? false

  return {
    view,
    info,
    time,
    status: line.status,
    gone: line.gone,
    pending,
    can,
    command,
    advance: () => command({ do: 'advance', step: step() }),
    goTo: (item: string) => command({ do: 'go_to', step: step(), item }),
    close: () => command({ do: 'close', step: step() }),
    reopen: () => command({ do: 'reopen', step: step() }),
    reveal: () => command({ do: 'reveal', step: step() }),
    standings: () => command({ do: 'show_standings', step: step() }),
    askNow: (item: Item) => command({ do: 'ask_now', step: step(), item }),
    askAgain: () => command({ do: 'ask_again', step: step() }),
    clearAnswers: (of: 'question' | 'all') => command({ do: 'clear_answers', step: step(), of }),
    bringBack: () => command({ do: 'bring_back', step: step() }),
    addTime: (seconds: number) => command({ do: 'add_time', seconds }),
    toggleCurtain: () => command({ do: 'set_curtain', drawn: !view.value?.curtain }),
    /** The next form that the result can have. */
    nextForm: () => {
      const { forms, shown } = view.value!
      const form = forms[(forms.indexOf(shown!.form!) + 1) % forms.length]!
      return command({ do: 'set_form', item: shown!.item.id, form })
    },
    setForm: (item: string, form: ResultForm) => command({ do: 'set_form', item, form }),
    hideShare: (hidden: boolean) => command({ do: 'hide_share', hidden }),
    setWall: (wall: DeskView['wall']) => command({ do: 'set_wall', wall }),
    place: (item: string, place: 'show' | 'hide' | 'pin' | 'unpin', entry: string | null) =>
      command({ do: 'place', item, place, entry }),
    groupAlike: (item: string, undo: boolean) => command({ do: 'group_alike', item, undo }),
    joinWords: (item: string, text: string, into: string) => command({ do: 'join_words', item, text, into }),
    rename: (seat: number, name: string) => command({ do: 'rename', seat, name }),
    remove: (seat: number) => command({ do: 'remove', seat }),
    erase: (seat: number) => command({ do: 'erase', seat }),
    release: (seat: number) => command({ do: 'release', seat }),
    restore: (seat: number) => command({ do: 'restore', seat }),
    liftFog: (seat: number, lifted: boolean) => command({ do: 'lift_fog', seat, lifted }),
    setKey: (item: string, answer: StudentAnswer) => command({ do: 'set_key', item, answer }),
    keepApart: (item: string, text: string) => command({ do: 'keep_apart', item, text }),
    takeBack: (item: string) => command({ do: 'take_back', item }),
    lock: (locked: boolean) => command({ do: 'lock', locked }),
    talk: (seconds: number) => command({ do: 'talk', step: step(), seconds }),
    pause: (forToday: boolean) => command({ do: 'pause', for_today: forToday }),
    collect: () => command({ do: 'collect', step: step() }),
    handInFor: (seat: number) => command({ do: 'hand_in_for', seat }),
    giveTime: (seconds: number, seat: number | null) => command({ do: 'give_time', seconds, seat }),
    reopenPaper: (seat: number | null) => command({ do: 'reopen_paper', seat }),
    write: (text: string, seat: number | null) => command({ do: 'write', text, seat }),
    /** Something in the game that is played. */
    guide: (what: GameGuide) => command({ do: 'guide_game', guide: what }),
    noteDone: (note: number) => command({ do: 'note_done', note }),
    openFeedback: () => command({ do: 'open_feedback' }),
    openAgain: () => command({ do: 'open_again' }),
    end: () => command({ do: 'end' }),
  }
}

export type Desk = ReturnType<typeof useDesk>
