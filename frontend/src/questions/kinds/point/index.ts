import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const point = defineKind<'point'>({
  isAsked: true,
  showsPicture: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (item, answer) => {
    if (!answer) return t('choose')
    const name = item.names.find((place) => place.id === answer.area)?.name
    return name ? t('send_named', { name }) : t('send_place')
  },
  inWords: (_item, tally, key) =>
    [
      tally ? t('points', { n: tally.n ?? 0 }) : '',
      ...(tally?.areas ?? []).map(
        (area, index) => `${area.name || t('area_of', { number: index + 1 })}: ${area.count}`,
      ),
      tally?.areas?.length ? `${t('elsewhere')}: ${tally.strays}` : '',
      key ? common('right_is', { text: key.areas.map((area) => area.name || t('an_area')).join(', ') }) : '',
    ]
      .filter(Boolean)
      .join('; '),
})
