import { csvFormatRows } from 'd3-dsv'
import type { ShoppingItem, ShoppingList } from '~~/core/shopping/list'

const GRAMS_PER_OUNCE = 28.349523125
const OUNCES_PER_POUND = 16

/** Grams as one buys them: "1.2 kg", "250 g", or in pounds and ounces. */
export function showBought(grams: number, ounces: boolean): string {
  if (ounces) {
    const all = grams / GRAMS_PER_OUNCE
    const whole = Math.round(all * (all < 4 ? 10 : 1)) / (all < 4 ? 10 : 1)
    if (whole < OUNCES_PER_POUND) return `${whole} oz`
    const pounds = Math.floor(whole / OUNCES_PER_POUND)
    const rest = Math.round(whole - pounds * OUNCES_PER_POUND)
    return rest ? `${pounds} lb ${rest} oz` : `${pounds} lb`
  }
  if (grams >= 1000) return `${Number((grams / 1000).toFixed(2))} kg`
  return grams >= 10 ? `${Math.round(grams)} g` : `${Number(grams.toFixed(1))} g`
}

const UNIT_WORDS: Readonly<Record<string, [string, string]>> = {
  medium: ['medium one', 'medium ones'],
  large: ['large one', 'large ones'],
  head: ['head', 'heads'],
  bunch: ['bunch', 'bunches'],
  clove: ['clove', 'cloves'],
  sachet: ['sachet', 'sachets'],
}

/** "about 3 medium ones"; '' for what is weighed. */
export function showCount({ count }: Pick<ShoppingItem, 'count'>): string {
  if (!count) return ''
  const [one, several] = UNIT_WORDS[count.unit] ?? [count.unit, count.unit]
  return `about ${count.number} ${count.number === 1 ? one : several}`
}

/** The list as plain text, for a message to whoever shops. */
export function listAsText(list: ShoppingList, ounces: boolean): string {
  const lines = list.sections.flatMap(({ section, items }) => [
    section.toUpperCase(),
    ...items.map((item) => {
      const more = [
        showCount(item),
        item.packs && `${item.packs.number} × ${showBought(item.packs.grams, ounces)}`,
        item.or.length && `or ${item.or.join(', or ')}`,
        item.allergens.length && `contains ${item.allergens.join(', ').toUpperCase()}`,
      ].filter(Boolean)
      return `- ${item.name}, ${showBought(item.buyGrams, ounces)}${more.length ? ` (${more.join('; ')})` : ''}`
    }),
    '',
  ])
  if (list.unclear.length) lines.push('AS WRITTEN', ...list.unclear.map(({ text }) => `- ${text}`), '')
  if (list.onlyIfYouHave.length)
    lines.push('ONLY IF YOU HAVE IT', ...list.onlyIfYouHave.map(({ name }) => `- ${name}`), '')
  return lines.join('\n').trim()
}

/** The list as CSV (RFC 4180), an item a row. */
export const listAsCsv = (list: ShoppingList, currency: string): string =>
  csvFormatRows([
    [
      'section',
      'item',
      'buy_g',
      'needed_g',
      'have_g',
      'packs',
      'pack_g',
      `cost_${currency}`,
      'allergens',
      'or',
      'for',
    ],
    ...list.sections.flatMap(({ section, items }) =>
      items.map((item) => [
        section,
        item.name,
        String(Math.round(item.buyGrams * 10) / 10),
        String(Math.round(item.neededGrams * 10) / 10),
        String(Math.round(item.haveGrams * 10) / 10),
        item.packs ? String(item.packs.number) : '',
        item.packs ? String(item.packs.grams) : '',
        item.packs ? item.packs.cost.toFixed(2) : '',
        item.allergens.join('; '),
        item.or.join('; '),
        item.forTitles.join('; '),
      ]),
    ),
  ])
