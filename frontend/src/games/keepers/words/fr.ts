import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Gardiens de la lumière',
  earn: 'Les bonnes réponses remplissent ton bidon d’huile\u00a0; à la suite, elles donnent plus.',
  spend: 'L’huile achète une lentille plus grande, une mèche de secours ou une carte.',
  comes_back: 'Ce que tu as manqué revient après quelques autres.',
  wins: 'Le classement compte toute l’huile jamais gagnée. Ce que tu dépenses n’est pas perdu.',
  oil: { one: 'Huile\u00a0: {n}', many: 'Huile\u00a0: {n}', other: 'Huile\u00a0: {n}' },
  next_gives: 'Prochaine juste\u00a0: +{n}',
  flame: 'Flamme {flame} sur 5',
  wicks: { one: '{n} mèche de secours', many: '{n} mèches de secours', other: '{n} mèches de secours' },
  your_light:
    'Ta lumière\u00a0: lentille {lens} sur 5, flamme {flame} sur 5, huile dans le bidon\u00a0: {oil}.',
  buy_lens: 'Grande lentille',
  hint_lens: 'plus d’huile à chaque fois',
  buy_wick: 'Mèche',
  hint_wick: 'pardonne une erreur',
  buy_chart: 'Carte',
  hint_chart: 'une fausse en moins',
  buy_gust: 'Rafale',
  hint_gust: 'éteint une flamme devant toi',
  price: '{price} d’huile',
  answers_right: '{right} justes sur {answers}',
  of_target: '{now} sur {target}',
  gust_came: 'Une rafale a éteint ta flamme. Ton huile est toujours là.',
  earned: 'Huile gagnée\u00a0: {n}.',
  all_answers: {
    one: '{n} réponse jusqu’ici',
    many: '{n} réponses jusqu’ici',
    other: '{n} réponses jusqu’ici',
  },
  lights:
    'Une lumière pour chacun des {n}\u00a0; plus elle brille loin sur l’eau, plus il y a d’huile gagnée.',
} satisfies Words<typeof en>
