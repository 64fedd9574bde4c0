/** What a game brings to the front end. */
import type { Component } from 'vue'

export interface GameViews {
  /** What a teacher chooses for it. Model: its settings. */
  settings: () => Promise<Component>
}
