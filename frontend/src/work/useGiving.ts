/** What is given, to whom and how, while it is chosen. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { Refusal } from '@/api/refusal'
import { sentenceOf } from '@/told'
import type { Purpose, Settings, Terms, WorkDetail, WorkOffer } from '@/api/types'

const A_WEEK = 7 * 86_400_000
const HOUR = 3_600_000

/** In a week, at the end of an afternoon. */
const usualDue = (): number => Math.ceil((Date.now() + A_WEEK) / (24 * HOUR)) * 24 * HOUR - 6 * HOUR

export interface Source {
  set: number | null
  session: number | null
}

export function useGiving(source: Source) {
  const offer = ref<WorkOffer | null>(null)
  const terms = ref<Terms | null>(null)
  const settings = ref<Settings | null>(null)
  const title = ref('')
  const classes = ref<number[]>([])
  const byLink = ref(false)
  const named = ref<string[]>([])
  const busy = ref(false)
  const failure = ref<{ sentence: string; field: string } | null>(null)
  const { data: all } = useQuery({ queryKey: ['classes'], queryFn: () => data(api.GET('/api/classes')) })
  const listed = computed(() => all.value?.filter((row) => !row.archived_at) ?? [])
  const purpose = computed<Purpose>({
    get: () => terms.value!.purpose,
    set: (wanted) => begin(wanted),
  })

  /** What goes with what it is for; what was written, and whom it is for, stays. */
  function begin(wanted: Purpose): void {
    const start = offer.value!.starts.find((one) => one.purpose === wanted)!
    const now = terms.value
    const known = settings.value?.known ?? start.settings.known ?? 'nickname'
    terms.value = {
      ...(start.terms as Terms),
      words: now?.words ?? '',
      opens: now?.opens ?? null,
      due: now ? now.due : usualDue(),
    }
    settings.value = { ...(start.settings as Settings), known }
    if (offer.value!.absent?.length)
      named.value = wanted === 'make_up' ? offer.value!.absent.map((one) => one.key) : []
  }

  async function fetchOffer(): Promise<void> {
    try {
      offer.value = source.session
        ? await data(
            api.GET('/api/work/of-session/{session_id}', {
              params: { path: { session_id: source.session } },
            }),
          )
        : await data(api.GET('/api/work/of-set/{set_id}', { params: { path: { set_id: source.set! } } }))
      title.value = offer.value.title
      if (offer.value.of_class) classes.value = [offer.value.of_class]
      begin(offer.value.absent?.length ? 'make_up' : 'homework')
      if (classes.value.length) settings.value!.known = 'list'
    } catch (error) {
      failure.value = { sentence: sentenceOf(error), field: '' }
    }
  }
  void fetchOffer()

  watch(classes, (now, before) => {
    if (!settings.value) return
    if (now.length < before.length && !offer.value?.absent?.length) named.value = []
    if (now.length && !before.length && settings.value.known === 'nickname') settings.value.known = 'list'
    if (!now.length && settings.value.known === 'list') settings.value.known = 'nickname'
  })
  watch([terms, settings, classes, byLink], () => (failure.value = null), { deep: true })

  /** The piece, once it is given. */
  async function give(): Promise<WorkDetail | null> {
    busy.value = true
    failure.value = null
    try {
      const body = {
        set: source.set,
        session: source.session,
        title: title.value,
        terms: terms.value!,
        settings: settings.value!,
        classes: classes.value,
        by_link: byLink.value,
        named: named.value,
      }
      return await data(api.POST('/api/work', { body }))
    } catch (error) {
      failure.value = { sentence: sentenceOf(error), field: (error instanceof Refusal && error.field) || '' }
      return null
    } finally {
      busy.value = false
    }
  }

  return { offer, terms, settings, title, classes, byLink, named, listed, purpose, busy, failure, give }
}
