import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'قيّم كل عبارة',
  choose: 'قيّم العبارات',
  rated: {
    zero: '{line}: المتوسط {mean}، التشتت {spread}، بلا تقييمات',
    one: '{line}: المتوسط {mean}، التشتت {spread}، تقييم واحد',
    two: '{line}: المتوسط {mean}، التشتت {spread}، تقييمان',
    few: '{line}: المتوسط {mean}، التشتت {spread}، {n} تقييمات',
    many: '{line}: المتوسط {mean}، التشتت {spread}، {n} تقييمًا',
    other: '{line}: المتوسط {mean}، التشتت {spread}، {n} تقييم',
  },
  rated_once: '{line}: {mean}، تقييم واحد',
} satisfies Words<typeof en>
