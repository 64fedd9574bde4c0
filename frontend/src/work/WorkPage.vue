<script setup lang="ts">
/** One piece: its links, how far everybody is, and what can be changed. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf } from '@/api/refusal'
import { zonedMoment } from '@/composables/zoned'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { menuPanel } from '@/ui/recipes'
import DueDialog from './DueDialog.vue'
import FollowedClass from './FollowedClass.vue'
import { useWork } from './useWork'
import { DOORS, purposeOf } from './words'

const id = Number(useRoute().params.id)
const router = useRouter()
const used = useWork(id)
const { work, error, busy, change, remove } = used
const movesDue = ref(false)
const asksRemove = ref(false)
useTitle(computed(() => `${work.value?.title ?? 'Set work'} · Tall Lantern`))

const about = computed(() => {
  const { terms, door, zone } = work.value!
  const parts = [purposeOf(terms.purpose ?? 'homework'), DOORS[door]]
  if (door === 'not_yet' && terms.opens) parts.push(`opens ${zonedMoment(terms.opens, zone)}`)
  parts.push(terms.due ? `due ${zonedMoment(terms.due, zone)}` : 'due at no time')
  return parts.join(' · ')
})
const isBack = computed(() => work.value?.door === 'withdrawn')

async function removeIt(): Promise<void> {
  asksRemove.value = false
  if (await remove()) await router.push('/work')
}
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error && !work" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!work" class="text-slate">Fetching set work…</p>
    <template v-else>
      <div class="mb-4 flex flex-wrap items-start gap-3">
        <div class="min-w-0 grow basis-80">
          <h1 class="text-3xl wrap-anywhere">{{ work.title || 'Untitled set' }}</h1>
          <p class="text-slate">{{ about }}</p>
          <p v-if="work.made_up_for">
            For who was absent from
            <RouterLink :to="`/sessions/${work.made_up_for}`" class="font-bold text-tide hover:underline">{{
              work.made_up_title
            }}</RouterLink>
          </p>
        </div>
        <UiButton :disabled="busy" @click="movesDue = true">Change when it is due…</UiButton>
        <Menu as="div" class="relative">
          <MenuButton
            class="size-10 rounded text-xl text-slate hover:text-ink"
            aria-label="More for this work"
            >⋯</MenuButton
          >
          <MenuItems :class="menuPanel" class="right-0">
            <UiMenuAction v-if="work.set" @act="router.push(`/sets/${work.set}`)">Open its set</UiMenuAction>
            <UiMenuAction
              @act="
                change(
                  { type: 'withdrawn', withdrawn: !isBack },
                  isBack ? 'It is given again.' : 'It is taken back: students do not see it any more.',
                )
              "
              >{{ isBack ? 'Give it again' : 'Take it back' }}</UiMenuAction
            >
            <UiMenuAction danger @act="asksRemove = true">Delete…</UiMenuAction>
          </MenuItems>
        </Menu>
      </div>
      <FollowedClass
        v-for="part in work.classes"
        :key="part.given.id"
        :part="part"
        :work="work"
        :used="used"
        class="mb-8"
      />
      <details v-if="work.changes.length">
        <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
          What was changed since it was given
        </summary>
        <ul class="divide-y divide-rule border-y border-rule">
          <li v-for="(one, index) in work.changes" :key="index" class="flex flex-wrap gap-x-4 py-2">
            <span class="w-40 text-slate">{{ zonedMoment(one.at, work.zone) }}</span>
            <span class="grow">{{ one.what.sentence }}</span>
            <span class="text-slate">{{ one.by }}</span>
          </li>
        </ul>
      </details>
      <DueDialog
        v-if="movesDue"
        :due="work.terms.due ?? null"
        :zone="work.zone"
        title="When is it due?"
        @choose="change({ type: 'due_moved', due: $event, person: '' }, 'Changed for everybody.')"
        @close="movesDue = false"
      />
      <UiDialog :open="asksRemove" title="Delete this set work?" @close="asksRemove = false">
        <p class="mb-4">
          It goes out of every list, with all that students did in it. It can be brought back for 30 days.
        </p>
        <div class="flex flex-wrap gap-3">
          <UiButton look="danger" @click="removeIt">Delete it</UiButton>
          <UiButton look="quiet" @click="asksRemove = false">Keep it</UiButton>
        </div>
      </UiDialog>
    </template>
  </div>
</template>
