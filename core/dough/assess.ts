import { waterOfAmount } from '../food/amount'
import { foodIs, isFlour } from '../food/groups'
import type { Line } from '../recipe/document'
import { consistencyOf, softnessOf, softnessTerms, type Consistency, type SoftnessTerms } from './softness'
import type { FoodAmount } from '../food/amount'

export interface DoughLine extends FoodAmount {
  line: Line
}

export interface DoughShare extends SoftnessTerms {
  lineId: string
  name: string
  grams: number
  /** Baker's percentage: of the flours' weight, which is 100. */
  bakersPct: number | null
}

export interface DoughFigures {
  grams: number
  gramsPerPiece: number
  flourGrams: number
  /** Bought dough: its maker's business, no baker's percentages here. */
  ready: boolean
  /** Water from every ingredient but the flours' own moisture, in % of flour; null without flour. */
  hydrationPct: number | null
  fatPct: number | null
  saltPct: number | null
  sugarPct: number | null
  wholeGrainPct: number | null
  softness: number | null
  consistency: Consistency | null
  shares: DoughShare[]
  /** Remarks on what cannot be right, or what the figures mean. */
  remarks: string[]
}

const FEEL: Record<Consistency, string> = {
  crumbly: 'too dry to hold: add water by the spoon until it comes together',
  short: 'held together by its fat: press it together, chill it, roll it 2 to 4 mm, do not knead',
  firm: 'springs back and does not stick',
  medium: 'smooth, holds its shape',
  soft: 'yields under a finger; keep flour at hand',
  sticky: 'slack: oil the hands, chill before rolling',
  batter: 'runs: no dough that can be rolled',
}

/** How a dough of a class feels in the hand. */
export const feelOf = (consistency: Consistency): string => FEEL[consistency]

/**
 * Baker's percentages and softness of a dough.
 *
 * @param lines the shell's weighed lines
 * @param pieces for the weight of dough in one piece
 */
export function assessDough(lines: readonly DoughLine[], pieces: number): DoughFigures {
  let grams = 0
  let flourGrams = 0
  let wholeGrams = 0
  let readyGrams = 0
  let wholeReadyGrams = 0
  let water = 0
  let fat = 0
  let salt = 0
  let sugar = 0
  const sum: SoftnessTerms = { freeWaterGrams: 0, fatShareGrams: 0, waterDemandGrams: 0 }
  const shares: DoughShare[] = []
  for (const amount of lines) {
    const { food, line } = amount
    const part = amount.grams / 100
    const own = amount.grams + amount.waterChangeGrams
    grams += own
    if (isFlour(food)) {
      flourGrams += amount.grams
      if (food.grain === 'whole') wholeGrams += amount.grams
    } else water += waterOfAmount(amount)
    if (foodIs(food, 'bought-dough')) {
      readyGrams += own
      if (food.grain === 'whole') wholeReadyGrams += own
    }
    if (!isFlour(food)) {
      fat += part * food.per100g.fatG
      sugar += part * food.per100g.sugarsG
    }
    salt += food.group === 'salt' ? amount.grams : 0
    const terms = softnessTerms(amount)
    sum.freeWaterGrams += terms.freeWaterGrams
    sum.fatShareGrams += terms.fatShareGrams
    sum.waterDemandGrams += terms.waterDemandGrams
    shares.push({ lineId: line.id, name: food.name, grams: own, bakersPct: null, ...terms })
  }
  const ready = readyGrams > grams / 2
  const pct = (value: number) => (ready || flourGrams <= 0 ? null : (100 * value) / flourGrams)
  for (const share of shares) share.bakersPct = pct(share.grams)
  const softness = ready ? null : softnessOf(sum)
  const consistency = softness === null ? null : consistencyOf(softness, pct(fat) ?? 0)
  return {
    grams,
    gramsPerPiece: grams / pieces,
    flourGrams,
    ready,
    hydrationPct: pct(water),
    fatPct: pct(fat),
    saltPct: pct(salt),
    sugarPct: pct(sugar),
    // Of bought dough it is known only whether its flour is whole.
    wholeGrainPct: ready ? (100 * wholeReadyGrams) / readyGrams : pct(wholeGrams),
    softness,
    consistency,
    shares,
    remarks: remarksOn(ready, flourGrams, consistency, pct(salt)),
  }
}

function remarksOn(
  ready: boolean,
  flourGrams: number,
  consistency: Consistency | null,
  saltPct: number | null,
): string[] {
  const remarks: string[] = []
  if (ready) remarks.push('Bought dough: no baker’s percentages, and no softness is reckoned')
  else if (flourGrams <= 0)
    remarks.push('No flour in the dough: check that its lines stand in the right part')
  if (consistency === 'batter') {
    remarks.push(
      'By weight this is a batter. If it was a dough, the flour was surely heaped or the liquid is mistyped',
    )
  }
  if (saltPct !== null && saltPct > 4) {
    remarks.push(
      `Salt is ${saltPct.toFixed(1)} % of the flour; 1.5 to 2.5 % is usual (common practice, no source)`,
    )
  }
  return remarks
}
