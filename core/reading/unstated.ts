import type { Food } from '../food/food'
import type { MeasuredBy } from '../recipe/vocabulary'
import type { Measure } from './measures'
import type { ReadLine } from './readLine'

// What a line weighs of which nobody says how much.

/** How far a reading can be trusted: a note says what was assumed, a check asks the cook to look. */
export type NoteLevel = 'note' | 'check'
export interface Note {
  code: string
  level: NoteLevel
  text: string
}

export interface Weighed {
  /** Best estimate; null when the line states no amount that can be weighed. */
  grams: number | null
  gramsLow: number | null
  gramsHigh: number | null
  /** Water taken up (soaking) or lost (squeezing) before it goes in; the nutrients stay. */
  waterChangeGrams: number
  measuredBy: MeasuredBy
  notes: Note[]
}

/** Grams as they are said: whole ones from a hundred on, tenths below. */
export const round = (grams: number) => (grams >= 100 ? Math.round(grams) : Math.round(grams * 10) / 10)
export const check = (code: string, text: string): Note => ({ code, level: 'check', text })

/** A measure as it is said: "2 tbsp". */
export const describe = (measure: Measure) =>
  measure
    .map((term) => {
      const amount = term.low === term.high ? `${round(term.low)}` : `${round(term.low)}–${round(term.high)}`
      return `${amount}${term.unitId ? ` ${term.unitId}` : ''}`
    })
    .join(' ')

/**
 * Weights assumed when a line states none, in grams: "to taste" is never nothing. Common practice, no source.
 */
const UNSTATED_GRAMS: Readonly<Record<string, number>> = {
  salt: 4,
  'black-pepper': 1,
  'oil-spray': 4,
  'butter-spray': 4,
  'sunflower-oil': 15,
  'tomato-puree': 15,
  'lemon-juice': 15,
  'lemon-zest': 3,
  ginger: 10,
  garlic: 10,
  'green-chilli': 5,
  marinara: 15,
  'ginger-garlic-paste': 15,
  water: 30,
  egg: 50,
  'egg-yolk': 17,
  'spring-onion': 10,
  'egg-white': 33,
  lettuce: 40,
  rocket: 20,
}
const UNSTATED_BY_GROUP: Readonly<Record<string, number>> = {
  spice: 1,
  salt: 4,
  seasoning: 2,
  herb: 5,
  oil: 15,
  'solid-fat': 15,
  milk: 15,
  'plant-milk': 15,
  egg: 25,
  sweetener: 5,
  polyol: 5,
  flour: 10,
  starch: 10,
  seed: 5,
  sauce: 15,
  liquid: 15,
  alcohol: 15,
  cream: 15,
  'plant-cream': 15,
  yogurt: 15,
  'plant-yogurt': 15,
  'melting-cheese': 30,
  'hard-cheese': 10,
  nut: 10,
  bread: 10,
  'dried-fruit': 10,
}

/** Oil in a frying pot when the line says only "for deep frying". Common practice, no source. */
export const FRYING_POT_GRAMS = 1000

/** "A few" of what nobody counts, raisins or seeds, in grams. Common practice, no source. */
const A_FEW_GRAMS = 10
/** "A few strands of saffron". */
const A_FEW_SPICE_GRAMS = 0.3
/** "A few", before or behind the name. */
export const A_FEW = /^\W*(?:a )?few\b|\bfew\W*(?:,|\(|$)/i

/** What is told by its size and not by its number. */
const ONE_OF_A_SIZE = /^\W*(?:very )?(small|medium|med|large|big)(?:[- ]sized?)? /i
const SIZE_NAMED: Readonly<Record<string, string>> = { med: 'medium', big: 'large' }
/** Nobody can say how heavy it is. */
const unknown = (note: Note): Weighed => ({
  grams: null,
  gramsLow: null,
  gramsHigh: null,
  waterChangeGrams: 0,
  measuredBy: 'scale',
  notes: [note],
})
/** A usual weight, between half of it and twice as much. */
const assumed = (grams: number, measuredBy: MeasuredBy, note: Note): Weighed => ({
  grams,
  gramsLow: grams / 2,
  gramsHigh: grams * 2,
  waterChangeGrams: 0,
  measuredBy,
  notes: [note],
})

/**
 * The usual weight of what has no amount: "to taste", "as required", "a few"; null grams where none is usual.
 *
 * @param read the line taken apart, without a measure that can be weighed
 */
export function unstated(read: ReadLine, food: Food): Weighed {
  if (read.measures.length && A_FEW.test(read.raw)) {
    const few = food.group === 'spice' ? A_FEW_SPICE_GRAMS : A_FEW_GRAMS
    return assumed(few, 'about', check('no-amount', `"A few": ${few} g of ${food.name} is assumed`))
  }
  if (read.measures.length) {
    const words = read.measures.map(describe).join(' / ')
    return unknown(
      check('no-unit-weight', `How heavy "${words}" of ${food.name} is, is not known here. Type the grams`),
    )
  }
  // "Small potato, diced": one of them.
  const size = ONE_OF_A_SIZE.exec(read.raw)?.[1]?.toLowerCase()
  const one = size && (food.unitGrams[SIZE_NAMED[size] ?? size] ?? food.unitGrams.piece)
  if (one && !/s$/i.test(read.name))
    return assumed(one, 'about', check('no-amount', `One ${size} ${food.name} is assumed: ${one} g`))
  const frying = read.purpose === 'pan' && food.softeningFat !== null && /deep/i.test(read.raw)
  const grams = frying ? FRYING_POT_GRAMS : (UNSTATED_GRAMS[food.id] ?? UNSTATED_BY_GROUP[food.group] ?? null)
  if (grams === null)
    return unknown(check('no-amount', `No amount is given for ${food.name}. Type the grams`))
  const why = read.unmeasured ?? 'no amount is given'
  return assumed(
    grams,
    'scale',
    check(
      read.unmeasured ? read.unmeasured.replace(' ', '-') : 'no-amount',
      `${why[0]!.toUpperCase()}${why.slice(1)}: ${grams} g of ${food.name} is assumed`,
    ),
  )
}
