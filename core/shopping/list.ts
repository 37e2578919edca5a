import type { Price, PriceBook } from '../cost/costOf'
import { EU_ALLERGENS, type Food, type Foods } from '../food/food'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import { SECTIONS, sectionOf, type Section } from './sections'
import { takenBy, type StockedFood } from './stock'

/** A recipe that is to be cooked, so many times. */
export interface Wanted {
  recipe: Recipe
  times: number
}

export interface ShoppingItem {
  foodId: string
  name: string
  section: Section
  /** Of all recipes together, and what of it is in the larder. */
  neededGrams: number
  haveGrams: number
  buyGrams: number
  /** About so many of what is sold by the piece; null for what is weighed. */
  count: { number: number; unit: string } | null
  /** In packs of the price book; null where it knows none. */
  packs: { number: number; grams: number; cost: number; leftGrams: number } | null
  allergens: string[]
  /** What only the packet can rule out. */
  mayContain: string[]
  /** Recipes that want it. */
  forTitles: string[]
  /** What may be bought instead. */
  or: string[]
  /** The larder's own keeps no longer than the day of cooking. */
  old: boolean
}

export interface ShoppingList {
  sections: { section: Section; items: ShoppingItem[] }[]
  /** What the larder has enough of. */
  have: ShoppingItem[]
  /** What a text calls optional, and nobody buys for it alone. */
  onlyIfYouHave: { name: string; forTitle: string }[]
  /** Lines of which no amount or no food is known, as they are written. */
  unclear: { text: string; forTitle: string }[]
  cost: number
  /** Items without a price: with any, the cost is "at least". */
  withoutPrice: string[]
}

/** Sold by the piece: the unit by which it is counted, the likeliest first. */
const COUNTED = ['medium', 'large', 'head', 'bunch', 'clove', 'sachet'] as const
/** What weighs less is bought by the pack, whatever its piece. Common practice, no source. */
const LEAST_PIECE_GRAMS = 20

function countOf(food: Food, grams: number): ShoppingItem['count'] {
  const unit = COUNTED.find((one) => (food.unitGrams[one] ?? 0) >= LEAST_PIECE_GRAMS)
  if (!unit) return null
  return { number: Math.ceil(grams / food.unitGrams[unit]! - 0.05), unit }
}

/** What is bought for what goes in: peel and stalks are paid for. */
function boughtGrams(food: Food, grams: number): number {
  const edible = food.unitGrams.edible
  return edible !== undefined && edible > 0 && edible < 1 ? grams / edible : grams
}

function packsOf(price: Price | undefined, grams: number): ShoppingItem['packs'] {
  if (!price || grams <= 0) return null
  const number = Math.ceil(grams / price.packGrams - 1e-9)
  return {
    number,
    grams: price.packGrams,
    cost: number * price.price,
    leftGrams: number * price.packGrams - grams,
  }
}

/**
 * What has to be bought for recipes: their foods added up, less what the larder holds, in packs of the price book.
 *
 * @param today the day of cooking as "2026-11-26": what keeps no longer is not counted on
 */
export function shoppingList(
  wants: readonly Wanted[],
  foods: Foods,
  { stock, prices, today }: { stock: readonly StockedFood[]; prices: PriceBook; today: string | null },
): ShoppingList {
  const kept = new Map(stock.map((one) => [one.foodId, one]))
  const lines = wants.flatMap(({ recipe }) =>
    allLines(recipe).map(({ line }) => ({ line, food: foodOf(line, foods), title: recipe.title })),
  )
  const taken = wants.map((want) => ({
    title: want.recipe.title,
    foodIds: new Set(takenBy([want], foods).map(({ foodId }) => foodId)),
  }))
  const items = takenBy(wants, foods).flatMap(({ foodId, grams }): ShoppingItem[] => {
    const food = foods.get(foodId)
    if (!food || grams <= 0) return []
    const own = kept.get(foodId)
    const old = own?.keepsUntil != null && today !== null && own.keepsUntil < today
    const neededGrams = boughtGrams(food, grams)
    const haveGrams = own && !old ? Math.min(own.grams, neededGrams) : 0
    const buyGrams = Math.max(0, neededGrams - (own && !old ? own.grams : 0))
    const or = lines
      .filter(({ line }) => line.foodId === foodId)
      .flatMap(({ line }) =>
        line.choices.filter((one) => one.grams !== 0 && one.name).map((one) => one.raw || one.name),
      )
    return [
      {
        foodId,
        name: food.name,
        section: sectionOf(food),
        neededGrams,
        haveGrams,
        buyGrams,
        count: countOf(food, buyGrams || neededGrams),
        packs: packsOf(prices.get(foodId), buyGrams),
        allergens: food.allergens.map((one) => EU_ALLERGENS[one]),
        mayContain: food.possibleAllergens.map((one) => EU_ALLERGENS[one]),
        forTitles: taken.filter(({ foodIds }) => foodIds.has(foodId)).map(({ title }) => title),
        or: [...new Set(or)],
        old,
      },
    ]
  })
  const buy = items.filter((item) => item.buyGrams > 0)
  const bySize = (a: ShoppingItem, b: ShoppingItem) => a.name.localeCompare(b.name, 'en')
  return {
    sections: SECTIONS.map((section) => ({
      section,
      items: buy.filter((item) => item.section === section).sort(bySize),
    })).filter(({ items: own }) => own.length),
    have: items.filter((item) => item.buyGrams === 0).sort(bySize),
    onlyIfYouHave: wants.flatMap(({ recipe }) =>
      recipe.parts.flatMap((part) =>
        [...part.setAside, ...part.lines.filter((line) => line.optional)].map((line) => ({
          name: line.raw || line.name,
          forTitle: recipe.title,
        })),
      ),
    ),
    unclear: lines
      .filter(
        ({ line, food }) => (!food || line.grams === null) && line.componentId === null && !line.optional,
      )
      .map(({ line, title }) => ({ text: line.raw || line.name, forTitle: title })),
    cost: buy.reduce((sum, item) => sum + (item.packs?.cost ?? 0), 0),
    withoutPrice: buy.filter((item) => !item.packs).map(({ name }) => name),
  }
}
