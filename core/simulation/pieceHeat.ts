import { RecipeProblem } from '../recipe/problem'
import { middleLimit, type MiddleLimit } from '../evaluation/cautions'
import type { Food } from '../food/food'
import { computeBatch, type Contribution } from '../nutrition/contributions'
import { bodyOfPiece, type Body } from '../piece/geometry'
import type { Recipe } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'
import type { ReferenceData } from '../tables/referenceData'
import { conduct, type Exposure, type Heated, type Layer } from './conduct'
import { foodMaterial } from './material'
import type { Mixture } from './properties'
import type { Surface, Surfaces } from './surfaces'

/** One raw piece and what it is cooked in. */
export interface PieceToHeat {
  doughGrams: number
  fillingGrams: number
  /** 20 from the board, 5 from the fridge, −18 frozen. */
  startC: number
  /** The middle's limit; null for what its foods ask. */
  targetC: number | null
  /** Thicker or thinner than the Tray has it, as a factor. */
  thickness: number
  /** Warmer or cooler than the recipe says, in °C. */
  warmerC: number
}

/** The middle of a piece while it cooks. */
export interface PieceHeat {
  minutesToTarget: number | null
  /** As quick and as slow as surface, heat and thickness allow; null where it may never be. */
  band: { low: number | null; high: number | null }
  centreC: [number, number][]
  /** From the middle to the surface, when the target is reached. */
  profileC: [number, number][]
  energyKJ: number
  targetC: number
  limit: MiddleLimit | null
  startC: number
  stages: {
    way: CookingWay
    mediumC: number
    minutes: number | null
    surfaceWm2K: [number, number, number]
  }[]
  halfThicknessMm: number
  /** 1 as a slab, 2 as a cylinder, 3 as a ball. */
  dimensions: number
  layers: { name: 'filling' | 'dough'; thicknessMm: number }[]
  /** The arithmetic, line by line. */
  working: string[]
}

/** Air in a dough when it goes into the heat, as a share of its volume: doubled and pressed, or lifted by powder. Our own choice. */
const AIR_RISEN = 0.45
const AIR_POWDER = 0.15
const YEASTS = /yeast|starter|sourdough/
/** Pieces of one batch differ so much in thickness. Our own choice. */
const THICKNESS_SPREAD = 0.1
const MOST_MINUTES = 240

/** What a part of the batch is made of, by weight. */
function mixtureOf(contributions: readonly Contribution[], foods: ReadonlyMap<string, Food>): Mixture | null {
  const sum: Mixture = { water: 0, protein: 0, fat: 0, carbohydrate: 0, fibre: 0, ash: 0 }
  for (const one of contributions) {
    const per100g = foods.get(one.foodId)?.per100g
    if (!per100g) continue
    const share = one.foodGrams / 100
    sum.water += per100g.waterG * share + (one.grams - one.foodGrams)
    sum.protein += per100g.proteinG * share
    sum.fat += per100g.fatG * share
    sum.fibre += per100g.fibreG * share
    sum.carbohydrate += Math.max(per100g.carbohydrateG - per100g.fibreG, 0) * share
    sum.ash +=
      Math.max(100 - per100g.waterG - per100g.proteinG - per100g.fatG - per100g.carbohydrateG, 0) * share
  }
  return Object.values(sum).some((one) => one > 0) ? sum : null
}

/** How a body's area grows with the distance from its middle: area times half of its thickness by volume. */
function dimensionsOf(body: Body, halfMm: number, volumeMm3: number): number {
  const edges = body.lipMm > 0 ? 2 * body.lipMm * (body.widthMm + body.lengthMm) : 0
  return Math.min(Math.max(((body.surfaceMm2 - edges) * halfMm) / volumeMm3, 1), 3)
}

const surfaceOf = (way: CookingWay, fan: boolean, surfaces: Surfaces): Surface =>
  surfaces.get(way === 'bake' && fan ? 'bake-fan' : way)!

/**
 * The middle of a piece while it cooks, from its shape, what it is made of and how it is cooked: conduction through
 * dough and filling in the piece's own thickness, convection at its surface, with ice that melts and water that boils
 * off. A guide for planning and never instead of a thermometer: wet-bulb cooling in the oven, steam inside and the
 * seam are not in it.
 *
 * @param recipe a document that has passed `recipeSchema`
 * @throws RecipeProblem where there is no dough with a weight
 */
