// Figures of a serving, as pages print them below a recipe.

const NUTRITION_LINE =
  /^\W*(?:(?:calories|energy|kcal|protein|fat|saturated fat|saturates|carb(?:ohydrate)?s?|net carbs|sugars?|fib(?:re|er)|salt|sodium|cholesterol)\s*:?\s*(?:(?:about|around|approx\.?|roughly|~)\s*)?<?[\d.,]+\s*(?:g|mg|kcal|kj|cal|%)?[\s|,;/·•.-]*)+(?:(?:each|apiece|per (?:piece|serving|pocket|bun|[a-zß-öø-ɏ]+))\W*)?$/i
/** Figures with the number in front: "18 g protein", "310 kcal", "24P". */
const FIGURES = String.raw`(?:(?:(?:about|around|approx\.?|roughly|only|~) ?)?\d[\d.]*\s*(?:g? ?(?:of )?(?:protein|net carbs?|carbs?|fat|fib(?:re|er)|sugar)|k?cals?|calories|[pcf])\b[\s,|/·•&-]*(?:and )?)+`
/** "18 g protein each": of a piece. */
const FIGURES_EACH = new RegExp(
  String.raw`^\W*${FIGURES}(?:ea\b\.?|each|apiece|per [a-zß-öø-ɏ]+)(?:\W*$|\s+[a-zß-öø-ɏ -]{3,40}\W*$)`,
  'i',
)
/** "24g protein | 310 kcal", "310 kcal / 24P / 30C / 8F": one of them is nothing that anybody buys. */
const FIGURES_ALONE = new RegExp(String.raw`^(?=.*(?:protein|k?cals?\b|calories|\dp\b))\W*${FIGURES}$`, 'i')
/** "9 g net carbs": nobody buys them. */
const NET_CARBS = /^\W*(?:about |approx\.? |~)?\d[\d.]*\s*g? net carbs?\b[^.]{0,30}\W*$/i
const NUTRITION_START =
  /^\W*(?:nutrition|macros?\b|k?cals?\W*\d|[^:\d]{0,30}:?\s*\d{2,4}\s*k?cals?\b|per (?:\d{1,2} )?[a-zß-öø-ɏ]+\s*:?.*\b(?:k?cals?|calories)\b|calories\s*:?\s*\d)/i
/** "Cal: 352 | P: 31 | C: 40 | F: 7": nutrients by their first letters, three or more in a row. */
const MACROS =
  /^\W*(?:(?:k?cals?|calories|energy|prot(?:ein)?|p|net carbs|carbs?|nc|c|fats?|f|fib(?:re|er)|sugars?|salt)[\s:=-]{0,3}\d[\d.,]*\s*(?:g|k?cals?)?[\s,|/;·•]*){3,}(?:(?:each|apiece|per [a-zß-öø-ɏ]+)\W*)?$/i

/** Whether a row is three or more nutrients with their figures and nothing else: it is no table. */
export const isMacros = (text: string): boolean => MACROS.test(text)

/** A `line` of nutrients may also be an ingredient ("protein 30 g", "salt 5 g"); a `start` is none. */
export function nutritionIn(text: string): 'line' | 'start' | null {
  if (
    NUTRITION_LINE.test(text) ||
    FIGURES_EACH.test(text) ||
    FIGURES_ALONE.test(text) ||
    NET_CARBS.test(text)
  )
    return 'line'
  return MACROS.test(text) || NUTRITION_START.test(text) ? 'start' : null
}
