<script setup lang="ts">
/** What the set is about: one line that opens where it stands. */
import { computed, ref } from 'vue'
import type { About, Media, SetDocument } from '@/api/types'
import { MediaSlot } from '@/media'
import UiSwitch from '@/ui/UiSwitch.vue'
import { field } from '@/ui/recipes'
import { languageName, LANGUAGES } from './languages'
import TagsField from './TagsField.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{ about: About; madeFrom: SetDocument['made_from']; isPrivate: boolean }>()
const emit = defineEmits<{ update: [about: About]; private: [on: boolean] }>()
const open = ref(false)

const summary = computed(() => {
  const { subject, level_from: from, level_to: to, language, topics, tags } = props.about
  const years =
    from && to
      ? t('years_to', { from, to })
      : from
        ? t('from_year', { from })
        : to
          ? t('to_year', { to })
          : ''
  const parts = [subject, years, languageName(language ?? 'en'), ...(topics ?? []), ...(tags ?? [])]
  return parts.filter(Boolean).join(' · ')
})

const set = (change: Partial<About>): void => emit('update', { ...props.about, ...change })
const text = (event: Event): string => (event.target as HTMLInputElement).value
const year = (event: Event): number | null => {
  const value = Math.round(Number(text(event)))
  return value >= 1 && value <= 20 ? value : null
}

function setCover(media: Media | null): void {
  if (!media || media.type === 'picture' || 'width' in media) set({ cover: media as About['cover'] })
}
</script>

<template>
  <section class="mb-4 ps-4.5" :aria-label="t('about_the_set')">
    <p class="flex flex-wrap items-baseline gap-x-3 text-[15px] text-slate">
      <span>{{ summary }}</span>
      <button type="button" class="font-bold text-tide" :aria-expanded="open" @click="open = !open">
        {{ open ? common('close') : t('about_this_set') }}
      </button>
      <RouterLink v-if="madeFrom" :to="`/sets/${madeFrom.id}`" class="underline">{{
        t('a_variant_of', { title: madeFrom.title || t('an_untitled_set') })
      }}</RouterLink>
    </p>
    <div v-if="open" class="mt-2 grid gap-3 rounded border border-rule bg-sheet p-4 sm:grid-cols-2">
      <label class="sm:col-span-2"
        >{{ t('description') }}
        <textarea
          rows="2"
          maxlength="2000"
          :class="field"
          :value="about.description"
          @input="set({ description: text($event) })"
        />
      </label>
      <label
        >{{ t('subject') }}
        <input :class="field" maxlength="100" :value="about.subject" @input="set({ subject: text($event) })"
      /></label>
      <label
        >{{ t('language') }}
        <select :class="field" :value="about.language" @change="set({ language: text($event) })">
          <option v-for="[tag, name] in LANGUAGES" :key="tag" :value="tag">{{ name }}</option>
        </select>
      </label>
      <div class="flex gap-3">
        <label class="flex-1"
          >{{ t('from_school_year') }}
          <input
            type="number"
            min="1"
            max="20"
            :class="field"
            :value="about.level_from"
            @change="set({ level_from: year($event) })"
        /></label>
        <label class="flex-1"
          >{{ t('to') }}
          <input
            type="number"
            min="1"
            max="20"
            :class="field"
            :value="about.level_to"
            @change="set({ level_to: year($event) })"
        /></label>
      </div>
      <div>
        <p>{{ t('topics') }}</p>
        <TagsField
          :label="t('topics_of_the_set')"
          :tags="about.topics ?? []"
          wide
          @update="set({ topics: $event })"
        />
      </div>
      <div>
        <p>{{ t('tags_of_your_own') }}</p>
        <TagsField
          :label="t('tags_of_the_set')"
          :tags="about.tags ?? []"
          wide
          @update="set({ tags: $event })"
        />
      </div>
      <div>
        <p>{{ t('cover_picture') }}</p>
        <MediaSlot
          :media="about.cover ?? null"
          :name="t('the_cover')"
          active
          only-picture
          @update="setCover"
        />
      </div>
      <div class="sm:col-span-2">
        <UiSwitch
          :model-value="isPrivate"
          :label="t('private_pictures_sounds_and_videos')"
          :hint="t('they_are_served')"
          @update:model-value="emit('private', $event)"
        />
      </div>
    </div>
  </section>
</template>
