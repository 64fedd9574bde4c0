<script setup lang="ts">
import { ref } from 'vue'
import { useToasts } from '@/composables/useToasts'
import { singleKeysOn } from '@/composables/useKeys'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { LANGUAGES } from '@/words'
import { OF_TEACHERS, type TeacherLanguage } from '@/words/teacher'
import { field } from '@/ui/recipes'
import { changePassword, chooseLanguage, ownLanguage, teacher } from './teacher'
import { useForm } from '@/composables/useForm'
import { t } from './words'

const old = ref('')
const next = ref('')
const { busy, errors, submit } = useForm()
const { show } = useToasts()

/** Everything is said anew, also what was said once: the page is loaded again. */
async function speakFromNowOn(event: Event): Promise<void> {
  await chooseLanguage((event.target as HTMLSelectElement).value as TeacherLanguage)
  location.reload()
}

async function change(): Promise<void> {
  if (!(await submit(() => changePassword(old.value, next.value)))) return
  old.value = next.value = ''
  show(t('your_password_is_changed_other_devices'))
}
</script>

<template>
  <div class="mx-auto max-w-xl space-y-8 px-6 py-8">
    <div>
      <h1 class="text-3xl">{{ t('your_account') }}</h1>
      <p class="mt-1 text-slate">{{ teacher?.name }} · {{ teacher?.email }}</p>
    </div>
    <form class="space-y-5 rounded border border-rule bg-sheet p-6" novalidate @submit.prevent="change">
      <h2 class="text-xl">{{ t('change_your_password') }}</h2>
      <p v-if="errors['']" role="alert" class="text-wrong">{{ errors[''] }}</p>
      <UiField
        v-model="old"
        :label="t('present_password')"
        type="password"
        autocomplete="current-password"
        :error="errors.old"
      />
      <UiField
        v-model="next"
        :label="t('new_password')"
        type="password"
        autocomplete="new-password"
        :error="errors.new"
      />
      <UiButton type="submit" look="main" :disabled="busy">{{ t('change_the_password') }}</UiButton>
    </form>
    <section class="rounded border border-rule bg-sheet p-6">
      <h2 class="text-xl">{{ t('your_school') }}</h2>
      <p class="mt-1">
        {{ teacher?.school || t('it_has_no_name_yet') }}
        <RouterLink to="/school" class="ms-2 font-bold text-tide underline">{{
          t('colleagues_and_what_the_school_decides')
        }}</RouterLink>
      </p>
    </section>
    <section class="rounded border border-rule bg-sheet p-6">
      <label
        ><span class="mb-1 block text-xl font-bold font-display">{{ t('language') }}</span>
        <span class="mb-2 block text-[15px] text-slate">{{ t('language_hint') }}</span>
        <select :class="field" :value="ownLanguage()" @change="speakFromNowOn">
          <option v-for="tag in OF_TEACHERS" :key="tag" :value="tag" :lang="tag">{{ LANGUAGES[tag] }}</option>
        </select>
      </label>
    </section>
    <section class="rounded border border-rule bg-sheet px-6 py-3">
      <UiSwitch
        v-model="singleKeysOn"
        :label="t('single_keys_on_the_desk')"
        :hint="t('space_for_the_next_step_c')"
      />
    </section>
  </div>
</template>
