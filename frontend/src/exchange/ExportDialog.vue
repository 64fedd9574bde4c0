<script setup lang="ts">
/** Takes a set out in a format, after saying what that format cannot hold. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf, told } from '@/told'
import { button } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ set: number; title: string }>()
const emit = defineEmits<{ close: [] }>()
const ways = useQuery({
  queryKey: ['ways-out', props.set],
  queryFn: () => data(api.GET('/api/exchange/sets/{set_id}', { params: { path: { set_id: props.set } } })),
  gcTime: 0,
})
const chosen = ref('archive')
const way = computed(() => ways.data.value?.find((one) => one.format === chosen.value))
</script>

<template>
  <UiDialog open :title="t('take_out', { title: title || common('untitled_set') })" @close="emit('close')">
    <p v-if="ways.error.value" role="alert" class="text-wrong">{{ sentenceOf(ways.error.value) }}</p>
    <fieldset v-else>
      <legend class="sr-only">{{ t('format') }}</legend>
      <label
        v-for="one in ways.data.value"
        :key="one.format"
        class="flex cursor-pointer items-center gap-3 border-b border-rule py-2"
      >
        <input v-model="chosen" type="radio" name="format" :value="one.format" class="size-5 accent-tide" />
        <span class="grow">{{ told(one.label) }}</span>
        <span class="text-[15px] text-slate">{{ one.suffix }}</span>
      </label>
    </fieldset>
    <div v-if="way?.left_out.length" class="mt-4" role="status">
      <p class="font-bold">{{ t('this_format_leaves_behind') }}</p>
      <ul class="max-h-40 overflow-y-auto text-[15px]" tabindex="0">
        <li v-for="sentence in way.left_out" :key="sentence.sentence">{{ told(sentence) }}</li>
      </ul>
    </div>
    <div class="mt-5 flex justify-end gap-3">
      <UiButton @click="emit('close')">{{ common('cancel') }}</UiButton>
      <a
        v-if="way"
        :class="button('main')"
        :href="`/api/exchange/sets/${set}/${way.format}`"
        download
        @click="emit('close')"
        >{{ t('save_the_file') }}</a
      >
    </div>
  </UiDialog>
</template>
