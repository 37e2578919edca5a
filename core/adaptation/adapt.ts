import { avoidDiet, type Diet } from '../diet/diets'
import type { Target } from '../diet/target'
import { evaluate, evaluationWith, type Evaluation } from '../evaluation/evaluate'
import type { ReferenceData } from '../tables/referenceData'
import { lossesBetween, type Loss } from '../nutrition/micronutrients'
import { isFlour } from '../food/groups'
import { RecipeProblem, type FieldProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import { MAX_LINE_GRAMS } from '../recipe/vocabulary'
import { takeWritten } from '../substitution/takeWritten'
import { substitute, allergensIn, swapUnweighed } from '../substitution/substitute'
import type { Change } from '../substitution/applySwap'
import { adviceOn, withAdvice } from '../method/advice'
import type { Binding } from '../optimisation/binding'
import { keptDiets } from '../optimisation/question'
import { search, type SearchOptions } from '../optimisation/search'
import type { Candidate, Term } from '../optimisation/searchOnce'
import { NO_LOCKS, USUAL_WEIGHTS, type Locks, type Weights, type Wishes } from '../optimisation/wishes'
import type { PriceBook } from '../cost/costOf'

/** Another recipe that reaches the same. */
export interface Alternative {
  recipe: Recipe
  changes: Change[]
  evaluation: Evaluation
  distance: number
  /** What the distance is made of, the largest first. */
  terms: Term[]
}

export interface Adaptation {
  recipe: Recipe
  changes: Change[]
  unmet: { lineId: string; reason: string }[]
  /** Minerals and vitamin B12 that the adapted recipe gives clearly less of. */
  losses: Loss[]
  evaluation: Evaluation
  before: Evaluation
  /** How far it is from the recipe as written; null when nothing had to be weighed against another. */
  distance: number | null
  /** What the distance is made of, the largest first; empty where nothing was weighed. */
  terms: Term[]
  /** False when the time was up before it was sure that none is nearer. */
  proven: boolean
  /** Clearly different ways; where there is a conflict over a figure, what comes nearest to it. */
  alternatives: Alternative[]
  /** Limits that stand in the way of a nearer recipe, and what loosening them would buy. */
  binding: Binding[]
  /** When nothing reaches it: the smallest set of wishes that contradict one another. */
  conflict: string[]
  /** What had to be given up, or how near it gets where there is a conflict, in words; '' for nothing. */
  compromise: string
}

export interface AdaptOptions extends SearchOptions {
  locks?: Partial<Locks>
  weights?: Partial<Weights>
  targets?: readonly Target[]
  prices?: PriceBook
}

/**
 * The diets named by ids.
 *
 * @throws RecipeProblem naming `diets` when one is not known
 */
export function dietsByIds(ids: readonly string[], reference: ReferenceData): Diet[] {
  return ids.map((id, at) => {
    const diet = reference.diets.find((one) => one.id === id)
    if (!diet) {
      throw new RecipeProblem([
        {
          field: `diets[${at}]`,
          message: `"${id}" is not a diet here; use one of ${reference.diets.map((one) => one.id).join(', ')}`,
        },
      ])
    }
    return diet
  })
}

/** Exclusions by themselves need no search: the catalogue says what stands in. */
const needsSearch = (wishes: Wishes) =>
  wishes.targets.length > 0 ||
  wishes.diets.some((diet) => diet.targets.length > 0) ||
  wishes.locks.lineIds.length > 0 ||
  wishes.locks.maxSwaps !== null ||
  wishes.locks.have !== null ||
  wishes.locks.refused.length > 0 ||
  // Whether a dough without its flour still holds is for the search to find out.
  wishes.diets.some((diet) => diet.excludesAllergens.includes('gluten'))

/**
 * A dough whose one liquid has no weight cannot be brought back to the softness it had: how much goes in is asked
 * first. Null when its liquid is known, or when it needs none.
 */
function unweighedLiquid(recipe: Recipe, { foods }: ReferenceData): FieldProblem | null {
  let open: FieldProblem | null = null
  let flour = false
  for (const [p, part] of recipe.parts.entries()) {
    if (part.kind !== 'shell') continue
    for (const [l, line] of part.lines.entries()) {
      const food = foodOf(line, foods)
      if (food && isFlour(food) && line.grams) flour = true
      if (!food || isFlour(food) || food.freeWater < 0.4 || food.per100g.waterG < 50) continue
      if (line.grams !== null) return null
      open ??= {
        field: `recipe.parts[${p}].lines[${l}].grams`,
        message: `How much ${food.name.toLowerCase()} goes into the dough is not known. Type its grams first: without it nobody can say what a swap asks for`,
      }
    }
  }
  return flour ? open : null
}

/**
 * Adapts a recipe to diets and evaluates it before and after. What diets exclude is swapped by the catalogue;
 * where figures have to come out or something is locked, the nearest recipe is searched.
 *
 * @throws RecipeProblem naming the field when a diet, line or food is unknown or there is no dough
 */
export function adapt(
  recipe: Recipe,
  dietIds: readonly string[],
  reference: ReferenceData,
  options: AdaptOptions = {},
): Adaptation {
  const named = dietsByIds(dietIds, reference)
  const avoided = recipe.avoid ?? []
  const diets = avoided.length ? [...named, avoidDiet(avoided)] : named
  const wishes: Wishes = {
    diets,
    targets: options.targets ?? [],
    locks: { ...NO_LOCKS, ...options.locks },
    weights: { ...USUAL_WEIGHTS, ...options.weights },
    prices: options.prices ?? new Map(),
  }
  const ids = new Set(allLines(recipe).map(({ line }) => line.id))
  const strange = wishes.locks.lineIds.findIndex((id) => !ids.has(id))
  if (strange >= 0) {
    throw new RecipeProblem([
      {
        field: `locks.lineIds[${strange}]`,
        message: `no line has the id "${wishes.locks.lineIds[strange]}"`,
      },
    ])
  }
  const unknown = unweighedLiquid(recipe, reference)
  if (unknown) throw new RecipeProblem([unknown])
  const before = evaluate(recipe, reference)
  const { lineIds, refused } = wishes.locks
  const written = takeWritten(recipe, diets, reference.foods, { locked: lineIds, refused })
  if (!needsSearch(wishes)) return byCatalogue(written, before, wishes, dietIds, reference)

  const kept = keptDiets({ before, reference, wishes })
  const offered = reference.swaps.filter((swap) => !refused.includes(swap.id))
  const open = swapUnweighed(
    written.recipe,
    { diets, kept, had: allergensIn(recipe, reference.foods) },
    offered,
    reference.foods,
    lineIds,
  )
  const finish = (one: Candidate): Alternative => {
    const made = finished(one.recipe, one.evaluation, before, dietIds, reference)
    return {
      recipe: made,
      changes: [...written.changes, ...open.changes, ...one.changes],
      evaluation: evaluationWith(made, one.evaluation, reference),
      distance: one.distance,
      terms: one.terms,
    }
  }
  // Evaluated once: only where something unweighed was swapped is it another recipe that is searched from.
  const found =
    open.changes.length || written.changes.length
      ? search(open.recipe, wishes, reference, options)
      : search(recipe, wishes, reference, { ...options, before })
  if (!found.best) {
    const swapped = byCatalogue(written, before, wishes, dietIds, reference)
    return {
      ...swapped,
      conflict: found.conflict,
      compromise: found.closest?.text ?? '',
      alternatives: found.closest ? [finish(found.closest.candidate)] : [],
    }
  }
  const best = finish(found.best)
  return {
    ...best,
    proven: found.best.proven,
    unmet: [
      ...open.unmet,
      ...found.unmet.filter((one) => !open.unmet.some((own) => own.lineId === one.lineId)),
    ],
    losses: lossesBetween(before.micronutrients, best.evaluation.micronutrients),
    before,
    alternatives: found.alternatives.map(finish),
    binding: found.binding,
    conflict: [],
    compromise: found.compromise,
  }
}

/**
 * A recipe near the limit of what a line can weigh may be past it once it is adapted, and could not be kept.
 *
 * @throws RecipeProblem naming the food
 */
function refuseTooHeavy(recipe: Recipe, { foods }: ReferenceData): void {
  for (const { line } of allLines(recipe))
    if ((line.grams ?? 0) > MAX_LINE_GRAMS) {
      const name = foodOf(line, foods)?.name ?? line.name
      const message = `adapted, it would take ${Math.round(line.grams! / 1000)} kg of ${name.toLowerCase()}, and a line can weigh at most ${MAX_LINE_GRAMS / 1000} kg. Make a smaller batch first`
      throw new RecipeProblem([{ field: 'recipe', message }])
    }
}

/** The recipe with the diets it was made for and what the cook has to do otherwise. */
function finished(
  recipe: Recipe,
  after: Evaluation,
  before: Evaluation,
  dietIds: readonly string[],
  reference: ReferenceData,
): Recipe {
  refuseTooHeavy(recipe, reference)
  const meant = { ...recipe, diets: [...new Set([...recipe.diets, ...dietIds])] }
  return withAdvice(meant, adviceOn(meant, reference, { before, after }))
}

function byCatalogue(
  written: { recipe: Recipe; changes: Change[] },
  before: Evaluation,
  wishes: Wishes,
  dietIds: readonly string[],
  reference: ReferenceData,
): Adaptation {
  const { diets } = wishes
  const kept = keptDiets({ before, reference, wishes })
  const {
    recipe: swapped,
    changes: others,
    unmet,
  } = substitute(written.recipe, diets, reference.swaps, reference.foods, kept)
  const changes = [...written.changes, ...others]
  const first = evaluate(swapped, reference, before)
  // What the cook was told before stays while nothing is changed: a packet to check changes no line.
  const made = changes.some((change) => change.kind !== 'check')
    ? finished(swapped, first, before, dietIds, reference)
    : { ...swapped, diets: [...new Set([...swapped.diets, ...dietIds])] }
  const evaluation = evaluationWith(made, first, reference)
  return {
    recipe: made,
    changes,
    unmet,
    losses: lossesBetween(before.micronutrients, evaluation.micronutrients),
    evaluation,
    before,
    distance: null,
    terms: [],
    proven: true,
    alternatives: [],
    binding: [],
    conflict: [],
    compromise: '',
  }
}
