import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { isFat, type Draft } from './drafts'
import { normaliseName } from './match'
import { recalled } from './matches'
import type { Clause } from './method'
import { gramsOf } from './pan'
import type { ReadIngredient } from './readIngredient'
import { readLine } from './readLine'
import { amountsSaid } from './seasonedByMethod'

// "Salt" and "oil" in the list, and in the method how much: "season with 1 tsp salt", "fry in 2 tbsp oil".

/** Each piece gets its own. */
const ELSEWHERE = recalled(
  /\b(?:each|every|per|apiece|a (?:side|piece)|at a time|for (?:dusting|brushing|sealing))\b/i,
)
/** What is salted is the water. */
const SALTS_WATER = recalled(/\b(?:water|boil(?:ing)?|brine)\b/i)
/** A longer clause is a text. */
const LONGEST = 400

const lastWord = (name: string) => normaliseName(name).split(' ').at(-1)!

/**
 * Weighs a line of a dough or a filling that has no amount by what the method takes of it there. A line that states
 * one, water that is left to feel, and what the method only salts water with or gives to each piece stay as they are.
 */
export function amountsByMethod(drafts: readonly Draft[], clauses: readonly Clause[], foods: Foods): void {
  for (const draft of drafts) {
    if (draft.kind !== 'filling' && draft.kind !== 'shell') continue
    const own = clauses.filter(
      ({ text, about }) => about === draft && text.length <= LONGEST && !ELSEWHERE.test(text),
    )
    for (const item of draft.lines) {
      const { food, read, line } = item
      if (!food || read.measures.length || read.purpose || line.componentId || foodIs(food, 'pours')) continue
      if (!line.raw || !mayBeSpooned(food)) continue
      const told = own
        .filter(({ text }) => food.group !== 'salt' || !SALTS_WATER.test(text))
        .flatMap(({ text }) => amountsSaid(text, foods).filter((one) => isOf(one, item)))
      const grams = told.reduce((sum, { amount }) => sum + (gramsOf(amount, food) ?? 0), 0)
      if (!grams) continue
      const said = [...new Set(told.map(({ amount }) => amount))].join(', ')
      Object.assign(line, { grams, gramsLow: grams, gramsHigh: grams, measuredBy: 'volume' })
      line.notes = [
        ...line.notes.filter((note) => !/^(?:to-taste|as-required|no-amount)$/.test(note.code)),
        { code: 'by-method', level: 'note', text: `The list gives no amount: the method takes ${said}` },
      ]
      // It is stated now: nothing is assumed of it any more.
      item.read = {
        ...read,
        measures: told.flatMap(({ amount }) => readLine(amount).measures),
        unmeasured: null,
      }
    }
  }
}

/** Seasonings and fat; nobody leaves out how much flour there is. */
const mayBeSpooned = (food: Food): boolean =>
  isFat(food) || /^(?:salt|spice|herb|seasoning|sauce|sweetener)$/.test(food.group)

const isOf = ({ name, food }: { name: string; food: Food }, item: ReadIngredient): boolean =>
  food.id === item.food!.id ||
  (food.group === item.food!.group && lastWord(name) === lastWord(item.read.name))
