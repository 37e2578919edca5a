import { feelOf } from '../dough/assess'
import { CLASS_LIMITS } from '../dough/softness'
import { NUTRIENT_TABLE, NUTRIENTS, type Nutrient } from '../food/nutrients'
import type { Batch, Contribution, Uncounted } from '../nutrition/contributions'
import type { Figures } from '../nutrition/figures'

export interface FigureWorking {
  formula: string
  source: string
  /** What the whole batch holds: the sum over the lines, which pieces and servings share. */
  batch: number
}

/**
 * How every figure came about: what each line brought, the formula, the batch total it was shared from, and
 * the sources. A figure's arithmetic is the column of that nutrient over `lines`.
 */
export interface Working {
  basis: string
  pieces: number
  servings: number
  lines: Contribution[]
  uncounted: Uncounted[]
  figures: Record<Nutrient, FigureWorking>
  dough: {
    formula: string
    source: string
    freeWaterGrams: number
    fatShareGrams: number
    waterDemandGrams: number
    softness: number | null
    classes: string
    feel: string
  }
}

const CLASSES = `${CLASS_LIMITS.map(([name, limit]) => `${name} below ${limit.toFixed(2)}`).join(', ')}, batter above`

/** Writes down the working of an evaluation. */
export function workingOf(batch: Batch, totals: Figures, pieces: number, servings: number): Working {
  const figures = {} as Record<Nutrient, FigureWorking>
  for (const key of NUTRIENTS) {
    const { formula, source } = NUTRIENT_TABLE[key]
    figures[key] = {
      formula,
      source,
      batch: totals[key],
    }
  }
  const { dough } = batch
  let freeWaterGrams = 0
  let fatShareGrams = 0
  let waterDemandGrams = 0
  for (const share of dough.shares) {
    freeWaterGrams += share.freeWaterGrams
    fatShareGrams += share.fatShareGrams
    waterDemandGrams += share.waterDemandGrams
  }
  return {
    basis:
      'Nutrients of the raw lines as far as they are eaten; 100 g are of the cooked piece. Pan fat counts as far as it is taken up',
    pieces,
    servings,
    lines: batch.contributions,
    uncounted: batch.uncounted,
    figures,
    dough: {
      formula: '(free water + fat share) ÷ what the flours drink',
      source: 'common practice, no source',
      freeWaterGrams,
      fatShareGrams,
      waterDemandGrams,
      softness: dough.softness,
      classes: CLASSES,
      feel: dough.consistency ? feelOf(dough.consistency) : '',
    },
  }
}
