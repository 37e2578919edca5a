import { foodIs } from '../food/groups'
import type { Part } from '../recipe/document'
import { foodOf } from '../recipe/lines'
import type { TaskBook } from './tasks'
import { CLOSED_IN_C, coolingMinutes, HOT_C, spreadInFridge } from './warmth'

/** What is soaked before it is used, by what it is. */
const SOAKED: readonly [row: string, is: (id: string, group: string, prep: string) => boolean][] = [
  ['soak-textured-protein', (_, group) => group === 'textured-protein'],
  [
    'soak-pulse',
    (id, group, prep) => group === 'pulse' && /dry|dried/.test(`${id} ${prep}`) && !/lentil/.test(id),
  ],
  ['soak-mushroom', (id, group) => group === 'mushroom' && /dried/.test(id)],
  ['soak-nut', (_, group, prep) => group === 'nut' && /soak/.test(prep)],
]

/** No home cook chops longer at one filling. Our own choice. */
const MAX_CHOP_MINUTES = 40

const GRAM_TRAITS = ['vegetable', 'flesh', 'cheese', 'plant-protein'] as const

/** Grams of a finished filling with what is made for it. */
export const gramsOf = ({ dish }: Pick<TaskBook, 'dish'>, partId: string): number =>
  dish.evaluation.parts
    .filter((part) => part.partId === partId || part.into === partId)
    .reduce((sum, part) => sum + part.grams, 0)

/** "For the pumpkin filling" as it stands within a sentence: "pumpkin filling". */
export const inSentence = (name: string): string => {
  const plain = name
    .trim()
    .replace(/^(?:for|to make)\s+(?:the\s+)?/i, '')
    .replace(/[:.]$/, '')
    .trim()
  return plain ? plain[0]!.toLowerCase() + plain.slice(1) : 'filling'
}

const COOK_WORDS = { fry: 'Fry', roast: 'Roast', steam: 'Steam', simmer: 'Simmer' } as const

/** The tasks of one part that is cooked or stirred on its own; the id of the last of them. */
function partTasks(book: TaskBook, part: Part, needs: readonly string[], name: string): string {
  const night = book.dish.stage === 'night-before'
  const shared = { partId: part.id, ahead: night }
  const key = `filling.${part.id}`
  const lines = part.lines.map((line) => ({ line, food: foodOf(line, book.reference.foods) }))
  const soaks = new Map<string, string>()
  for (const { line, food } of lines)
    for (const [row, is] of SOAKED)
      if (food && is(food.id, food.group, line.prep.join(' ')) && !soaks.has(row)) soaks.set(row, food.name)
  const soaked = [...soaks].map(([row, what]) =>
    book.add(`Soak the ${what.toLowerCase()}`, {
      id: `${key}.${row}`,
      time: row,
      stated: book.stated('soak-minutes'),
      kind: 'soak',
      ...shared,
    }),
  )
  const grams = lines.reduce(
    (sum, { line, food }) => sum + (GRAM_TRAITS.some((trait) => foodIs(food, trait)) ? (line.grams ?? 0) : 0),
    0,
  )
  const chop = Math.min(MAX_CHOP_MINUTES, grams * book.time('chop').minutes)
  const weigh = book.time('weigh').minutes * Math.max(2, part.lines.length)
  let last = book.add(`Cut and weigh the ${name}`, {
    id: `${key}.chop`,
    time: {
      minutes: Math.max(2, chop + weigh),
      low: 0.6,
      high: 1.6,
      why: `${Math.round(grams)} g to clean and cut, about 40 g a minute, and ${part.lines.length} to weigh`,
      source: book.time('chop').source,
    },
    kind: 'chop',
    hands: true,
    uses: { board: 1 },
    ...shared,
  })
  const own = part.lines.find((line) => line.cookedBy !== null && line.cookedBy !== 'raw')
  const way = part.cookedBy ?? (own?.cookedBy === 'raw' ? null : (own?.cookedBy ?? null))
  const before = [...needs, ...soaked].flatMap((id) => book.after(id))
  if (way === null) {
    return book.add(`Stir the ${name} together`, {
      id: `${key}.mix`,
      time: 'mix-filling',
      kind: 'filling',
      hands: true,
      after: [...book.after(last), ...before],
      ...shared,
    })
  }
  last = book.add(`${COOK_WORDS[way]} the ${name}`, {
    id: `${key}.cook`,
    time: `cook-${way}`,
    stated: part.cookedMinutes,
    kind: 'cook-filling',
    hands: way === 'fry',
    uses: way === 'roast' ? { oven: 1 } : { burner: 1 },
    after: [...book.after(last), ...before],
    ...shared,
  })
  if (part.into !== null) return last
  const stated = book.stated('cool-minutes', part.id) ?? book.stated('cool-minutes', null)
  const cooling = spreadInFridge(gramsOf(book, part.id))
  return book.add(`Cool the ${name}, spread flat`, {
    id: `${key}.cool`,
    time: {
      minutes: coolingMinutes(HOT_C, CLOSED_IN_C, cooling),
      low: 0.6,
      high: 2,
      why: `from ${HOT_C} to ${CLOSED_IN_C} °C, ${Math.round(cooling.depthMm)} mm deep in the fridge`,
      source: "Newton's law of cooling, handbook orders from memory",
    },
    stated,
    kind: 'cool',
    uses: { fridge: 1 },
    after: [
      { id: last, minMinutes: 0, maxMinutes: 10, why: 'spread out at once, so that it does not stay warm' },
    ],
    ...shared,
  })
}

/** By filling the task after which it can be closed in. Components come before what they go into. */
export function fillingTasks(book: TaskBook): Map<string, string> {
  const { parts } = book.dish.recipe
  const ready = new Map<string, string>()
  for (const part of parts) {
    if (part.kind !== 'filling' || part.into !== null || !part.lines.length) continue
    const name = inSentence(part.name)
    const components = parts
      .filter((one) => one.into === part.id && one.lines.length)
      .map((one) => partTasks(book, one, [], inSentence(one.name)))
    ready.set(part.id, partTasks(book, part, components, name))
  }
  return ready
}
