<script setup lang="ts">
/** The front of a house with its shutters: two are opened, and stay open where they belong together. */
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { GameMove, OwnBoardOf, PublicItem, PublicItemOf, SpokenPart } from '@/api/types'
import { playWav } from '@/composables/played'
import MediaView from '@/media/shown/MediaView.vue'
import { facesOf, isPlayed } from '../../shared/pairs/faces'
import FirstTry from '../../shared/pairs/FirstTry.vue'
import WhoPlays from '../../shared/pairs/WhoPlays.vue'
import PartFace from '../../shared/pairs/PartFace.vue'
import { foundOf, wentSaid } from '../../shared/pairs/said'
import type { BoardMoment } from '../../gameViews'
import { language } from '@/words'
import { t } from '../words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{
  board: OwnBoardOf<'shutters'>
  at: BoardMoment
  question?: PublicItem
  disabled?: boolean
  names?: readonly string[]
  speak?: (part: string, start: number) => Promise<SpokenPart>
}>()
const emit = defineEmits<{ move: [move: GameMove] }>()

type Board = OwnBoardOf<'shutters'>['boards'][number]
const item = computed(() => props.question as PublicItemOf<'match'> | undefined)
const own = computed(() => props.board.boards.find((one) => one.question === item.value?.id))
const faces = computed(() => facesOf([...(item.value?.left ?? []), ...(item.value?.right ?? [])]))
const textAt = (part: string | undefined): string => faces.value.get(part ?? '')?.said ?? ''
const places = computed(() =>
  (own.value?.places ?? []).map((part, index) => {
    const number = index + 1
    const text = textAt(part)
    const isTurned = own.value!.opened.includes(index)
    return {
      index,
      number,
      part,
      state: !part ? 'shut' : isTurned ? 'open' : 'found',
      said: !part
        ? t('shut', { number })
        : isTurned
          ? t('is_open', { number, text })
          : t('is_found', { number, text }),
    } as const
  }),
)

/** What was opened, for who cannot see it, and how the two went together. */
const opened = ref('')
const told = ref('')
/** The part that was opened last, where it is one that is played. */
const heard = ref('')
const played = computed(() => {
  const media = faces.value.get(heard.value)?.media
  return media && isPlayed(media) ? media : null
})
let sound: ReturnType<typeof playWav> | null = null
onScopeDispose(() => sound?.stop())

async function say(part: string): Promise<void> {
  sound?.stop()
  heard.value = part
  if (!props.board.spoken || !props.speak || !faces.value.get(part)?.html) return
  try {
    sound = playWav((await props.speak(part, 0)).wav)
  } catch {
    // It is read, too: nothing is lost where no voice is at hand.
  }
}
watch(own, (now, before) => {
  if (!now || !before || now.question !== before.question) return
  const turned = turnedOf(now, before)
  if (turned === undefined) return
  void say(now.places[turned]!)
  opened.value = places.value[turned]!.said
  const found = now.found > before.found
  const pair = found ? [...before.opened, turned] : now.opened
  told.value = pair.length > 1 ? went(found, pair) : ''
})
/** The shutter that was opened. It may be one of two that lay open: both were shut before. */
function turnedOf(now: Board, before: Board): number | undefined {
  if (now.opened.length !== before.opened.length && now.opened.length === 1) return now.opened[0]
  const turned = now.places.findIndex((part, place) => part && !before.places[place])
  return turned < 0 ? undefined : turned
}
function went(found: boolean, pair: readonly number[]): string {
  const [left, right] = pair.map((place) => textAt(own.value!.places[place]))
  return wentSaid(found, left ?? '', right ?? '')
}

/** Also one of two that lie open and do not belong together: both are shut before. */
const mayOpen = (place: { state: string }): boolean =>
  !props.disabled && (place.state === 'shut' || (place.state === 'open' && own.value!.opened.length > 1))
function open(place: number): void {
  emit('move', { move: 'open_shutter', question: item.value!.id, place })
}

const LOOKS = {
  shut: 'border-tide bg-tide text-foam',
  open: 'border-tide bg-sheet',
  found: 'border-lamp bg-lamp-wash',
}
</script>

<template>
  <FirstTry v-if="at === 'after' || at === 'between'" :right="board.right" />
  <div v-else-if="at === 'during' && own" :lang="language">
    <WhoPlays
      v-if="own.turns?.length && (names?.length ?? 0) > 1"
      :names="names!"
      :turns="own.turns"
      :done="own.found === own.pairs"
    />
    <p class="text-[15px] text-slate" dir="auto">
      {{ foundOf(own.found, own.pairs) }}
    </p>
    <p class="mb-1 min-h-7 text-[15px] text-slate wrap-anywhere" dir="auto" role="status">
      <span class="sr-only">{{ opened }}.</span> {{ told }}
    </p>
    <ul class="grid grid-cols-[repeat(auto-fill,minmax(6.4rem,1fr))] gap-2" :aria-label="t('house')">
      <li v-for="place in places" :key="place.index">
        <button
          type="button"
          class="relative flex h-full min-h-20 w-full items-center justify-center overflow-hidden rounded border-2 p-1.5 text-center text-[15px] leading-tight"
          :class="LOOKS[place.state]"
          :aria-label="place.said"
          :aria-disabled="!mayOpen(place)"
          @click="mayOpen(place) && open(place.index)"
        >
          <template v-if="place.state === 'shut'">
            <!-- Two leaves with slats. -->
            <span
              class="absolute inset-0 bg-[repeating-linear-gradient(to_bottom,transparent_0_7px,rgb(0_0_0/0.22)_7px_9px)]"
              aria-hidden="true"
            />
            <span class="absolute inset-y-0 start-1/2 w-0.5 bg-tide-deep" aria-hidden="true" />
            <span
              class="figure relative min-w-8 rounded-sm bg-tide-deep px-1.5 py-0.5 text-base"
              aria-hidden="true"
              >{{ place.number }}</span
            >
          </template>
          <template v-else>
            <PartFace
              :face="faces.get(place.part)"
              :lang="item?.language || undefined"
              class="items-center"
            />
            <span
              v-if="place.state === 'found'"
              class="absolute end-1 top-1 size-3 rounded-full border border-lamp-ink bg-lamp"
              aria-hidden="true"
            />
          </template>
        </button>
      </li>
    </ul>
    <MediaView v-if="played" :key="played.media" :media="played" plays class="mt-3" />
  </div>
</template>
