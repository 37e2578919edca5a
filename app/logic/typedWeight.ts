import type { Food } from '~~/core/food/food'
import { weighLine } from '~~/core/reading/weigh'
import { readLine } from '~~/core/reading/readLine'
import { MAX_LINE_GRAMS } from '~~/core/recipe/vocabulary'

export type TypedWeight = { grams: number } | { problem: string }

/**
 * Reads a weight typed into a field: a bare number is grams; "4 oz", "1/2 cup" or "2 tbsp" are turned into
 * grams of the food.
 */
export function typedWeight(text: string, food: Food | undefined): TypedWeight {
  const trimmed = text.trim()
  const says = 'Type a weight, such as 250, 4 oz or 1/2 cup'
  if (!trimmed) return { problem: says }
  if (/^[-−]/.test(trimmed)) return { problem: 'A weight cannot be below 0 g' }
  const read = readLine(`${/^[\d.,]+$/.test(trimmed) ? `${trimmed} g` : trimmed} x`)
  if (!read.measures.length || !food) {
    const plain = Number(trimmed.replace(',', '.').replace(/\s*g$/, ''))
    if (!Number.isFinite(plain)) return { problem: says }
    return plain > MAX_LINE_GRAMS ? { problem: `At most ${MAX_LINE_GRAMS / 1000} kg` } : { grams: plain }
  }
  const { grams } = weighLine(read, food)
  if (grams === null) return { problem: says }
  return grams > MAX_LINE_GRAMS ? { problem: `At most ${MAX_LINE_GRAMS / 1000} kg` } : { grams }
}
