<script setup lang="ts">
/** One student in a piece of set work, with what can be done for them. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import type { AttemptLine, GivenTo, WorkDetail, WorkLine } from '@/api/types'
import { clockTime, percent } from '@/composables/format'
import { zonedMoment } from '@/composables/zoned'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { menuPanel } from '@/ui/recipes'
import DueDialog from './DueDialog.vue'
import { stages, whyOf } from './inWords'
import type { UsedWork } from './useWork'
import { t } from './words'

const props = defineProps<{ line: WorkLine; given: GivenTo; work: WorkDetail; used: UsedWork }>()
const { change, reopen, free, remind } = props.used
const movesDue = ref(false)
const zone = computed(() => props.work.zone)
const name = computed(() => props.line.name || `#${props.line.number}`)
/** The one that counts, or the one that is on. */
const shown = computed<AttemptLine | undefined>(
  () => props.line.attempts.find((one) => one.counts) ?? props.line.attempts.at(-1),
)
const last = computed(() => props.line.attempts.at(-1))
const running = computed(() => props.line.attempts.find((one) => !one.ended_at))
const stage = computed(() => {
  if (running.value) return t('of_answered', { answered: running.value.answered, of: running.value.of })
  if (!shown.value) return stages()[props.line.stage]
  return whyOf(shown.value, props.work.settings.comes_back)
})
const notes = computed(() =>
  [
    props.line.excused && t('excused'),
    props.line.due && t('due_2', { when: zonedMoment(props.line.due, zone.value) }),
    props.line.more_minutes && t('minutes_more', { more_minutes: props.line.more_minutes }),
    props.line.reminded_at && t('reminded', { when: zonedMoment(props.line.reminded_at, zone.value) }),
    props.line.released && t('free_to_change_devices'),
  ].filter(Boolean),
)
const isTimed = computed(() => ['whole', 'clock'].includes(props.work.settings.time?.of ?? ''))
const when = computed(() => {
  const at = shown.value?.ended_at ?? shown.value?.began_at
  return at ? zonedMoment(at, zone.value) : ''
})
</script>

<template>
  <tr>
    <th scope="row" class="px-3 py-2 text-start font-bold wrap-anywhere">
      <RouterLink
        v-if="shown"
        :to="`/sessions/${given.session}/students/${shown.seat}`"
        class="inline-block py-1 text-tide hover:underline"
        >{{ name }}</RouterLink
      >
      <template v-else>{{ name }}</template>
      <span v-if="notes.length" class="block font-normal text-slate">{{ notes.join(' · ') }}</span>
    </th>
    <td class="px-3 py-2">
      <span :class="line.stage === 'not_begun' && 'text-slate'">{{ stage }}</span>
      <span v-if="line.late" class="ms-2 rounded-sm border border-lamp-ink px-1.5 text-lamp-ink">{{
        t('late')
      }}</span>
    </td>
    <td class="px-3 py-2 whitespace-nowrap">{{ when }}</td>
    <td class="px-3 py-2 text-end tabular-nums">
      {{ shown ? clockTime(Math.round(shown.took / 1000)) : '' }}
    </td>
    <td class="px-3 py-2 text-end tabular-nums">
      {{ line.attempts.length }}
      <template v-if="line.attempts_left !== null">{{
        t('of_2', { attempts_left: line.attempts.length + line.attempts_left })
      }}</template>
    </td>
    <td class="px-3 py-2 text-end tabular-nums">
      {{ line.share === null ? '' : percent(line.share) }}
      <span v-if="shown?.missed" class="block text-slate">{{
        t('of_missed_held_later', { held: shown.held ?? 0, missed: shown.missed })
      }}</span>
      <span v-if="shown?.waiting" class="block text-slate">{{
        t('to_mark', { waiting: shown.waiting })
      }}</span>
    </td>
    <td class="px-3 py-2">
      <Menu as="div" class="relative">
        <MenuButton
          class="size-9 rounded text-lg text-slate hover:text-ink"
          :aria-label="t('more_for', { name })"
          >⋯</MenuButton
        >
        <MenuItems :class="menuPanel" class="end-0">
          <UiMenuAction @act="movesDue = true">{{ t('another_due_time') }}</UiMenuAction>
          <UiMenuAction
            v-if="isTimed"
            @act="
              change(
                { type: 'more_time', person: line.who, minutes: 10 },
                t('ten_minutes_more_for', { name }),
              )
            "
            >{{ t('ten_minutes_more') }}</UiMenuAction
          >
          <UiMenuAction
            v-if="line.attempts_left !== null"
            @act="change({ type: 'one_more_attempt', person: line.who }, t('one_more_attempt_for', { name }))"
            >{{ t('one_more_attempt') }}</UiMenuAction
          >
          <UiMenuAction v-if="last?.ended_at" @act="reopen(given.id, last.seat)">{{
            t('open_the_last_one_again')
          }}</UiMenuAction>
          <UiMenuAction
            v-if="line.stage === 'not_begun' && line.can_mail && !line.excused"
            @act="remind(given.id, [line.who])"
            >{{ t('remind_by_mail') }}</UiMenuAction
          >
          <UiMenuAction v-if="line.attempts.length && !line.released" @act="free(given.id, line.who)">{{
            t('let_them_change_devices')
          }}</UiMenuAction>
          <UiMenuAction @act="change({ type: 'excused', person: line.who, excused: !line.excused })">{{
            line.excused ? t('expect_it_again') : t('excuse')
          }}</UiMenuAction>
        </MenuItems>
      </Menu>
      <DueDialog
        v-if="movesDue"
        :due="line.due ?? work.terms.due ?? null"
        :zone="zone"
        :title="t('when_is_it_due_for', { name })"
        @choose="change({ type: 'due_moved', due: $event, person: line.who }, t('changed_for', { name }))"
        @close="movesDue = false"
      />
    </td>
  </tr>
</template>
