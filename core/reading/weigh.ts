import { lessSure, type MeasuredBy } from '../recipe/vocabulary'
import { foodIs, isFlour } from '../food/groups'
import { withGrams } from './bareGrams'
import { inPortions, inPairs } from './countedAs'
import { HEAP_FACTOR, isMass, type Measure, type Term } from './measures'
import type { ReadLine } from './readLine'
import { FALLBACK_UNIT_GRAMS, unitById } from './units'
import type { Food } from '../food/food'
import { A_FEW, check, describe, round, unstated, type Note, type Weighed } from './unstated'

/**
 * Spread of a cup of flour: 120 g when spooned in, 145 g when scooped. Common practice, no source.
 */
const FLOUR_CUP_SPREAD = { low: 0.96, high: 1.16 }

/** Dual amounts that differ by more than this are reported. */
const DUAL_TOLERANCE = 0.15

const IN_SHELL_OR_ON_BONE =
  /\b(?:in (?:the |their )?shells?|shell[- ]on|bone[- ]in|on the bone|with (?:the |its )?bones?)\b/
const UNPEELED = /\b(?:unpeeled|with skin|skin on|before peeling|untrimmed)\b/

/** A dash of milk is poured, a dash of pepper shaken. Common practice, no source. */
const DASH_POURED_GRAMS = 5

/** A cube of cheese to put into a piece, about 2 cm wide. Common practice, no source. */
const CHEESE_CUBE_GRAMS = 10

const METRIC_VOLUMES = new Set(['ml', 'cl', 'dl', 'l'])
const note = (code: string, text: string): Note => ({ code, level: 'note', text })

interface TermGrams {
  low: number
  high: number
  measuredBy: MeasuredBy
  notes: Note[]
}

function unitGramsOf(term: Term, food: Food, standInUnit: string | null): TermGrams | null {
  const id = term.unitId ?? 'piece'
  const sized = term.size && food.unitGrams[term.size]
  const own = food.unitGrams[id]
  const bare =
    id === 'piece' ? (food.unitGrams.piece ?? food.unitGrams.medium ?? food.unitGrams.clove) : undefined
  const sizeFactor = term.size === 'small' ? 0.7 : term.size === 'large' ? 1.35 : 1
  const each =
    (id === 'piece' || id === 'head' || id === 'stalk' ? sized : undefined) ??
    own ??
    bare ??
    (id === 'cube' && foodIs(food, 'cheese') ? CHEESE_CUBE_GRAMS : undefined) ??
    (id === 'dash' && (foodIs(food, 'pours') || /cream$/.test(food.group)) ? DASH_POURED_GRAMS : undefined) ??
    FALLBACK_UNIT_GRAMS[id]
  if (each === undefined) {
    // A stick of celery is a stalk; a stick of butter has its own weight.
    const synonym = {
      stick: 'stalk',
      knob: 'tbsp',
      thumb: 'inch',
      jar: 'can',
      block: 'packet',
      sachet: 'packet',
    }[id]
    return synonym && !standInUnit ? unitGramsOf({ ...term, unitId: synonym }, food, id) : null
  }
  // A large wrapper is of the usual size: what is bought in sheets is sold as large or small.
  const isSheet = id === 'piece' && (foodIs(food, 'bought-dough') || food.group === 'bread')
  const factor = (sized && id !== 'leaf') || isSheet || (!own && id !== 'piece') ? 1 : sizeFactor
  const size = term.size ? `${term.size} ` : ''
  const grams = round(each * factor)
  const text = term.unitId
    ? `One ${size}${standInUnit ?? term.unitId} of ${food.name} is taken as ${grams} g`
    : `${food.name}: ${grams} g for ${size ? `a ${size}one` : 'each'}`
  return {
    low: term.low * each * factor,
    high: term.high * each * factor,
    measuredBy: 'count',
    notes: [note('unit-weight', text)],
  }
}

