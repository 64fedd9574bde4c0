import type { Words } from '@/words'
import type en from './en'

export default {
  a_number_alone: 'nur eine Nummer',
  nobody_is_asked_for_a_name: 'Niemand wird nach einem Namen gefragt. Alle sind Gäste mit einer Nummer.',
  a_name_they_type: 'ein eingetippter Name',
  their_own_or_one_they_think: 'Der eigene oder ein ausgedachter.',
  a_name_made_for_them: 'ein Name wird für sie gefunden',
  two_gentle_words_as_curious_heron:
    'Zwei freundliche Wörter, etwa „Flinke Möwe“. Ein Tipp für einen anderen; keiner kommt zweimal vor.',
  their_name_in_the_class_list: 'ihr Name in der Klassenliste',
  each_picks_their_own_or_types:
    'Jede und jeder wählt den eigenen Namen oder tippt die Kennwörter, wo die Klasse welche hat. Ergebnisse kommen zusammen.',
  a_record_id: 'eine Kennung',
  the_schools_number_or_e_mail:
    'Die Nummer der Schule oder eine E-Mail-Adresse, und ein Name für die anderen. Die Kennung steht nur in Auswertungen.',
} satisfies Words<typeof en>
