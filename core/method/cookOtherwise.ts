import type { Evaluation } from '../evaluation/evaluate'
import { EU_FACTORS_KCAL_PER_G } from '../food/energy'
import type { Foods } from '../food/food'
import { bodyOfPiece, surfaceCm2 } from '../piece/geometry'
import type { Line, Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import type { CookingWay, PartKind } from '../recipe/vocabulary'
import { printLine } from '../recipe/printLine'
import { NO_SWAP, type Change } from '../substitution/applySwap'

interface Instead {
  way: CookingWay
  temperatureC: number | null
  /** For a piece of 40 g raw, and for each gram more. */
  minutes: { of40g: number; perGram: number }
  /** Fat brushed on, in grams per cm² of the piece: about a teaspoon on four small turnovers. */
  brushedGPerCm2: number
  how: string
}

const BAKED: Instead = {
  way: 'bake',
  temperatureC: 190,
  minutes: { of40g: 18, perGram: 0.15 },
  brushedGPerCm2: 0.01,
  how: 'brushed on all sides, on a lined tray, turned once; drier and paler than fried',
}

/** What a piece can be cooked by when the fat of its pan is too much. Common practice, no source. */
const INSTEAD: Partial<Record<CookingWay, Instead>> = {
  'deep-fry': BAKED,
  'shallow-fry': BAKED,
  'brown-and-steam': {
    way: 'steam',
    temperatureC: null,
    minutes: { of40g: 12, perGram: 0.1 },
    brushedGPerCm2: 0.002,
    how: 'on a lightly oiled rack; without the brown underside',
  },
}

/** Ways of cooking that a recipe may have given up. */
export const GIVEN_UP = Object.keys(INSTEAD) as CookingWay[]

/** Fat from the pan below this share of the energy is not worth another way of cooking. Our own choice. */
const MIN_ENERGY_SHARE = 0.05
const MAX_INSTEAD_MINUTES = 40

export interface CookedOtherwise {
  recipe: Recipe
  change: Change
}

/**
 * The recipe cooked with less fat: baked or steamed instead of fried, with what it is brushed with in place of
 * the pan's fat.
 *
 * @param evaluation of the recipe as it is
 * @returns null where it is not fried, or the pan brings next to nothing
 */
export function cookOtherwise(recipe: Recipe, evaluation: Evaluation, foods: Foods): CookedOtherwise | null {
  const instead = INSTEAD[recipe.cooking.way]
  const fats = allLines(recipe).flatMap(({ part, line }) => {
    const food = part.kind === 'pan' && line.foodId !== null ? foods.get(line.foodId) : undefined
    return food?.softeningFat && line.grams ? [{ line, food, grams: line.grams }] : []
  })
  const main = fats.sort((a, b) => b.grams - a.grams)[0]
  if (!instead || !main) return null
  const ids = new Set(fats.map((one) => one.line.id))
  const takenGrams = evaluation.working.lines
    .filter((one) => ids.has(one.lineId))
    .reduce((sum, one) => sum + one.foodGrams, 0)
  const batchKcal = evaluation.perPiece.energyKcal * evaluation.pieces
  if (takenGrams * EU_FACTORS_KCAL_PER_G.fat < MIN_ENERGY_SHARE * batchKcal) return null

  const gramsOf = (kind: PartKind) =>
    evaluation.parts.filter((one) => one.kind === kind).reduce((sum, one) => sum + one.grams, 0)
  const dough = gramsOf('shell') / recipe.pieces
  const filling = gramsOf('filling') / recipe.pieces
  const rawGrams = dough + filling
  const surface = surfaceCm2(bodyOfPiece(recipe.shape, dough, filling))
  const brushed = instead.brushedGPerCm2 * surface * recipe.pieces
  const grams = Math.round(10 * Math.min(brushed, takenGrams)) / 10
  const { of40g, perGram } = instead.minutes
  const minutes = Math.min(MAX_INSTEAD_MINUTES, Math.round(of40g + perGram * Math.max(0, rawGrams - 40)))
  const heat = instead.temperatureC === null ? '' : ` at ${instead.temperatureC} °C`
  const to = `${instead.way}${heat} for about ${minutes} min`
  const why = `${Math.round(grams)} g of fat instead of ${Math.round(takenGrams)} g taken up from the pan: ${instead.how}`
  const brush: Line = {
    ...main.line,
    grams,
    gramsLow: grams,
    gramsHigh: grams,
    eatenGrams: null,
    notes: [],
    cameFrom: main.line.cameFrom ?? {
      raw: main.line.raw,
      foodId: main.line.foodId,
      name: main.food.name,
      grams: main.line.grams,
      why,
      swapId: 'cooking',
    },
  }
  brush.raw = printLine(brush, main.food)
  return {
    recipe: {
      ...recipe,
      cooking: {
        way: instead.way,
        temperatureC: instead.temperatureC,
        minutes,
        heat: null,
        fan: false,
        andThen: null,
        cookedGramsPerPiece: null,
      },
      parts: recipe.parts.map((part) => ({
        ...part,
        lines: part.lines.flatMap((line) =>
          line.id === main.line.id ? [brush] : ids.has(line.id) ? [] : [line],
        ),
      })),
      notes: [
        ...recipe.notes.filter((note) => note.code !== 'cooking'),
        {
          code: 'cooking',
          level: 'note',
          text: `Instead of ${recipe.cooking.way}: ${to}, ${instead.how} (common practice, no source)`,
        },
      ],
    },
    change: {
      kind: 'cooking',
      line: main.line.raw,
      lineId: main.line.id,
      part: 'pan',
      from: recipe.cooking.way,
      to,
      gramsBefore: takenGrams,
      gramsAfter: grams,
      why,
      ...NO_SWAP,
      rolesLost: ['browning'],
      swapId: 'cooking',
      source: 'common practice, no source',
    },
  }
}
