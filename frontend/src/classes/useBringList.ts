/** A class list that comes in: looked through, decided line by line, and only then kept. */
import { computed, ref, shallowRef } from 'vue'
import { api, data, sendForm } from '@/api/http'
import type { ClassRow, ComparedRow, FoundClass, FoundList, Member, MemberForm } from '@/api/types'
import { useAttempt } from '@/composables/useAttempt'

export type Outcome = ComparedRow['outcome']

/** One line with what was decided: `same` says of a doubtful one whether it is the member it may be, `renamed` whether
 * that member is written so from now on. */
export interface Line {
  key: number
  found: ComparedRow
  name: string
  same: boolean | null
  renamed: boolean
  out: boolean
}

export interface Group {
  found: FoundClass
  lines: Line[]
  leaving: number[]
  /** Left out as a whole, where a file holds several classes. */
  out: boolean
}

const UNKEPT: Outcome[] = ['twice']

/** It holds up the keeping: nobody has said who it is, or it cannot be kept as it stands. */
export function isUnsettled(line: Line): boolean {
  if (line.out) return false
  if (line.found.outcome === 'doubtful') return line.same === null
  return line.found.outcome === 'unread' && line.name === line.found.row.form.name
}

/** The fields that would change. A doubtful one keeps the name that the class knows, unless it is said otherwise. */
export const changesOf = (line: Line): string[] =>
  line.found.outcome === 'doubtful' && !line.renamed
    ? line.found.changes.filter((field) => field !== 'name' && field !== 'sort_name')
    : line.found.changes

/** Whether anything of the member would be another way. */
const isNews = (line: Line): boolean => line.found.outcome === 'back' || changesOf(line).length > 0

export const isKept = (line: Line): boolean => !line.out && !UNKEPT.includes(line.found.outcome)

function formOf(line: Line, member: Member | undefined): MemberForm {
  const form = line.found.row.form as MemberForm
  if (line.found.outcome === 'doubtful' && line.same && !line.renamed && member)
    return { ...form, name: member.name, sort_name: member.sort_name }
  // A name that was mended by hand is sorted by itself.
  return line.name === form.name ? form : { ...form, name: line.name, sort_name: '' }
}

const memberOf = (line: Line): number | null =>
  line.found.outcome === 'doubtful' && !line.same ? null : (line.found.member ?? null)

export function useBringList(into: () => number | null) {
  const found = shallowRef<FoundList | null>(null)
  const groups = ref<Group[]>([])
  const file = shallowRef<File | null>(null)
  const { busy, error, attempt } = useAttempt()
  let next = 0

  const members = computed(() => new Map(found.value?.members.map((one: Member) => [one.id, one]) ?? []))
  const kept = computed(() => groups.value.filter((group) => !group.out))
  const unsettled = computed(() => kept.value.flatMap((group) => group.lines.filter(isUnsettled)))
  const counts = computed(() => {
    const lines = kept.value.flatMap((group) => group.lines.filter(isKept))
    const fresh = lines.filter((line) => memberOf(line) === null).length
    const changed = lines.filter((line) => memberOf(line) !== null && isNews(line)).length
    const leaving = kept.value.reduce((sum, group) => sum + group.leaving.length, 0)
    return { fresh, changed, leaving, classes: kept.value.length }
  })

  async function read(fields: Record<string, string | Blob>): Promise<void> {
    const place = into()
    show(
      await sendForm<FoundList>('/api/classes/read', {
        ...fields,
        into: place === null ? null : String(place),
      }),
    )
  }

  function show(list: FoundList): void {
    found.value = list
    groups.value = list.classes.map((one) => ({
      found: one as FoundClass,
      lines: one.rows.map((row) => ({
        key: next++,
        found: row as ComparedRow,
        name: row.row.form.name,
        same: null,
        renamed: false,
        out: false,
      })),
      leaving: [],
      out: false,
    }))
  }

  async function readText(text: string): Promise<void> {
    await attempt(() => read({ text }))
  }

  async function readFile(given: File, uses: Record<string, string> = {}): Promise<void> {
    await attempt(async () => {
      await read({ file: given, choices: JSON.stringify(uses) })
      file.value = given
    })
  }

  /** Uses a column for something else, and reads the file again. */
  async function useColumn(number: number, use: string): Promise<void> {
    if (!file.value || !found.value) return
    const uses = found.value.columns.map((column, at) =>
      at === number ? use : column.use === use ? '' : column.use,
    )
    await readFile(file.value, Object.fromEntries(uses.map((one, at) => [String(at), one])))
  }

  async function keep(): Promise<ClassRow[] | undefined> {
    const classes = kept.value.map(({ found: group, lines, leaving }) => ({
      source: group.source,
      name: group.name,
      subject: group.subject,
      year: group.year,
      into: group.into,
      rows: lines.filter(isKept).map((line) => ({
        form: formOf(line, members.value.get(line.found.member ?? -1)),
        member: memberOf(line),
      })),
      leaving,
    }))
    return attempt(
      async () => (await data(api.POST('/api/classes/add', { body: { classes } }))) as ClassRow[],
    )
  }

  function startAnew(): void {
    found.value = null
    groups.value = []
    file.value = null
    error.value = ''
  }

  return {
    found,
    groups,
    members,
    unsettled,
    counts,
    busy,
    error,
    readText,
    readFile,
    useColumn,
    keep,
    startAnew,
  }
}
