/** How students can be known in a session, in words. */
import type { Settings } from '@/api/types'
import { t } from './words'

export type Known = Settings['known']

export const knownBy = (): Record<Known, { label: string; hint: string }> => ({
  nobody: { label: t('a_number_alone'), hint: t('nobody_is_asked_for_a_name') },
  nickname: { label: t('a_name_they_type'), hint: t('their_own_or_one_they_think') },
  made_up: {
    label: t('a_name_made_for_them'),
    hint: t('two_gentle_words_as_curious_heron'),
  },
  list: {
    label: t('their_name_in_the_class_list'),
    hint: t('each_picks_their_own_or_types'),
  },
  record_id: {
    label: t('a_record_id'),
    hint: t('the_schools_number_or_e_mail'),
  },
})
