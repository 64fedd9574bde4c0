<script setup lang="ts">
/** Pass phrases: three words by which a member says who sits at a device. */
import { ref } from 'vue'
import type { ClassDetail } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { button, smallField } from '@/ui/recipes'
import { ON_A_PAGE, PAPERS } from './papers'
import type { OneClass } from './useClass'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const paper = ref<keyof typeof PAPERS>('a4')
const onAPage = ref<(typeof ON_A_PAGE)[number]>(8)
const asking = ref(false)

async function renew(): Promise<void> {
  asking.value = false
  await props.one.renewPhrases(null)
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4 py-1" aria-label="Pass phrases">
    <UiSwitch
      :model-value="detail.has_phrases"
      label="Pass phrases"
      hint="Three plain words for each member: nobody takes another’s name, and a lost device is no harm."
      @update:model-value="one.setPhrases($event)"
    />
    <div v-if="detail.has_phrases && detail.members" class="space-y-2 pb-3 text-[15px]">
      <div class="flex flex-wrap items-center gap-2">
        <select v-model="paper" :class="smallField" aria-label="Paper">
          <option v-for="(label, one_) in PAPERS" :key="one_" :value="one_">{{ label }}</option>
        </select>
        <select v-model="onAPage" :class="smallField" aria-label="Slips on a page">
          <option v-for="count in ON_A_PAGE" :key="count" :value="count">{{ count }} to a page</option>
        </select>
        <a
          :class="button('plain', 'small')"
          :href="`/api/classes/${detail.id}/slips.pdf?paper=${paper}&on_a_page=${onAPage}`"
          download
          >Slips (PDF)</a
        >
      </div>
      <button type="button" class="font-bold text-tide underline" @click="asking = true">
        Renew them all…
      </button>
    </div>
    <UiDialog :open="asking" title="Draw all pass phrases anew?" @close="asking = false">
      <p>The slips that were given out are good for nothing from then on. Who is in a session stays in it.</p>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" @click="renew">Draw them anew</UiButton>
        <UiButton @click="asking = false">Keep them</UiButton>
      </div>
    </UiDialog>
  </section>
</template>
