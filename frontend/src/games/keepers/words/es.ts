import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Guardianes de la luz',
  earn: 'Las respuestas correctas llenan tu lata de aceite; seguidas dan más.',
  spend: 'Con aceite compras una lente mayor, una mecha de repuesto o una carta.',
  comes_back: 'Lo que fallas vuelve después de algunas otras.',
  wins: 'Cuenta todo el aceite que has ganado. Lo que gastas no se pierde.',
  oil: { one: '{n} de aceite', many: '{n} de aceite', other: '{n} de aceite' },
  next_gives: 'Próxima correcta: +{n}',
  flame: 'Llama {flame} de 5',
  wicks: { one: '{n} mecha de repuesto', many: '{n} mechas de repuesto', other: '{n} mechas de repuesto' },
  your_light: 'Tu luz: lente {lens} de 5, llama {flame} de 5, {oil} de aceite en la lata.',
  buy_lens: 'Lente mayor',
  hint_lens: 'más aceite cada vez',
  buy_wick: 'Mecha',
  hint_wick: 'perdona un fallo',
  buy_chart: 'Carta',
  hint_chart: 'una falsa menos',
  buy_gust: 'Ráfaga',
  hint_gust: 'apaga una llama delante',
  price: '{price} de aceite',
  answers_right: '{right} de {answers} correctas',
  of_target: '{now} de {target}',
  gust_came: 'Una ráfaga apagó tu llama. Tu aceite sigue ahí.',
  earned: 'Ganaste {n} de aceite.',
  all_answers: {
    one: '{n} respuesta hasta ahora',
    many: '{n} respuestas hasta ahora',
    other: '{n} respuestas hasta ahora',
  },
  lights: 'Una luz por cada una de las {n} personas; cuanto más lejos brilla en el agua, más aceite ganó.',
} satisfies Words<typeof en>