function volumeGrams(term: Term, food: Food): TermGrams {
  const unit = unitById(term.unitId!)
  const ml = unit.factor
  // The table's own spoon or cup weight, else the nearest of them in proportion, else the density.
  const cup = food.unitGrams.cup
  const tableUnit = unit.id === 'metric-cup' ? undefined : food.unitGrams[unit.id]
  const small = ml <= 15 ? (food.unitGrams.tbsp ?? food.unitGrams.tsp) : undefined
  const smallMl = food.unitGrams.tbsp ? 15 : 5
  const each =
    tableUnit ??
    (small !== undefined
      ? (small * ml) / smallMl
      : cup !== undefined && food.per100g.waterG < 85
        ? (cup * ml) / 240
        : food.gramsPerMl * ml)
  const heap = term.heap ? HEAP_FACTOR[term.heap] : 1
  // A jug is as sure as a scale where a millilitre weighs a gram; a cup of flour has its own wide band.
  let measuredBy: MeasuredBy = 'scale'
  const notes: Note[] = []
  let low = term.low * each * heap
  let high = term.high * each * heap
  if (isFlour(food) && food.group !== 'fibre' && ml >= 100) {
    notes.push(
      check(
        'flour-volume',
        `A cup of ${food.name} is ${round(each * FLOUR_CUP_SPREAD.low)} g spooned in and ${round(each * FLOUR_CUP_SPREAD.high)} g scooped; ${round(each)} g is used. Weigh it if you can`,
      ),
    )
    low *= FLOUR_CUP_SPREAD.low
    high *= FLOUR_CUP_SPREAD.high
  } else if (!METRIC_VOLUMES.has(unit.id) || Math.abs(food.gramsPerMl - 1) > 0.05) {
    measuredBy = 'volume'
    notes.push(note('volume', `One ${unit.names[0]} of ${food.name} is taken as ${round(each)} g`))
  }
  if (term.heap && heap !== 1) {
    measuredBy = 'volume'
    notes.push(note('heap', `${term.heap} counts ${heap} × a level measure`))
  }
  return { low, high, measuredBy, notes }
}

function termGrams(term: Term, food: Food): TermGrams | null {
  const unit = term.unitId ? unitById(term.unitId) : null
  if (unit?.kind === 'mass')
    return { low: term.low * unit.factor, high: term.high * unit.factor, measuredBy: 'scale', notes: [] }
  if (unit?.kind === 'volume') return volumeGrams(term, food)
  return unitGramsOf(term, food, null)
}

interface MeasureGrams extends TermGrams {
  grams: number
}

function measureGrams(measure: Measure, food: Food): MeasureGrams | null {
  let low = 0
  let high = 0
  let grams = 0
  let measuredBy: MeasuredBy = 'scale'
  const notes: Note[] = []
  for (const term of measure) {
    const made = termGrams(term, food)
    if (!made) return null
    low += made.low
    high += made.high
    measuredBy = lessSure(measuredBy, made.measuredBy)
    const spreadOnly = term.low === term.high && made.low !== made.high
    grams += spreadOnly ? made.low / FLOUR_CUP_SPREAD.low : (made.low + made.high) / 2
    if (!spreadOnly && term.low !== term.high) {
      const middle = (made.low + made.high) / 2
      notes.push(
        note(
          'range',
          `Between ${round(made.low)} and ${round(made.high)} g: the middle, ${round(middle)} g, is used`,
        ),
      )
    }
    notes.push(...made.notes)
  }
  return { low, high, grams, measuredBy, notes }
}

/** A cup of a mashed root: USDA SR Legacy has 210 g for potato to 245 g for pumpkin, from memory. */
const MASHED_CUP_GRAMS = 220
/** A cup of it that weighs less than this is a cup of pieces. */
const CUP_OF_PIECES_GRAMS = 200
const MASHED_GROUPS = /^(?:vegetable|starch)$/

