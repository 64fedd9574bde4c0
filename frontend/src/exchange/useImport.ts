/** What came out of a file or a pasted text: looked through, mended, and only then added. */
import { computed, ref, shallowRef } from 'vue'
import { api, data, sendForm } from '@/api/http'
import type { FoundEntry, FoundInFile, Item, Message, SetDocument } from '@/api/types'
import { useAttempt } from '@/composables/useAttempt'
import { t } from './words'

export interface Row {
  key: number
  entry: FoundEntry
  /** Left out by hand. */
  out: boolean
}

/** A row that is neither understood nor left out: it holds up the adding. */
export const isUnsettled = (row: Row): boolean => !row.entry.item && !row.out

const send = <T>(path: string, fields: Record<string, string | Blob | null>): Promise<T> =>
  sendForm<T>(`/api/exchange/${path}`, fields)

/** `language` is that of the set it goes into: numbers are read in it. */
export function useImport(language: () => string = () => '') {
  const found = shallowRef<FoundInFile | null>(null)
  const rows = ref<Row[]>([])
  const file = shallowRef<File | null>(null)
  const { busy, error, attempt } = useAttempt()
  let next = 0
  let chosen = '{}'

  const usable = computed(() => rows.value.filter((row) => row.entry.item && !row.out))
  const unsettled = computed(() => rows.value.filter(isUnsettled))

  const asRow = (entry: FoundEntry): Row => ({ key: next++, entry, out: false })

  function show(result: FoundInFile): void {
    found.value = result
    rows.value = result.entries.map(asRow)
  }

  async function readText(text: string): Promise<void> {
    file.value = null
    const result = await attempt(() => send<FoundInFile>('read', { text, language: language() }))
    if (result) show(result)
  }

  async function readFile(given: File, uses: Record<string, string> = {}): Promise<void> {
    const result = await attempt(() =>
      send<FoundInFile>('read', { file: given, choices: JSON.stringify(uses), language: language() }),
    )
    if (!result) return
    file.value = given
    chosen = JSON.stringify(uses)
    show(result)
  }

  /** Uses a column for something else and reads the file again; the server remembers it for these headings. */
  async function useColumn(number: number, use: string): Promise<void> {
    if (!file.value || !found.value) return
    const uses = Object.fromEntries(
      found.value.columns.map((column, at) => {
        const given = at !== number && use !== 'option' && column.use === use ? '' : column.use
        return [String(at), at === number ? use : given]
      }),
    )
    await readFile(file.value, uses)
  }

  /** Reads the same file another way, as its pages as pictures. */
  async function readAs(way: string): Promise<void> {
    if (file.value) await readFile(file.value, { as: way })
  }

  const nothingLeft = (): Message => ({ code: '', params: {}, sentence: t('there_is_nothing_left_of_it') })

  /** Reads one entry again as it was mended; it may have become several. False where it was not understood. */
  async function mend(row: Row, text: string): Promise<boolean> {
    const body = { text, language: language() }
    const mended = await attempt(() => data(api.POST('/api/exchange/mend', { body })))
    if (!mended) return false
    const made = mended.entries.length
      ? mended.entries.map((entry) => asRow({ ...entry, place: row.entry.place }))
      : [asRow({ ...row.entry, text, item: null, sentences: [nothingLeft()] })]
    rows.value = rows.value.flatMap((one) => (one.key === row.key ? made : [one]))
    return made.every((one) => one.entry.item)
  }

  /** Leaves out everything that has not been understood. */
  function leaveOutTheRest(): void {
    for (const row of unsettled.value) row.out = true
  }

  async function add(title: string, into: number | null): Promise<SetDocument | undefined> {
    const items = usable.value.map((row) => row.entry.item as Item)
    const wanted = JSON.stringify({ title, into, about: into === null ? found.value?.about : null, items })
    return attempt(() => send<SetDocument>('add', { wanted, file: file.value, choices: chosen }))
  }

  function startAnew(): void {
    found.value = null
    rows.value = []
    file.value = null
    error.value = ''
  }

  return {
    found,
    rows,
    usable,
    unsettled,
    busy,
    error,
    file,
    readText,
    readFile,
    useColumn,
    readAs,
    mend,
    leaveOutTheRest,
    add,
    startAnew,
  }
}
