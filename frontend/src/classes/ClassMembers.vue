<script setup lang="ts">
/** Everybody in the class; names are typed straight in. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { ClassDetail, Member } from '@/api/types'
import { dateOf } from '@/composables/format'
import { useForm } from '@/composables/useForm'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { field, menuPanel, smallField } from '@/ui/recipes'
import { hasNeeds, NO_NEEDS } from './needs'
import { typedNames } from './typedNames'
import type { OneClass } from './useClass'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const emit = defineEmits<{ edit: [member: Member | null]; look: [member: Member] }>()
const router = useRouter()
const { busy, errors, submit } = useForm()
const name = ref('')
const wanted = ref('')
const withLeft = ref(false)
/** From here on one looks for a name rather than reads them all. */
const MANY = 15

const { members, left } = props.one
const found = computed(() => {
  const text = wanted.value.trim().toLocaleLowerCase()
  if (!text) return members.value
  return members.value.filter((one) =>
    [one.name, one.sort_name, one.record_id, one.group].some((part) =>
      part.toLocaleLowerCase().includes(text),
    ),
  )
})
const has = computed(() => ({
  ids: members.value.some((one) => one.record_id),
  groups: members.value.some((one) => one.group),
  keypads: members.value.some((one) => one.keypads.length),
}))

/** Whether the class calls this member otherwise than the list says. */
const otherName = (member: Member): boolean =>
  member.sort_name.split(', ').reverse().join(' ') !== member.name

async function add(): Promise<void> {
  if (!name.value.trim()) return
  const form = {
    name: name.value,
    sort_name: '',
    record_id: '',
    group: '',
    keypads: [],
    notes: '',
    needs: NO_NEEDS,
  }
  if (await submit(() => props.one.save(form))) name.value = ''
}

/** Several lines are a list: it is looked through first. */
function paste(event: ClipboardEvent): void {
  const text = event.clipboardData?.getData('text') ?? ''
  if (text.trim().split('\n').length < 2) return
  event.preventDefault()
  typedNames.value = text
  void router.push({ path: '/classes/bring-in', query: { into: props.detail.id } })
}
</script>

