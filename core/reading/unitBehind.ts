import { NUMBER_PATTERN } from './readNumber'
import { UNIT_PATTERN } from './units'

// What is counted or measured stands behind its food: "ginger, a thumb", "3 basil leaves", "egg wash one egg".

/** "Leftover roast chicken, about 2 cups shredded": the amount stands behind, and what was done before it was measured. */
export const NAME_THEN_MEASURED = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ '-]{2,40}?)\s*(?:,|\s[-–])\s*((?:about |approx\.? )?(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN}))\s+((?:finely |coarsely |roughly |freshly )?(?:shredded|chopped|diced|sliced|grated|crumbled|minced|mashed|cubed|flaked|torn|cooked|drained|packed|peeled))$`,
  'i',
)

/** A line whose unit stands behind its food, with the unit in front. */
export function withUnitInFront(line: string): string {
  let text = line
  const measured = NAME_THEN_MEASURED.exec(text)
  if (measured) text = `${measured[2]} ${measured[1]}, ${measured[3]}`
  // "Ginger, a thumb", "coriander handful": the unit stands behind.
  const unitBehind =
    /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?)(?:,?\s+|\s*[:–—-]\s*)(?:an? )?(thumb|handful|pinch|bunch|knob|splash|squeeze|dash|clove)$/i.exec(
      text,
    )
  if (unitBehind) text = `a ${unitBehind[2]} of ${unitBehind[1]}`
  // "A few thyme sprigs", "3 basil leaves": what is counted stands behind.
  const counted =
    /^(a few|a couple of|few|\d{1,2}(?:\s*-\s*\d{1,2})?|two|three|four)\s+((?:fresh\s+|dried\s+)?[a-zß-öø-ɏ]+)\s+(sprigs?|stalks?|stems?)\b(.*)$/i.exec(
      text,
    )
  if (counted) text = `${counted[1]} ${counted[3]} of ${counted[2]}${counted[4]}`
  // "1 egg wash" is an egg, to brush with.
  text = text.replace(/^(\d{1,2}|an?|one)\s+eggs?\s+(?:wash|glaze)$/i, '$1 egg to glaze')
  // "Egg wash one egg", "wash: 1 yolk".
  text = text.replace(/^(?:egg )?wash[\s:–-]+(?=(?:one|two|an?|\d)\b)(.*?)(?: to glaze)?$/i, '$1 to glaze')
  // "Milk wash" is milk, to brush with.
  const wash = /^((?:[a-zß-öø-ɏ]+ )?(?:milk|cream|egg|yolk|drink))\s+(?:wash|glaze)$/i.exec(text)
  return wash && !/^egg$/i.test(wash[1]!) ? `${wash[1]} to glaze` : text
}
