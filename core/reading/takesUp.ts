import { foodIs } from '../food/groups'
import type { Food, Foods } from '../food/food'
import type { Draft } from './drafts'
import { matchFood, normaliseName } from './match'
import type { Clause } from './method'
import { readPrecooking } from './precooking'

/** Dry foods that are boiled soft in water which nobody lists. */
const TAKES_UP: ReadonlySet<string> = new Set(['pulse', 'starch', 'noodle', 'textured-protein'])
const WET_WAYS: ReadonlySet<string> = new Set(['boil', 'simmer', 'steam'])
const solids = (food: Food) => 100 - food.per100g.waterG

/** Grams that one gram of a dry food weighs once it is boiled: its solids against those of the boiled food. */
function boiledPerGram(food: Food, foods: Foods): number | null {
  const boiled = matchFood(`cooked ${food.name.split(',')[0]!}`, foods)
  if (boiled?.how !== 'exact' || boiled.food.state !== 'cooked' || boiled.food.group !== food.group)
    return null
  const factor = solids(food) / solids(boiled.food)
  return factor > 1.2 ? factor : null
}

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
      ((food.state === 'dry' && TAKES_UP.has(food.group)) ||
        (food.state === 'dried' && food.unitGrams.soaked)) &&
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
    const words = normaliseName(item.read.name).split(' ')
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
    line.waterChangeGrams = wanted - own
    line.notes.push({
      code: 'soaked',
      level: 'note',
      text: `Weighed dry: ${boiled ? 'boiled' : 'soaked'} by the method it takes up about ${Math.round(line.waterChangeGrams)} g of water`,
    })
  }
}
