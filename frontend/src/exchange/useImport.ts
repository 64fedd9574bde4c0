/** What came out of a file or a pasted text: looked through, mended, and only then added. Kept on the device until then. */
import { computed, ref, shallowRef } from 'vue'
import { api, data, sendForm } from '@/api/http'
import type {
  AddedOrAside,
  FoundEntry,
  FoundInFile,
  FoundOrAside,
  Item,
  JobRow,
  Message,
  SetDocument,
} from '@/api/types'
import { follow, giveUp } from '@/aside'
import { useAttempt } from '@/composables/useAttempt'
import { t } from './words'

export interface Row {
  key: number
  entry: FoundEntry
  /** Left out: by hand, or because it asks nothing. */
  out: boolean
  /** Which of its readings was chosen by hand. */
  chosen?: number
}

/** A row that is neither understood nor left out: it holds up the adding. */
export const isUnsettled = (row: Row): boolean => !row.entry.item && !row.out

/** A row that somebody should look at before it is added. */
export const isDoubtful = (row: Row): boolean => !row.out && (!row.entry.item || row.entry.sure === false)

/** What is kept on the device while it is read and looked through. */
export interface Kept {
  found: FoundInFile | null
  rows: Row[]
  /** That has read it aside, or is still at it. */
  reading: JobRow | null
  file: File | null
  text: string
  choices: Record<string, string>
}

const send = <T>(path: string, fields: Record<string, string | Blob | null>): Promise<T> =>
  sendForm<T>(`/api/exchange/${path}`, fields)

