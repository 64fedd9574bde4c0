<script setup lang="ts">
/** One piece: its links, how far everybody is, and what can be changed. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { sentenceOf, told } from '@/told'
import { zonedMoment } from '@/composables/zoned'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { menuPanel } from '@/ui/recipes'
import DueDialog from './DueDialog.vue'
import FollowedClass from './FollowedClass.vue'
import { useWork } from './useWork'
import { doors, purposeOf } from './inWords'
import { t } from './words'
import { t as common } from '@/ui/words'

const id = Number(useRoute().params.id)
const router = useRouter()
const used = useWork(id)
const { work, error, busy, change, remove } = used
const movesDue = ref(false)
const asksRemove = ref(false)
useTitle(computed(() => common('page_title', { title: work.value?.title ?? t('set_work') })))

const about = computed(() => {
  const { terms, door, zone } = work.value!
  const parts = [purposeOf(terms.purpose ?? 'homework'), doors()[door]]
  if (door === 'not_yet' && terms.opens) parts.push(t('opens_2', { when: zonedMoment(terms.opens, zone) }))
  parts.push(terms.due ? t('due_2', { when: zonedMoment(terms.due, zone) }) : t('due_at_no_time'))
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
    <p v-else-if="!work" class="text-slate">{{ t('fetching_set_work') }}</p>
    <template v-else>
      <div class="mb-4 flex flex-wrap items-start gap-3">
        <div class="min-w-0 grow basis-80">
          <h1 class="text-3xl wrap-anywhere">{{ work.title || common('untitled_set') }}</h1>
          <p class="text-slate">{{ about }}</p>
          <p v-if="work.made_up_for">
            <I18nT :keypath="t.path('for_who_was_absent_from')" scope="global"
              ><template #session
                ><RouterLink
                  :to="`/sessions/${work.made_up_for}`"
                  class="font-bold text-tide hover:underline"
                  >{{ work.made_up_title }}</RouterLink
                ></template
              ></I18nT
            >
          </p>
        </div>
        <UiButton :disabled="busy" @click="movesDue = true">{{ t('change_when_it_is_due') }}</UiButton>
        <Menu as="div" class="relative">
          <MenuButton
            class="size-10 rounded text-xl text-slate hover:text-ink"
            :aria-label="t('more_for_this_work')"
            >⋯</MenuButton
          >
          <MenuItems :class="menuPanel" class="end-0">
            <UiMenuAction v-if="work.set" @act="router.push(`/sets/${work.set}`)">{{
              t('open_its_set')
            }}</UiMenuAction>
            <UiMenuAction
              @act="
                change(
                  { type: 'withdrawn', withdrawn: !isBack },
                  isBack ? t('it_is_given_again') : t('it_is_taken_back_students_do'),
                )
              "
              >{{ isBack ? t('give_it_again') : t('take_it_back') }}</UiMenuAction
            >
            <UiMenuAction danger @act="asksRemove = true">{{ t('delete') }}</UiMenuAction>
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
          {{ t('what_was_changed_since') }}
        </summary>
        <ul class="divide-y divide-rule border-y border-rule">
          <li v-for="(one, index) in work.changes" :key="index" class="flex flex-wrap gap-x-4 py-2">
            <span class="w-40 text-slate">{{ zonedMoment(one.at, work.zone) }}</span>
            <span class="grow">{{ told(one.what) }}</span>
            <span class="text-slate">{{ one.by }}</span>
          </li>
        </ul>
      </details>
      <DueDialog
        v-if="movesDue"
        :due="work.terms.due ?? null"
        :zone="work.zone"
        :title="t('when_is_it_due')"
        @choose="change({ type: 'due_moved', due: $event, person: '' }, t('changed_for_everybody'))"
        @close="movesDue = false"
      />
      <UiDialog :open="asksRemove" :title="t('delete_this_set_work')" @close="asksRemove = false">
        <p class="mb-4">
          {{ t('it_goes_out_of_every_list') }}
        </p>
        <div class="flex flex-wrap gap-3">
          <UiButton look="danger" @click="removeIt">{{ t('delete_it') }}</UiButton>
          <UiButton look="quiet" @click="asksRemove = false">{{ common('keep_it') }}</UiButton>
        </div>
      </UiDialog>
    </template>
  </div>
</template>
