import { MAX_LINE_GRAMS } from '../recipe/vocabulary'
import { foodIs } from '../food/groups'
import type { Foods } from '../food/food'
import { boiledPerGram, isBoiledSoft } from './boiledWeight'
import type { Draft } from './drafts'
import { normaliseName } from './match'
import type { Clause } from './method'
import { readPrecooking } from './precooking'

const WET_WAYS: ReadonlySet<string> = new Set(['boil', 'simmer', 'steam'])
const SOAKS = /\b(?:soak|hydrat|rehydrat)/i

/**
 * "Pressure cook the dal": what was weighed dry goes in with the water it has taken up. The water that the same part
 * lists counts towards it; a line that says it is soaked has its own already.
 */
export function takeUpWater(draft: Draft, clauses: readonly Clause[], foods: Foods): void {
  if (draft.kind === 'shell' || draft.kind === 'pan') return
  const dry = draft.lines.filter(
    ({ food, line }) =>
      food &&
      (isBoiledSoft(food) || (food.state === 'dried' && food.unitGrams.soaked)) &&
      line.grams &&
      line.waterChangeGrams === 0,
  )
  if (!dry.length) return
  const { cookedBy, byLine } = readPrecooking(draft, clauses)
  let listed = draft.lines.reduce(
    (sum, { food, line }) => sum + (foodIs(food, 'pours') ? (line.grams ?? 0) : 0),
    0,
  )
  for (const item of dry) {
    const { line } = item
    const food = item.food!
    const way = byLine.get(item) ?? cookedBy
    // "Soak the mushrooms", whatever they are called in the list.
    const words = [
      ...normaliseName(item.read.name).split(' '),
      ...(food.group === 'mushroom' ? ['mushroom', 'mushrooms'] : []),
    ]
    const soaked = clauses.some(({ text }) => {
      const at = SOAKS.exec(text)
      if (!at) return false
      const plain = normaliseName(text).split(' ')
      return words.some((word) => word.length > 2 && plain.includes(word))
    })
    const boiled = food.state === 'dry' && way !== null && WET_WAYS.has(way)
    const factor = boiled ? boiledPerGram(food, foods) : soaked ? food.unitGrams.soaked : null
    if (!factor) continue
    const wanted = line.grams! * (factor - 1)
    const own = Math.min(wanted, listed)
    listed -= own
    if (wanted - own < 1) continue
    line.waterChangeGrams = Math.min(wanted - own, MAX_LINE_GRAMS)
    line.notes.push({
      code: 'soaked',
      level: 'note',
      text: `Weighed dry: ${boiled ? 'boiled' : 'soaked'} by the method it takes up about ${Math.round(line.waterChangeGrams)} g of water`,
    })
  }
}
