import { SHAPE_ROWS } from '../piece/shapes'
import { lastMatch } from './matches'
import { PIECES } from './servings'

// What filled dough is called, as a name ends in it or has it anywhere.

/** Dishes that are made in more than one shape. */
const DISHES = 'b[oöu]u?reks?|boregi|byreks?|banitsas?|strudels?|pides?|tamales|sausage rolls?'
const SAYS_DISH = new RegExp(
  String.raw`\b${PIECES}(?![a-zß-öø-ɏ])|\b(?:${DISHES}|pies?|slices|whirls|plaits?|chillas?|cheelas?|dosas?|pancakes?|cr[eê]pes?|wraps?|breads?|naans?|burgers?)\b`,
  'i',
)
/** Whether some words name a dish, wherever they do. */
export const namesDishIn = (said: string): boolean => {
  const text = said.replace(/\bones\b/gi, '')
  return SAYS_DISH.test(text) || SHAPE_ROWS.some(({ called }) => lastMatch(called, text) !== null)
}

/** A name that ends in what is counted. */
export const PIECE_NAME = new RegExp(String.raw`\b${PIECES}$`, 'i')
const DISH_NAME = new RegExp(String.raw`\b(?:${DISHES})$`, 'i')
/** Whether a name ends in what a filled dough is called. */
export const endsInDish = (name: string): boolean =>
  PIECE_NAME.test(name) ||
  DISH_NAME.test(name) ||
  SHAPE_ROWS.some(({ called }) => {
    const last = lastMatch(called, name)
    return last !== null && last.index + last[0].length === name.length
  })
