<script setup lang="ts">
/** Pass phrases: three words by which a member says who sits at a device. */
import { ref } from 'vue'
import type { ClassDetail } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { button, smallField } from '@/ui/recipes'
import { ON_A_PAGE, papers, type Paper } from './papers'
import type { OneClass } from './useClass'
import { t } from './words'

const props = defineProps<{ one: OneClass; detail: ClassDetail }>()
const paper = ref<Paper>('a4')
const onAPage = ref<(typeof ON_A_PAGE)[number]>(8)
const asking = ref(false)

async function renew(): Promise<void> {
  asking.value = false
  await props.one.renewPhrases(null)
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4 py-1" :aria-label="t('pass_phrases')">
    <UiSwitch
      :model-value="detail.has_phrases"
      :label="t('pass_phrases')"
      :hint="t('three_plain_words_for_each_member')"
      @update:model-value="one.setPhrases($event)"
    />
    <div v-if="detail.has_phrases && detail.members" class="space-y-2 pb-3 text-[15px]">
      <div class="flex flex-wrap items-center gap-2">
        <select v-model="paper" :class="smallField" :aria-label="t('paper')">
          <option v-for="(label, one_) in papers()" :key="one_" :value="one_">{{ label }}</option>
        </select>
        <select v-model="onAPage" :class="smallField" :aria-label="t('slips_on_a_page')">
          <option v-for="count in ON_A_PAGE" :key="count" :value="count">
            {{ t('to_a_page', { count }) }}
          </option>
        </select>
        <a
          :class="button('plain', 'small')"
          :href="`/api/classes/${detail.id}/slips.pdf?paper=${paper}&on_a_page=${onAPage}`"
          download
          >{{ t('slips_pdf') }}</a
        >
      </div>
      <button type="button" class="font-bold text-tide underline" @click="asking = true">
        {{ t('renew_them_all') }}
      </button>
    </div>
    <UiDialog :open="asking" :title="t('draw_all_pass_phrases_anew')" @close="asking = false">
      <p>{{ t('the_slips_that_were_given_out') }}</p>
      <div class="mt-5 flex gap-3">
        <UiButton look="main" @click="renew">{{ t('draw_them_anew') }}</UiButton>
        <UiButton @click="asking = false">{{ t('keep_them') }}</UiButton>
      </div>
    </UiDialog>
  </section>
</template>
