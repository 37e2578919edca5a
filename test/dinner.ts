import type { Dinner } from '../core/planning/dinner'
import { USUAL_EQUIPMENT, type Dish } from '../core/planning/tasks'

export const ME = { name: 'Me', from: null, does: 'everything' } as const

/** A dinner of one cook in a usual kitchen at 26 °C, where nothing else is said. */
export const dinnerOf = (dishes: readonly Dish[], more: Partial<Dinner> = {}): Dinner => ({
  dishes,
  people: [ME],
  equipment: USUAL_EQUIPMENT,
  roomC: 26,
  burnerW: 2000,
  availableMinutes: null,
  night: null,
  keepApart: false,
  edits: {},
  begun: {},
  now: null,
  givenUp: [],
  ...more,
})
