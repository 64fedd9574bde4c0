<script setup lang="ts">
/** What has to be settled in the set before it can run, said before the doors are tried. */
import { useRouter } from 'vue-router'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import type { ItemProblem } from '@/api/types'
import { viewsOf } from '@/questions/registry'
import { t } from './words'
import { told } from '@/told'

const props = defineProps<{ set: number }>()
const isBlocked = defineModel<boolean>('blocked', { required: true })
const emit = defineEmits<{ leave: [] }>()
const router = useRouter()
const MOST_SAID = 4

const problems = ref<(ItemProblem & { place: string })[]>([])
const isEmpty = ref(false)
const said = computed(() => problems.value.slice(0, MOST_SAID))

async function look(): Promise<void> {
  const path = { set_id: props.set }
  const found = await data(api.GET('/api/sets/{set_id}', { params: { path } })).catch(() => null)
  if (!found) return
  isEmpty.value = !found.items.length
  let number = 0
  const places = new Map(
    found.items.map(({ item }) => [
      item.id,
      viewsOf(item).isAsked ? t('question', { number: ++number }) : t('a_page'),
    ]),
  )
  problems.value = found.problems
    .filter((one) => one.problem.severity === 'wrong')
    .map((one) => ({ ...one, place: places.get(one.item) ?? '' }))
  isBlocked.value = isEmpty.value || problems.value.length > 0
}

function goThere(at: ItemProblem): void {
  emit('leave')
  void router.push({ path: `/sets/${props.set}`, query: { at: at.item, field: at.problem.field } })
}

void look()
</script>

<template>
  <div v-if="isBlocked" role="alert" class="mb-3 rounded border border-wrong px-4 py-3">
    <p v-if="isEmpty">{{ t('there_is_nothing_in_this_set') }}</p>
    <template v-else>
      <p>{{ t('something_has_to_be_settled_before') }}</p>
      <ul class="mt-1 space-y-1">
        <li v-for="one in said" :key="one.item + one.problem.field">
          <button type="button" class="text-start font-bold text-tide underline" @click="goThere(one)">
            {{ one.place }}: {{ told(one.problem) }}
          </button>
        </li>
      </ul>
      <p v-if="problems.length > MOST_SAID" class="mt-1 text-slate">
        {{ t('and_more', { most_said: problems.length - MOST_SAID }) }}
      </p>
    </template>
  </div>
</template>
