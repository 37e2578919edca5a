import type { Nutrient } from '~~/core/food/nutrients'
import type { Part, Recipe } from '~~/core/recipe/document'
import { PART_NAMES } from '~~/core/recipe/vocabulary'

/** Grams as a cook reads them: whole from 10 g, one decimal below. */
export function showGrams(grams: number): string {
  if (grams === 0) return '0'
  if (Math.abs(grams) < 0.05) return grams < 0 ? '−0.1' : '<0.1'
  const rounded = Math.abs(grams) >= 10 ? Math.round(grams) : Math.round(grams * 10) / 10
  return String(rounded).replace('-', '−')
}

const DECIMALS: Partial<Record<Nutrient, number>> = { energyKcal: 0, sodiumMg: 0, saltG: 2 }

/** A figure without its unit: whole kcal and mg, hundredths of salt, tenths of everything else. */
export function showFigure(key: Nutrient, value: number): string {
  return value.toFixed(DECIMALS[key] ?? 1).replace('-', '−')
}

/** A change with its sign, or "same" when it rounds to nothing. */
export function showChange(key: Nutrient, change: number): string {
  const text = showFigure(key, Math.abs(change))
  if (Number(text) === 0) return 'same'
  return `${change > 0 ? '+' : '−'}${text}`
}

/** A mineral or vitamin: whole from 10, two digits below. */
export function showMicro(value: number): string {
  const size = Math.abs(value)
  return (size >= 10 ? Math.round(size) : Number(size.toFixed(size >= 1 ? 1 : 2))).toString()
}

/** The change of a mineral or vitamin with its sign, or "same". */
export function showMicroChange(change: number): string {
  const text = showMicro(change)
  return text === '0' ? 'same' : `${change > 0 ? '+' : '−'}${text}`
}

export const WAY_WORDS = {
  bake: 'Bake',
  'deep-fry': 'Deep-fry',
  'shallow-fry': 'Shallow-fry',
  griddle: 'Griddle',
  steam: 'Steam',
  boil: 'Boil',
  'brown-and-steam': 'Brown, then steam',
} as const

export const HEAT_WORDS = { low: 'low heat', medium: 'medium heat', high: 'high heat' } as const

/** "Bake at 220 °C for 10 min, then bake at 180 °C for 20 min": how the pieces are cooked, as far as it is known. */
export function showCooking({ way, temperatureC, minutes, heat, fan, andThen }: Recipe['cooking']): string {
  const stage = (name: string, celsius: number | null, time: number | null) =>
    [name, celsius !== null && `at ${celsius} °C`, time !== null && `for ${time} min`]
      .filter(Boolean)
      .join(' ')
  const first = stage(WAY_WORDS[way], temperatureC, minutes)
  const more = [fan && 'fan oven', temperatureC === null && heat && HEAT_WORDS[heat]].filter(Boolean)
  const second =
    andThen && `then ${stage(WAY_WORDS[andThen.way].toLowerCase(), andThen.temperatureC, andThen.minutes)}`
  return [first, ...more, second].filter(Boolean).join(', ')
}

/** How a food of another shelf than our table is marked. */
export const SHELF_WORDS = { table: '', measured: 'measured', own: 'own', import: 'taken in' } as const

/** Money in the reader's own way of writing it. */
export function showMoney(value: number, currency: string): string {
  try {
    return new Intl.NumberFormat(undefined, { style: 'currency', currency }).format(value)
  } catch {
    return `${value.toFixed(2)} ${currency}`
  }
}

/** A part's name inside a sentence: "For the cabbage filling" is "cabbage filling". */
export function plainPart(part: Pick<Part, 'name' | 'kind'> | undefined): string {
  if (!part) return ''
  const plain = part.name.replace(/^(?:for|to make)\s+(?:the\s+)?/i, '').trim()
  const word = plain || PART_NAMES[part.kind]
  return /^\p{Lu}{2,}/u.test(word) || /^\p{Lu}\p{Ll}/u.test(word) ? word.toLowerCase() : word
}

/** "3 Nov, 14:05" in the reader's own way of writing it. */
export function showWhen(iso: string): string {
  return new Intl.DateTimeFormat(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(iso))
}