function applyPrep(read: ReadLine, food: Food, weighed: Weighed, measure: Measure): void {
  const byWeight = isMass(measure)
  const isByVolume = measure.every(({ unitId }) => unitId !== null && unitById(unitId).kind === 'volume')
  const words = [...read.prep, read.name].join(' ').toLowerCase()
  const scale = (ratio: number) => {
    weighed.grams = weighed.grams! * ratio
    weighed.gramsLow = weighed.gramsLow! * ratio
    weighed.gramsHigh = weighed.gramsHigh! * ratio
  }
  const u = food.unitGrams
  // "25 spring roll sheets (12.5 cm)": a smaller sheet weighs less, by its surface.
  const widthCm = u.across && isCounted(measure) ? widthIn(read.raw) : null
  if (u.across && widthCm !== null && Math.abs(widthCm / u.across - 1) > SAME_WIDTH) {
    scale((widthCm / u.across) ** 2)
    weighed.notes.push(
      check(
        'unit-weight',
        `One of ${round(u.across)} cm is taken as ${u.piece!} g, one of ${round(widthCm)} cm by its surface: ${round(weighed.grams!)} g in all`,
      ),
    )
  }
  const fromContainer = read.prep.includes('from a container')
  // A pouch of what is cooked ready has nothing to drain.
  if (
    u.drained &&
    fromContainer &&
    !/\bdrained weight|\bpouch|\bsachet|\bvac(?:uum)?[- ]?pack|\bpack(?:et)?s?\b|ready[- ]cooked|\bundrained|with (?:its|their) (?:juice|liquid)/i.test(
      `${words} ${read.raw}`,
    )
  ) {
    if (/drained|rinsed/.test(words)) {
      scale(u.drained)
      weighed.notes.push(
        note(
          'drained',
          `Drained: ${Math.round(u.drained * 100)} % of the stated weight, ${round(weighed.grams!)} g`,
        ),
      )
    } else if (food.group === 'pulse' || food.group === 'fish' || /\bdrained\b/.test(food.name)) {
      scale(u.drained)
      weighed.notes.push(
        check(
          'drained',
          `Taken as drained: ${Math.round(u.drained * 100)} % of the stated weight, ${round(weighed.grams!)} g`,
        ),
      )
    }
  }
  // Meat is eaten with its skin, and without its bones.
  const isMeat = /^(?:meat|poultry)$/.test(food.group)
  if ((IN_SHELL_OR_ON_BONE.test(words) || (!isMeat && UNPEELED.test(words))) && u.edible) {
    scale(u.edible)
    weighed.notes.push(
      note('edible', `${Math.round(u.edible * 100)} % of it is eaten: ${round(weighed.grams!)} g`),
    )
  } else if (
    byWeight &&
    u.edible &&
    !isMeat &&
    read.prep.some((word) => /^(?:peeled|trimmed|shelled|stoned|cored)/i.test(word))
  ) {
    weighed.gramsLow = weighed.gramsLow! * u.edible
    weighed.notes.push(
      check(
        'peeled',
        `Taken as weighed after peeling. Weighed before, it would be about ${round(weighed.grams! * u.edible)} g`,
      ),
    )
  }
  const mashedCup = /\b(?:mashed|pur[eé]ed)\b/.test(words) && MASHED_GROUPS.test(food.group) && !byWeight
  if (mashedCup && (u.cup ?? 0) > 100 && u.cup! < CUP_OF_PIECES_GRAMS && isByVolume) {
    scale(MASHED_CUP_GRAMS / u.cup!)
    weighed.notes.push(
      note('packed', `Mashed: a cup of it is taken as ${MASHED_CUP_GRAMS} g, ${round(weighed.grams!)} g`),
    )
  }
  if (/\bpacked\b/.test(words) && !byWeight && u.packed) {
    scale(u.packed)
    weighed.notes.push(note('packed', `Packed: ${u.packed} × a loose measure, ${round(weighed.grams!)} g`))
  }
  if (/\b(?:squeezed|pressed|wrung|squeeze|press)\b/.test(words) && u.squeezed && weighed.grams) {
    weighed.waterChangeGrams = -weighed.grams * (1 - u.squeezed)
    weighed.notes.push(
      note('squeezed', `Squeezing is taken to press out ${round(-weighed.waterChangeGrams)} g of water`),
    )
  } else if (
    /\b(?:drained|drain)\b/.test(words) &&
    /\bfrozen\b/i.test(read.raw) &&
    u.squeezed &&
    weighed.grams
  ) {
    weighed.waterChangeGrams = (-weighed.grams * (1 - u.squeezed)) / 2
    weighed.notes.push(
      check(
        'squeezed',
        `Thawed and drained, not squeezed: half of what squeezing presses out, ${round(-weighed.waterChangeGrams)} g of water`,
      ),
    )
  }
  // A leek is weighed without its dark green anyway.
  const isHalfOf = food.id === 'spring-onion' || (food.id === 'leek' && !/\bwhite/.test(words))
  if (isHalfOf && ONE_COLOUR.test(words) && !byWeight) {
    scale(PART_OF_STALK)
    weighed.notes.push(
      check('part-only', `One part of the stalk is taken as half of it, ${round(weighed.grams!)} g`),
    )
  }
  const soaks =
    SOAKED_WEIGHT.test(words) ||
    /\b(?:soaked|rehydrated|soak|hydrated)\b/.test(words) ||
    (/^(?:textured-protein|noodle)$/.test(food.group) && /\b(?:boil(?:ed)?|cooked)\b/.test(words))
  if (soaks && u.soaked && weighed.grams) {
    if (SOAKED_WEIGHT.test(words)) {
      const stated = weighed.grams
      scale(1 / u.soaked)
      weighed.waterChangeGrams = stated - weighed.grams
      weighed.notes.push(
        note(
          'soaked',
          `Weighed once soaked: ${round(weighed.grams)} g dry and about ${round(weighed.waterChangeGrams)} g of water`,
        ),
      )
      return
    }
    weighed.waterChangeGrams = weighed.grams * (u.soaked - 1)
    weighed.notes.push(
      check(
        'soaked',
        `Read as the dry weight; soaking adds about ${round(weighed.waterChangeGrams)} g of water`,
      ),
    )
  }
}
/** "4 spring onions, green parts only". */
const ONE_COLOUR = /\b(?:greens?|whites?|dark green|pale green)(?: (?:parts?|tops?|bits?|ends?))? only\b/
/** White and green weigh about the same. Common practice, no source. */
const PART_OF_STALK = 0.5
/** "60 g glass noodles, soaked (weight after soaking)". */
export const SOAKED_WEIGHT =
  /\b(?:weight|weighed|wt)(?: (?:is|when|once|after|already|of))+ (?:soak|re-?hydrat|hydrat)|\b(?:soaked|rehydrated|hydrated) (?:wt|weight)\b/