/** `language` is that of the set it goes into: numbers are read in it. */
export function useImport(language: () => string = () => '') {
  const found = shallowRef<FoundInFile | null>(null)
  const rows = ref<Row[]>([])
  const file = shallowRef<File | null>(null)
  const text = ref('')
  /** The job that has read it aside. */
  const reading = shallowRef<JobRow | null>(null)
  /** What is being made aside just now. */
  const job = shallowRef<JobRow | null>(null)
  const { busy, error, attempt } = useAttempt()
  let next = 0
  let choices: Record<string, string> = {}

  const usable = computed(() => rows.value.filter((row) => row.entry.item && !row.out))
  const unsettled = computed(() => rows.value.filter(isUnsettled))
  const doubtful = computed(() => rows.value.filter(isDoubtful))

  const asRow = (entry: FoundEntry): Row => ({ key: next++, entry, out: entry.out ?? false })

  function show(result: FoundInFile): void {
    found.value = result
    rows.value = result.entries.map(asRow)
  }

  /** Reads a text, or a file, with what was chosen for it. */
  async function read(given: File | null, pasted: string, chosen: Record<string, string>): Promise<void> {
    const fields = { file: given, text: pasted, choices: JSON.stringify(chosen), language: language() }
    const before = reading.value
    const result = await attempt(async () => {
      const reply = await send<FoundOrAside>('read', fields)
      reading.value = reply.job ?? null
      if (reply.job) [file.value, text.value, choices] = [given, pasted, chosen]
      return reply.job ? readAside(reply.job) : (reply.found as FoundInFile)
    })
    if (!result) {
      reading.value = before
      return
    }
    file.value = given
    text.value = pasted
    choices = chosen
    show(result)
  }

  /** Waits for a job; undefined where it was given up. */
  async function wait(begun: JobRow): Promise<JobRow | undefined> {
    try {
      return await follow(begun, (now) => (job.value = now))
    } finally {
      job.value = null
    }
  }

  async function readAside(begun: JobRow): Promise<FoundInFile | undefined> {
    if (!(await wait(begun))) return undefined
    const params = { path: { reading_id: begun.id } }
    return (await data(api.GET('/api/exchange/readings/{reading_id}', { params }))) as FoundInFile
  }

  async function addAside(begun: JobRow): Promise<SetDocument | undefined> {
    if (!(await wait(begun))) return undefined
    return data(api.GET('/api/exchange/added/{adding_id}', { params: { path: { adding_id: begun.id } } }))
  }

  /** Gives up what is being made aside; whoever waits for it hears that it is no more. */
  async function stop(): Promise<void> {
    if (job.value) await giveUp(job.value).catch(() => {})
  }

  const readText = (pasted: string): Promise<void> => read(null, pasted, {})
  const readFile = (given: File): Promise<void> => read(given, '', {})

  /** Uses a column for something else and reads it again; the server remembers it for these headings. */
  async function useColumn(number: number, use: string): Promise<void> {
    if (!found.value) return
    const isMany = use === 'option' || use === 'tick'
    const uses = Object.fromEntries(
      found.value.columns.map((column, at) => {
        const given = at !== number && !isMany && column.use === use ? '' : column.use
        return [String(at), at === number ? use : given]
      }),
    )
    await read(file.value, text.value, { ...choices, ...uses })
  }

  /** Reads the same once more, with the answer to something that was asked of it. */
  async function answer(name: string, way: string): Promise<void> {
    await read(file.value, text.value, { ...choices, [name]: way })
  }

  const nothingLeft = (): Message => ({ code: '', params: {}, sentence: t('there_is_nothing_left_of_it') })

  /** Reads one entry again as it was mended; it may have become several. False where it was not understood. */
  async function mend(row: Row, changed: string): Promise<boolean> {
    const body = { text: changed, language: language() }
    const mended = await attempt(() => data(api.POST('/api/exchange/mend', { body })))
    if (!mended) return false
    const made = mended.entries.length
      ? mended.entries.map((entry) => asRow({ ...entry, place: row.entry.place }))
      : [asRow({ ...row.entry, text: changed, item: null, sentences: [nothingLeft()] })]
    rows.value = rows.value.flatMap((one) => (one.key === row.key ? made : [one]))
    return made.every((one) => one.entry.item)
  }

  /** Takes one of the ways in which an entry can be read. */
  function choose(row: Row, at: number): void {
    const reading = row.entry.readings?.[at]
    if (!reading) return
    row.chosen = at
    const sentences = row.entry.sentences?.filter((one) => one.code !== 'key_fits_both')
    row.entry = { ...row.entry, item: reading.item, sure: true, sentences }
  }

  /** Somebody has looked at it, and it is right. */
  function accept(row: Row): void {
    row.entry = { ...row.entry, sure: true }
  }

  /** Leaves out everything that has not been understood. */
  function leaveOutTheRest(): void {
    for (const row of unsettled.value) row.out = true
  }

  /** Adds them to a set, or to a new one; what one set cannot hold becomes several, of which the first is returned. */
  async function add(title: string, into: number | null): Promise<SetDocument | undefined> {
    const items = usable.value.map((row) => row.entry.item as Item)
    const most = into === null ? (found.value?.most_in_set ?? items.length) : items.length
    const parts = Array.from({ length: Math.ceil(items.length / most) }, (_, at) =>
      items.slice(at * most, (at + 1) * most),
    )
    return attempt(async () => {
      let first: SetDocument | undefined
      for (const [at, part] of parts.entries()) {
        const about = into === null ? found.value?.about : null
        const called = parts.length > 1 ? t('part_of_title', { title, n: at + 1, all: parts.length }) : title
        const wanted = JSON.stringify({ title: called, into, about, items: part })
        // What was read aside has its files with it: nothing is sent, or read, once more.
        const from: Record<string, string | Blob | null> = reading.value
          ? { reading: String(reading.value.id) }
          : { file: file.value, choices: JSON.stringify(choices) }
        const reply = await send<AddedOrAside>('add', { wanted, ...from })
        const made = reply.job ? await addAside(reply.job) : (reply.set ?? undefined)
        if (!made) return first
        first ??= made
      }
      return first
    })
  }

  /** All of it as it stands, to be kept on the device; null where there is nothing. */
  function kept(): Kept | null {
    if (!found.value && !reading.value) return null
    const plain = JSON.parse(JSON.stringify(rows.value)) as Row[]
    return {
      found: found.value,
      rows: plain,
      reading: reading.value,
      file: file.value,
      text: text.value,
      choices,
    }
  }

  /** Goes on with what was kept; waits for what is still being read. */
  async function goOn(before: Kept): Promise<void> {
    found.value = before.found
    rows.value = before.rows
    file.value = before.file
    text.value = before.text
    choices = before.choices
    reading.value = before.reading ?? null
    next = Math.max(0, ...before.rows.map((row) => row.key + 1))
    const unread = before.found ? null : reading.value
    if (!unread) return
    const result = await attempt(() => readAside(unread))
    if (result) show(result)
    else reading.value = null
  }

  function startAnew(): void {
    found.value = null
    rows.value = []
    file.value = null
    reading.value = null
    text.value = ''
    error.value = ''
  }

  return {
    found,
    rows,
    usable,
    unsettled,
    doubtful,
    busy,
    error,
    file,
    reading,
    job,
    stop,
    readText,
    readFile,
    useColumn,
    answer,
    mend,
    choose,
    accept,
    leaveOutTheRest,
    add,
    kept,
    goOn,
    startAnew,
  }
}
