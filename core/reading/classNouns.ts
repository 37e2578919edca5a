import { byWord } from '../food/byWord'
import type { Food } from '../food/food'

/** A noun behind a name that says only of which kind it is: "chorizo sausage", "manchego cheese", "cod fish". */
const CLASS_NOUNS = byWord<RegExp>({
  cheese: /cheese$/,
  sausage: /^(?:cured-meat|plant-meat)$/,
  ham: /^cured-meat$/,
  mushroom: /^mushroom$/,
  fish: /^(?:fish|cured-fish)$/,
  bean: /^pulse$/,
  nut: /^nut$/,
  herb: /^herb$/,
  spice: /^spice$/,
  sugar: /^sweetener$/,
  noodle: /^noodle$/,
  bread: /^bread$/,
  wrapper: /^wrapper$/,
  pastry: /^pastry$/,
})

/** Whether a word says only of which kind a food is. */
export const isClassNoun = (word: string): boolean => CLASS_NOUNS[word] !== undefined

/** Whether a food is of the kind that a noun behind its name says: a manchego is a cheese. */
export const takesNoun = (food: Food, noun: string | undefined): boolean =>
  CLASS_NOUNS[noun ?? '']?.test(food.group) ?? false