/**
 * Turns a line that has been read into grams of a food.
 *
 * A stated weight wins over a volume or a count; when two statements differ by more than 15 % that is said.
 * "To taste" and "as required" get a marked assumption. Preparation changes the weight where it matters.
 *
 * @param read the line taken apart
 * @param food the food it means
 * @returns grams as it goes into the bowl, with the low and high end and a note for every assumption
 */
export function weighLine(stated: ReadLine, food: Food): Weighed {
  const named = inPairs(inPortions(stated, food), food)
  const read = withGrams(named, food)
  const made = read.measures
    .map((measure) => ({ measure, grams: measureGrams(measure, food) }))
    .filter((entry): entry is { measure: Measure; grams: MeasureGrams } => entry.grams !== null)

  // Nobody counts out three raisins; "a few basil leaves" are what they say.
  const areLeaves = food.group === 'herb' && /\bleaves\b/i.test(read.raw)
  const tiny = (food.unitGrams.piece ?? 1) < 1 && A_FEW.test(read.raw) && !areLeaves
  if (!made.length || tiny) return unstated(read, food)

  // "1/2 pt / 300 ml": a pint is not the same everywhere, a millilitre is.
  const metric = made.find(({ measure }) => measure.every(({ unitId }) => unitId === 'ml' || unitId === 'l'))
  // "1 packet wrappers (40)": so many are surer than what a packet weighs. Sheets of pastry are cut in many sizes.
  const counted =
    food.group === 'wrapper' && isPacket(made[0]!.measure)
      ? made.find(({ measure }) => isCounted(measure))
      : undefined
  const chosen = made.find((entry) => isMass(entry.measure)) ?? metric ?? counted ?? made[0]!
  const notes = [...chosen.grams.notes]
  for (const other of made) {
    if (other === chosen) continue
    const difference =
      Math.abs(other.grams.grams - chosen.grams.grams) /
      Math.max(Math.min(other.grams.grams, chosen.grams.grams), 0.01)
    // A can and its weight are one statement, not two.
    const isCount = other.measure.every((term) => !term.unitId || unitById(term.unitId).kind === 'count')
    if (difference <= DUAL_TOLERANCE || isCount) continue
    notes.push(
      check(
        'dual-disagrees',
        `${describe(other.measure)} would be ${round(other.grams.grams)} g, ${Math.round(difference * 100)} % away from the ${describe(chosen.measure)} stated; ${round(chosen.grams.grams)} g is used`,
      ),
    )
  }
  if (read !== named)
    notes.push(check('bare-number', `No unit is written: ${describe(stated.measures[0]!)} is taken as grams`))
  if (read.approximate) notes.push(note('approximate', 'The line says "about"'))
  const weighed: Weighed = {
    grams: chosen.grams.grams,
    gramsLow: chosen.grams.low,
    gramsHigh: chosen.grams.high,
    waterChangeGrams: 0,
    measuredBy: lessSure(chosen.grams.measuredBy, read.approximate ? 'about' : 'scale'),
    notes,
  }
  const more = read.upTo && measureGrams(read.upTo, food)
  if (more) {
    weighed.gramsHigh = weighed.gramsHigh! + more.high
    notes.push(note('up-to', `Up to ${round(more.high)} g more may go in`))
  }
  if (chosen.measure.some((term) => term.unitId === 'part'))
    notes.push(check('ratio', 'Given in parts: one part is taken as a tablespoon. Type the grams'))
  applyPrep(read, food, weighed, chosen.measure)
  return weighed
}

/** Nobody measures a wrapper closer. Our own choice. */
const SAME_WIDTH = 0.1
const WIDTH = /(?<![\d.])(\d{1,2}(?:[.,]\d)?)\s*-?\s*(cm|inch(?:es)?|in\b|["”″])/i
/** The width in cm that a line states of a sheet; null where it states none that a sheet may have. */
function widthIn(raw: string): number | null {
  const found = WIDTH.exec(raw)
  const cm = found && Number(found[1]!.replace(',', '.')) * (/cm/i.test(found[2]!) ? 1 : 2.54)
  return cm && cm >= 5 && cm <= 40 ? cm : null
}

const isPacket = (measure: Measure) => measure.every(({ unitId }) => unitId === 'packet')
const isCounted = (measure: Measure) => measure.every(({ unitId }) => unitId === null || unitId === 'piece')
