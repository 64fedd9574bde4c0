/** What a game brings to the front end. */
import type { Component } from 'vue'
import type { BoardOf, GameGuide, GameName, GameOf } from '@/api/types'
import type { Piece } from '@/composables/sound/notes'

/** A game in words, before it starts: what to do, in three lines, and who wins. */
export interface Rules {
  name: string
  lines: [string, string, string]
  wins: string
}

/** When a board is looked at: before it has begun, while questions are asked, between two of them, or in the end. */
export type BoardMoment = 'before' | 'during' | 'between' | 'after'

/** What the desk can do in a game. */
export interface GameDesk {
  guide: (what: GameGuide) => Promise<boolean>
  goTo: (item: string) => Promise<boolean>
}

/** What is heard of a game on the big screen. */
export interface GameMusic<N extends GameName> {
  /** Played in the lobby, at own pace, and while its board is looked at. */
  piece: Piece
  /** How much is lit: a signal sounds as it grows. */
  lit?: (board: BoardOf<N>) => number
}

export interface GameViews<N extends GameName> {
  rules: () => Promise<(game: GameOf<N>) => Rules>
  music: () => Promise<GameMusic<N>>
  /** Where it has a board: what the big screen shows of it. Props: `board`, `at`, `view`. */
  screen?: () => Promise<Component>
  /** What the big screen says of the question that is on. Props: `board`. */
  asked?: () => Promise<Component>
  /** What a player's own device shows of it. Props: `board` (the own one), `at`, `item` (the
   * question that is on); emits `move`, and `go` to a question of one's paper. */
  own?: () => Promise<Component>
  /** One gets from one question to the other by it. */
  leads?: boolean
  /** Questions are answered on one's own board, by moves. Its props are then also `question` (what is asked),
   * `disabled` (it takes nothing just now), `speak` (says a part of it) and `names` (of who sit at the device). */
  answers?: boolean
}

/** What a game brings for the teacher who chooses and runs it. */
export interface GameDeskViews {
  /** What it is called, and what it is, in a line. */
  label: () => string
  hint: () => string
  /** What a teacher chooses for it. Model: its settings; `settings`, where it needs them: all of the session's. `plan` is
   * what would come of them. `alone`: it is for each by themselves, as set work, so nothing is asked that wants
   * others. */
  settings: () => Promise<Component>
  /** What the desk sees of it, and does in it. Props: `board`, `view` (the desk's), `desk`. */
  desk?: () => Promise<Component>
}
