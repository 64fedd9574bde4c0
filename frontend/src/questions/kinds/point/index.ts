import { defineKind } from '../../kindViews'

export const point = defineKind<'point'>({
  label: 'Point on a picture',
  hint: 'a place on a picture is pointed at',
  isAsked: true,
  showsPicture: true,
  starts: () => ({ time_limit: 60 }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'point at the picture',
  sendLabel: (item, answer) => {
    if (!answer) return 'Point at the picture'
    const name = item.names.find((place) => place.id === answer.area)?.name
    return name ? `Send “${name}”` : 'Send this place'
  },
  inWords: (_item, tally, key) =>
    [
      tally ? `${tally.n} points` : '',
      ...(tally?.areas ?? []).map((area) => `${area.name}: ${area.count}`),
      tally?.areas?.length ? `elsewhere: ${tally.strays}` : '',
      key ? `right: ${key.areas.map((area) => area.name || 'an area').join(', ')}` : '',
    ]
      .filter(Boolean)
      .join('; '),
})
