<script setup lang="ts">
/** The grade books of a class, and a new one. */
import { Menu, MenuButton, MenuItems } from '@headlessui/vue'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { useToasts } from '@/composables/useToasts'
import UiMenuAction from '@/ui/UiMenuAction.vue'
import { button, menuPanel } from '@/ui/recipes'
import { t } from './words'

const props = defineProps<{ classId: number }>()
const router = useRouter()
const { show } = useToasts()
const { data: books } = useQuery({
  queryKey: ['grade-books'],
  queryFn: () => data(api.GET('/api/grade-books')),
})
const ofClass = computed(() => books.value?.filter((book) => book.class_id === props.classId) ?? [])

async function make(): Promise<void> {
  try {
    const made = await data(api.POST('/api/grade-books', { body: { of_class: props.classId } }))
    await router.push(`/grade-books/${made.id}`)
  } catch (error) {
    show(sentenceOf(error))
  }
}
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton :class="button('plain')">{{ t('grade_books') }} <span aria-hidden="true">▾</span></MenuButton>
    <MenuItems :class="menuPanel" class="end-0 w-max max-w-80">
      <UiMenuAction v-for="book in ofClass" :key="book.id" @act="router.push(`/grade-books/${book.id}`)">{{
        book.name || t('grades_of', { name: book.class_name })
      }}</UiMenuAction>
      <UiMenuAction @act="make">{{ t('a_new_grade_book') }}</UiMenuAction>
    </MenuItems>
  </Menu>
</template>
