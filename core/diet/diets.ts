import { ORIGINS, type Allergen, type Food, type Origin } from '../food/food'

export const DIET_METRICS = ['wholeGrainPct', 'proteinEnergyPct', 'netCarbohydratePerServingG'] as const
export type DietMetric = (typeof DIET_METRICS)[number]

export interface Diet {
  id: string
  name: string
  excludesOrigins: Origin[]
  excludesAllergens: Allergen[]
  target: { metric: DietMetric; comparison: 'at-least' | 'at-most'; limit: number; unit: string } | null
  source: string
}

/**
 * Turns the rows of `data/diets.csv` into diets.
 *
 * @throws Error naming the row when an origin, metric or limit is not understood
 */
export function dietsFromRows(rows: readonly Readonly<Record<string, string>>[]): Diet[] {
  const list = (text: string | undefined) => (text ?? '').split('|').filter(Boolean)
  return rows.map((row) => {
    const origins = list(row.excludes_origins)
    const odd = origins.find((origin) => !(ORIGINS as readonly string[]).includes(origin))
    if (!row.id || !row.source || odd)
      throw new Error(`Diet row ${row.id}: ${odd ? `unknown origin "${odd}"` : 'id or source is missing'}`)
    const metric = DIET_METRICS.find((known) => known === row.metric)
    if (row.metric && (!metric || !Number.isFinite(Number(row.limit))))
      throw new Error(`Diet row ${row.id}: unknown metric "${row.metric}"`)
    return {
      id: row.id,
      name: row.name ?? row.id,
      excludesOrigins: origins as Origin[],
      excludesAllergens: list(row.excludes_allergens) as Allergen[],
      target: metric
        ? {
            metric,
            comparison: row.comparison === 'at-most' ? 'at-most' : 'at-least',
            limit: Number(row.limit),
            unit: row.unit ?? '',
          }
        : null,
      source: row.source,
    }
  })
}

/** What an eater of meat, fish and so on calls the origin, for reasons. */
export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  meat: 'meat or a part of an animal',
  fish: 'fish or seafood',
  egg: 'egg',
  dairy: 'milk',
  honey: 'honey',
  other: 'another animal product',
}

/** The reasons why a food breaks a diet, and those why it may. Empty lists when it fits. */
export function foodAgainstDiet(food: Food, diet: Diet): { breaks: string[]; may: string[] } {
  const breaks = food.origins
    .filter((origin) => diet.excludesOrigins.includes(origin))
    .map((origin) => ORIGIN_WORDS[origin])
  const may = food.possibleOrigins
    .filter((origin) => diet.excludesOrigins.includes(origin))
    .map((origin) => ORIGIN_WORDS[origin])
  for (const allergen of diet.excludesAllergens) {
    if (food.allergens.includes(allergen) && !breaks.length) breaks.push(allergen)
    else if (food.possibleAllergens.includes(allergen) && !breaks.length && !may.length) may.push(allergen)
  }
  return { breaks, may }
}
