<script setup lang="ts">
/** The chart: channels fan out from the harbour, and every sounding shows what it counts or who has charted it. */
import { computed } from 'vue'
import type { BoardOf } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import { channelAt, depths, HEIGHT, nameAt, WIDTH } from './chart'
import { t } from './words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: BoardOf<'soundings'>; at: BoardMoment }>()

const longest = computed(() => Math.max(1, ...props.board.channels.map((one) => one.soundings.length)))
const size = computed(() => Math.max(16.5, Math.min(20, 150 / longest.value)))
const channels = computed(() =>
  props.board.channels.map((channel, index, { length }) => {
    const { points, start, end } = channelAt(index, length, channel.soundings.length, longest.value)
    const name = channel.name || t('open_water')
    return {
      name,
      at: nameAt(index, length),
      line: `M${start.x.toFixed(0)} ${start.y.toFixed(0)}L${end.x.toFixed(0)} ${end.y.toFixed(0)}`,
      soundings: channel.soundings.map((one, place) => ({
        ...one,
        ...points[place]!,
        said: saidOf(one, t('sounding', { channel: name, fathoms: t('fathoms', { n: one.fathoms }) })),
      })),
    }
  }),
)
/** Names stand in boxes, so that long ones wrap. */
const BOX = 150
const boxOf = ({ x, y, side }: ReturnType<typeof nameAt>): { x: number; y: number; class: string } =>
  side === 'above'
    ? { x: x - BOX / 2, y: y - 62, class: 'items-end justify-center text-center' }
    : side === 'left'
      ? { x: x - BOX - 22, y: y - 25, class: 'items-center justify-end text-end' }
      : { x: x + 22, y: y - 25, class: 'items-center justify-start text-start' }

function saidOf(
  one: BoardOf<'soundings'>['channels'][number]['soundings'][number],
  sounding: string,
): string {
  if (one.team) return t('is_taken', { sounding, name: teamName(one.team) })
  return t(one.over ? 'is_lost' : one.on ? 'is_on' : 'is_free', { sounding })
}
const boats = computed(() => {
  const there = props.board.boats.map((boat) => ({ ...boat, name: teamName(boat.number) }))
  return props.at === 'after' ? there.sort((a, b) => a.place - b.place) : there
})
const now = computed(() => {
  if (props.at === 'after') return ''
  if (props.board.turn === null) return t('all_charted')
  return t('team_chooses', { name: teamName(props.board.turn) })
})
</script>

<template>
  <div class="relative flex min-h-0 grow flex-col">
    <div class="z-10 lg:absolute lg:start-0 lg:top-0">
      <p v-if="now" class="mb-[0.5em] flex items-center gap-[0.5em]" role="status">
        <TeamFlag v-if="board.turn" :number="board.turn" class="size-[1.1em]" />
        <b class="text-[1.15em]">{{ now }}</b>
      </p>
      <ol class="flex flex-wrap gap-x-[1.6em] text-[max(18px,0.85em)] leading-[1.4] lg:flex-col">
        <li v-for="boat in boats" :key="boat.number" class="flex items-center gap-[0.45em]">
          <span v-if="at === 'after'" class="figure w-[1em] text-soft">{{ boat.place }}</span>
          <TeamFlag :number="boat.number" class="size-[1em]" />
          <span class="figure min-w-[1.2em] text-end">{{ boat.fathoms }}</span>
          <span :class="at === 'after' && boat.place === 1 && 'font-bold'">{{ boat.name }}</span>
        </li>
      </ol>
    </div>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="min-h-0 w-full grow"
      preserveAspectRatio="xMidYMid meet"
      role="list"
      :aria-label="t('name')"
    >
      <path
        v-for="(line, place) in depths(longest)"
        :key="place"
        :d="line"
        fill="none"
        class="stroke-soft"
        stroke-width="1"
        stroke-opacity="0.45"
        stroke-dasharray="2 7"
        aria-hidden="true"
      />
      <path d="M392 560C420 508 452 524 470 512S536 500 556 520S596 530 612 560Z" class="fill-bar" />
      <g v-for="(channel, index) in channels" :key="index" role="listitem" :aria-label="channel.name">
        <path :d="channel.line" fill="none" class="stroke-soft" stroke-width="1.2" stroke-opacity="0.8" />
        <foreignObject
          :x="boxOf(channel.at).x"
          :y="boxOf(channel.at).y"
          :width="BOX"
          height="50"
          aria-hidden="true"
        >
          <div class="flex h-full text-[21.5px] leading-[1.1]" :class="boxOf(channel.at).class" dir="auto">
            <span class="line-clamp-2 wrap-anywhere">{{ channel.name }}</span>
          </div>
        </foreignObject>
        <g
          v-for="one in channel.soundings"
          :key="one.question"
          :transform="`translate(${one.x.toFixed(1)} ${one.y.toFixed(1)})`"
        >
          <title>{{ one.said }}</title>
          <template v-if="one.team">
            <circle :r="size * 1.5" class="fill-light-bar" fill-opacity="0.18" />
            <TeamFlag
              :number="one.team"
              :x="-size * 0.85"
              :y="-size * 0.85"
              :width="size * 1.7"
              :height="size * 1.7"
              class="text-front"
            />
          </template>
          <template v-else-if="one.over">
            <circle :r="size * 0.6" class="fill-ground stroke-line" stroke-width="1.5" />
            <path
              :d="`M${-size * 0.25} ${-size * 0.25}L${size * 0.25} ${size * 0.25}M${size * 0.25} ${-size * 0.25}L${-size * 0.25} ${size * 0.25}`"
              class="stroke-soft"
              stroke-width="1.5"
            />
          </template>
          <template v-else>
            <circle
              :r="size"
              :class="one.on ? 'fill-light-bar stroke-front' : 'fill-ground stroke-front'"
              :stroke-width="one.on ? 3 : 1.5"
            />
            <text
              text-anchor="middle"
              y="7.5"
              font-size="21.5"
              class="figure"
              :class="one.on ? 'fill-[#11212c]' : 'fill-front'"
            >
              {{ one.fathoms }}
            </text>
          </template>
        </g>
      </g>
    </svg>
  </div>
</template>
