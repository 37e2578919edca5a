import { DENSITY_G_PER_ML } from '../piece/geometry'
import { SHAPE_TABLE } from '../piece/shapes'
import type { Recipe } from '../recipe/document'
import { RecipeProblem } from '../recipe/problem'
import type { Shape } from '../recipe/vocabulary'
import { BOARD_SHARE, CUT, cutterFor, type Blank } from './divide'
import { acrossOf, blankAreaMm2 } from './making'
import { show, type PiecePlan } from './pieces'
import { factOf, type Stock } from './stock'

/** Weight, width and thickness that are all given may disagree by so much. Our own choice. */
const AGREE = 0.12
const USUAL_DISH_MM = 40
/** A coil's strip is this wide where nothing is said. Common practice, no source. */
const USUAL_STRIP_MM = 110

/** Weight, thickness and width of a piece's dough: two of them give the third. */
export function blankOf(
  plan: PiecePlan,
  shape: Shape,
  recipe: Recipe | null,
  stock: Stock | null,
  density: number,
): Blank {
  const { method } = plan
  const perBall = method === 'halved-rounds' ? 2 : 1
  const dish = method === 'lined-dish' ? dishFor(plan, stock, plan.pieces ?? recipe?.pieces) : null
  const alongMm = dish?.highMm ?? 0
  // A rim rolled to half its thickness makes the disc lighter by half of that share.
  const gramsPerMm3 = (density / 1000) * (1 - (CUT.has(method) ? 0 : (plan.rimShare ?? 0) / 2))
  const usable = stock ? stock.doughGrams * (1 - BOARD_SHARE) : 0
  let grams = plan.ballGrams === undefined ? undefined : plan.ballGrams / perBall
  let thickness = plan.thicknessMm
  let across = plan.diameterMm
  if (dish && across === undefined && (grams === undefined || thickness === undefined)) across = dish.acrossMm
  // What the text says counts where the cook says nothing, and fits with what the cook says.
  if (grams === undefined && (thickness === undefined || across === undefined))
    across ??= factOf(recipe, 'cutter-cm', 10) ?? factOf(recipe, 'disc-cm', 10)
  if (thickness === undefined && (grams === undefined || across === undefined))
    thickness = factOf(recipe, 'thickness-mm', 1)
  const wanted = plan.pieces ?? recipe?.pieces
  if (grams === undefined && (thickness === undefined || across === undefined)) {
    const ball = factOf(recipe, 'ball-grams', 1)
    if (ball !== undefined) grams = ball / perBall
    else if (usable > 0 && wanted && CUT.has(method) && across === undefined)
      across = cutterFor(plan, wanted, thickness ?? SHAPE_TABLE[shape].rolledMm, stock!.doughGrams, density)
    else if (usable > 0 && wanted && across === undefined) grams = usable / wanted
  }
  if (method === 'rope') {
    across ??= USUAL_STRIP_MM
    thickness ??= SHAPE_TABLE.coil.rolledMm
    // How wide and how thick the text has it says nothing of how long: that is what each gets of the dough.
    if (usable > 0 && wanted) grams ??= usable / wanted
    if (grams === undefined)
      throw new RecipeProblem([{ field: 'plan.ballGrams', message: 'say what the dough of one rope weighs' }])
    return {
      grams,
      thicknessMm: thickness,
      acrossMm: across,
      alongMm: grams / (gramsPerMm3 * across * thickness),
    }
  }
  if (thickness === undefined && (grams === undefined || across === undefined))
    thickness = SHAPE_TABLE[shape].rolledMm
  if (grams === undefined) {
    if (across === undefined)
      throw new RecipeProblem([
        { field: 'plan.diameterMm', message: 'say how wide a piece is cut, or what its dough weighs' },
      ])
    grams = gramsPerMm3 * thickness! * blankAreaMm2(method, across, alongMm)
  } else if (across === undefined) {
    across = acrossOf(method, grams / (gramsPerMm3 * thickness!), alongMm)
  } else if (thickness === undefined) {
    thickness = grams / (gramsPerMm3 * blankAreaMm2(method, across, alongMm))
  } else {
    const by = gramsPerMm3 * thickness * blankAreaMm2(method, across, alongMm)
    if (Math.abs(by - grams) > AGREE * grams)
      throw new RecipeProblem([
        {
          field: 'plan.thicknessMm',
          message: `${show(across)} mm across and ${show(thickness)} mm thick is ${show(by * perBall)} g, not ${show(grams * perBall)}; give two of the three`,
        },
      ])
  }
  return { grams, thicknessMm: thickness!, acrossMm: across!, alongMm }
}

/** A dish is about so high for its width; the rest of its volume is dough and a little room. Common practice, no source. */
const DISH_HIGH = 0.4
const DISH_FULL = 0.55
/** No dish is smaller. */
const MIN_DISH_MM = { across: 20, high: 8 } as const
/** Less than this is no filling. */
export const MIN_FILLING_GRAMS = 0.01

/** The dish that a piece's filling asks for, where the cook names none. */
function dishFor(plan: PiecePlan, stock: Stock | null, pieces: number | undefined) {
  const filling = stock?.fillings.reduce((sum, one) => sum + one.grams, 0) ?? 0
  const each = plan.fillingGramsPerPiece ?? (pieces ? filling / pieces : 0)
  const volumeMm3 = (1000 * each) / DENSITY_G_PER_ML.filling / DISH_FULL
  if (each < MIN_FILLING_GRAMS) return { acrossMm: undefined, highMm: plan.dishHeightMm ?? USUAL_DISH_MM }
  const acrossMm = plan.dishHeightMm
    ? Math.sqrt((4 * volumeMm3) / (Math.PI * plan.dishHeightMm))
    : Math.cbrt((4 * volumeMm3) / (Math.PI * DISH_HIGH))
  const across = plan.diameterMm ?? Math.max(MIN_DISH_MM.across, Math.round(acrossMm))
  return {
    acrossMm: across,
    highMm:
      plan.dishHeightMm ?? Math.max(MIN_DISH_MM.high, Math.round((4 * volumeMm3) / (Math.PI * across ** 2))),
  }
}