export function heatPiece(
  recipe: Recipe,
  piece: PieceToHeat,
  reference: ReferenceData,
  surfaces: Surfaces,
): PieceHeat {
  const batch = computeBatch(recipe, reference.foods, reference.cooking)
  const of = (...kinds: string[]) =>
    mixtureOf(
      batch.contributions.filter(({ part }) => kinds.includes(part)),
      reference.foods,
    )
  const dough = of('shell')
  const filling = of('filling', 'marinade')
  if (!dough || !(piece.doughGrams > 0))
    throw new RecipeProblem([{ field: 'recipe.parts', message: 'a dough with weights is needed' }])
  const lifts = batch.shell.filter(({ food }) => food.group === 'leavening')
  const air = lifts.some(({ food }) => YEASTS.test(food.id)) ? AIR_RISEN : lifts.length ? AIR_POWDER : 0
  const fillingGrams = filling ? piece.fillingGrams : 0
  // The air makes it larger as it makes it lighter.
  const body = bodyOfPiece(recipe.shape, piece.doughGrams / (1 - air), fillingGrams)
  const halfMm = (Math.min(body.heightMm, body.widthMm) / 2) * piece.thickness
  const dimensions = dimensionsOf(body, halfMm / piece.thickness, body.volumeMm3)
  const wallMm = Math.min(body.wallMm * piece.thickness, halfMm)
  const stages = [recipe.cooking, ...(recipe.cooking.andThen ? [recipe.cooking.andThen] : [])].map(
    ({ way, temperatureC, minutes }, at) => {
      const surface = surfaceOf(way, recipe.cooking.fan, surfaces)
      const wet = way === 'steam' || way === 'boil' || way === 'brown-and-steam'
      const mediumC = wet ? surface.mediumC : (temperatureC ?? surface.mediumC) + piece.warmerC
      return { way, mediumC, minutes: at === 0 && recipe.cooking.andThen ? minutes : null, surface }
    },
  )
  const dries = stages.some(({ surface }) => surface.dries)
  const materials = {
    filling: filling && fillingGrams > 0 ? foodMaterial(filling) : null,
    dough: foodMaterial(dough, { porosity: air, dries }),
  }
  const limit =
    piece.targetC === null ? middleLimit({ recipe, foods: foodsOf(batch.contributions, reference) }) : null
  const targetC = piece.targetC ?? limit!.celsius
  const solve = (pick: 'low' | 'usual' | 'high', thickness: number): Heated => {
    const inside = (halfMm - wallMm) * thickness
    const layers: Layer[] =
      materials.filling && inside > 0.2
        ? [
            { thicknessMm: inside, material: materials.filling },
            { thicknessMm: wallMm * thickness, material: materials.dough },
          ]
        : [{ thicknessMm: halfMm * thickness, material: materials.dough }]
    const exposures: Exposure[] = stages.map(({ mediumC, minutes, surface }) => ({
      mediumC,
      surfaceWm2K: surface[pick],
      minutes,
    }))
    return conduct({
      layers,
      dimensions,
      startC: piece.startC,
      exposures,
      targetC,
      mostMinutes: MOST_MINUTES,
      coarse: true,
    })
  }
  const usual = solve('usual', 1)
  const pieceM3 = body.volumeMm3 / 1e9
  // The solver's body has a volume of R^d / d; the piece has its own.
  const solvedM3 = (halfMm / 1000) ** dimensions / dimensions
  return {
    minutesToTarget: usual.minutesToTarget,
    band: {
      low: solve('high', 1 - THICKNESS_SPREAD).minutesToTarget,
      high: solve('low', 1 + THICKNESS_SPREAD).minutesToTarget,
    },
    centreC: usual.centreC,
    profileC: usual.profileC,
    energyKJ: (usual.heatJ / 1000) * (pieceM3 / solvedM3),
    targetC,
    limit,
    startC: piece.startC,
    stages: stages.map(({ way, mediumC, minutes, surface }) => ({
      way,
      mediumC,
      minutes,
      surfaceWm2K: [surface.low, surface.usual, surface.high],
    })),
    halfThicknessMm: halfMm,
    dimensions,
    layers: [
      ...(materials.filling ? [{ name: 'filling' as const, thicknessMm: halfMm - wallMm }] : []),
      { name: 'dough' as const, thicknessMm: materials.filling ? wallMm : halfMm },
    ],
    working: workingOf({ body, halfMm, wallMm, dimensions, air, stages, piece, targetC }),
  }
}

const foodsOf = (contributions: readonly Contribution[], reference: ReferenceData): Food[] =>
  [...new Set(contributions.map(({ foodId }) => foodId))].flatMap((id) => reference.foods.get(id) ?? [])

const show = (value: number, digits = 1) => String(Math.round(value * 10 ** digits) / 10 ** digits)

function workingOf(of: {
  body: Body
  halfMm: number
  wallMm: number
  dimensions: number
  air: number
  stages: readonly { way: CookingWay; mediumC: number; surface: Surface }[]
  piece: PieceToHeat
  targetC: number
}): string[] {
  return [
    `Half of its thickness: ${show(of.halfMm)} mm, of which dough ${show(of.wallMm)} mm`,
    `Surface × half thickness ÷ volume = ${show(of.dimensions, 2)} (1 a slab, 2 a cylinder, 3 a ball)`,
    ...(of.air > 0 ? [`The dough holds ${show(100 * of.air, 0)} % of air; our own choice`] : []),
    `Conductivity, density and specific heat of what it is made of: Choi and Okos 1986, from memory`,
    ...of.stages.map(
      ({ way, mediumC, surface }) =>
        `${way}: ${show(mediumC, 0)} °C round it, ${surface.low} to ${surface.high}, usually ${surface.usual} W/(m² K), ${surface.note}; ${surface.source}`,
    ),
    `From ${show(of.piece.startC, 0)} °C until the middle has passed ${show(of.targetC, 0)} °C; quick and slow with the range of the surface and ${show(100 * THICKNESS_SPREAD, 0)} % of thickness`,
  ]
}