<template>
  <section aria-labelledby="members-head" class="rounded border border-rule bg-sheet">
    <div class="flex flex-wrap items-center gap-3 px-4 py-3">
      <h2 id="members-head" class="text-xl">{{ common('n_members', { n: members.length }) }}</h2>
      <input
        v-if="members.length > MANY"
        v-model="wanted"
        type="search"
        :class="smallField"
        class="ms-auto w-56"
        :aria-label="t('find_a_member')"
        :placeholder="t('find_a_member')"
      />
    </div>
    <form class="flex items-start gap-3 border-t border-rule px-4 py-3" novalidate @submit.prevent="add">
      <div class="grow">
        <input
          v-model="name"
          :class="field"
          maxlength="200"
          :aria-label="t('name_of_a_new_member')"
          :aria-invalid="!!(errors.name || errors[''])"
          aria-describedby="new-member-note"
          :placeholder="t('type_a_name_or_paste')"
          @paste="paste"
        />
        <p id="new-member-note" role="status" class="text-[15px] text-wrong">
          {{ errors.name ?? errors[''] ?? '' }}
        </p>
      </div>
      <UiButton type="submit" :disabled="busy || !name.trim()">{{ t('add_2') }}</UiButton>
    </form>
    <EmptyNote v-if="!members.length" :title="t('nobody_is_in_it_yet')" class="m-4">
      {{ t('type_names_above_one_after_another') }}
    </EmptyNote>
    <p v-else-if="!found.length" class="px-4 pb-4 text-slate">{{ t('nobodys_name_contains', { wanted }) }}</p>
    <table v-else class="w-full border-collapse">
      <thead>
        <tr class="text-start text-sm text-slate">
          <th class="px-4 py-1.5 font-normal">{{ common('name') }}</th>
          <th v-if="has.ids" class="px-3 font-normal whitespace-nowrap max-sm:hidden">
            {{ t('record_id_2') }}
          </th>
          <th v-if="has.groups" class="px-3 font-normal max-sm:hidden">{{ t('group') }}</th>
          <th v-if="has.keypads" class="px-3 font-normal max-sm:hidden">{{ t('keypad') }}</th>
          <th v-if="detail.has_phrases" class="px-3 font-normal whitespace-nowrap max-sm:hidden">
            {{ t('pass_phrase') }}
          </th>
          <th class="px-3">
            <span class="sr-only">{{ t('actions') }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="member in found" :key="member.id" class="border-t border-rule hover:bg-tide-wash/50">
          <th scope="row" class="w-full px-4 py-1.5 text-start font-normal">
            <button
              type="button"
              class="rounded text-start wrap-anywhere hover:underline"
              @click="emit('edit', member)"
            >
              {{ member.sort_name }}
            </button>
            <span v-if="otherName(member)" class="ms-2 text-[15px] text-slate">{{
              t('called', { name: member.name })
            }}</span>
            <span
              v-if="hasNeeds(member.needs)"
              class="ms-2 rounded border border-rule px-1.5 text-sm text-slate"
              >{{ t('needs') }}</span
            >
            <span v-if="member.phrase" class="block text-[15px] text-slate sm:hidden">{{
              member.phrase
            }}</span>
            <span v-if="member.notes" class="block max-w-prose truncate text-sm text-slate">{{
              member.notes
            }}</span>
          </th>
          <td
            v-if="has.ids"
            class="max-w-52 truncate px-3 text-[15px] text-slate max-sm:hidden"
            :title="member.record_id"
          >
            {{ member.record_id }}
          </td>
          <td v-if="has.groups" class="max-w-40 truncate px-3 text-[15px] text-slate max-sm:hidden">
            {{ member.group }}
          </td>
          <td v-if="has.keypads" class="px-3 text-[15px] tabular-nums text-slate max-sm:hidden">
            {{ member.keypads.join(', ') }}
          </td>
          <td v-if="detail.has_phrases" class="px-3 text-[15px] whitespace-nowrap max-sm:hidden">
            {{ member.phrase }}
          </td>
          <td class="px-3 text-end">
            <Menu as="div" class="relative">
              <MenuButton
                class="size-9 rounded text-xl text-slate hover:text-ink"
                :aria-label="t('more_for', { name: member.name })"
                >⋯</MenuButton
              >
              <MenuItems :class="menuPanel" class="end-0">
                <UiMenuAction @act="emit('edit', member)">{{ t('change_2') }}</UiMenuAction>
                <UiMenuAction @act="emit('look', member)">{{ t('what_is_kept_of_them') }}</UiMenuAction>
                <UiMenuAction v-if="detail.has_phrases" @act="one.renewPhrases([member.id])">{{
                  t('new_pass_phrase')
                }}</UiMenuAction>
                <UiMenuAction danger @act="one.leaves(member)">{{ t('leaves_the_class') }}</UiMenuAction>
              </MenuItems>
            </Menu>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="left.length" class="border-t border-rule px-4 py-2">
      <UiButton look="quiet" size="small" class="-mx-3" @click="withLeft = !withLeft">{{
        withLeft ? t('hide_who_has_left') : t('show_who_have_left', { n: left.length })
      }}</UiButton>
      <ul v-if="withLeft" class="divide-y divide-rule">
        <li v-for="member in left" :key="member.id" class="flex items-center gap-4 py-1.5">
          <span class="grow wrap-anywhere">{{ member.name }}</span>
          <span class="text-[15px] whitespace-nowrap text-slate">{{
            t('left', { date: dateOf(member.left_at!) })
          }}</span>
          <UiButton look="quiet" size="small" @click="one.comesBack(member)"
            >{{ t('comes_back') }}<span class="sr-only">: {{ member.name }}</span></UiButton
          >
        </li>
      </ul>
    </div>
  </section>
</template>
