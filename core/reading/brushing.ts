import { recalled } from './matches'
import type { Clause } from './method'

// Where the method brushes or strews something on, and with what.

export const BRUSHES_WITH =
  /^\W*(?:sesame|nigella|poppy|caraway|kalonji)(?: seeds?)?(?: on top)?\W*$|^\W*(?:beaten )?(?:egg|yolk)(?=,\s+[a-zß-öø-ɏ])|^\W*(?:beaten )?(?:(?:soya?|oat|almond|plant|vegan) )?(?:egg|yolk|milk)(?: yolk| white| wash)?(?:\s*(?:,|\+|&|and)\s*[a-zß-öø-ɏ]+(?: seeds?)?){0,2}\W*$|^\W*(?:beaten )?(?:(?:warm |hot |melted )?(?:honey|syrup)|(?:egg )?(?:whites?|yolks?|egg|milk)) on top(?:\s*(?:,|\+|&|and)\s*[a-zß-öø-ɏ]+(?: seeds?)?){0,2}\W*$|\b(?:brush(?:ed|ing)?(?! (?:an? |the |your )(?:[a-zß-öø-ɏ]+ ){0,2}(?:(?:frying )?pan|frypan|skillet|griddle|tawa|tava|grill|tray|tin|sheet|dish|rack|basket|steamer)\b)|paint(?:ed|ing)?(?= (?:[a-zß-öø-ɏ]+ ){0,2}with)|glaz(?:e|ed|ing)|rub(?:bed)?(?: (?:it|them|each|all over|the (?:hot |warm )?(?:tops?|breads?|buns?)))* with|egg ?wash|seal(?:ed|ing)? (?:[a-zß-öø-ɏ]+ ){0,3}?with (?:an? |the |some |a little )?(?:beaten )?(?:egg|yolk|milk)\b|egg (?:the |one )?edges?|dust(?:ed|ing)? (?:[a-zß-öø-ɏ]+ ){0,2}with|sprinkled?|scatter(?:ed)?|strewn? with|roll(?:ed)? (?:them |the [a-zß-öø-ɏ]+ |while [a-zß-öø-ɏ]+ )?in (?=(?:[a-zß-öø-ɏ]+ )?sugar)|layer (?:\d+ |the )?sheets? with|(?<=,\s)(?<!\b(?:add|stir|mix|mash|combine|blend|beat|whisk)\b[^.;]*)(?:beaten )?(?:egg|yolks?|milk)(?=\s*[.,]|\s*$)|spray(?:ed)?(?: [a-zß-öø-ɏ]+){0,3} with|(?:oil|butter|grease) (?:the |\d+ |each |every |a |another |between )*(?:sheets?|filo|strips?|layers?|tops?))\b/i
export const BRUSHES = recalled(BRUSHES_WITH)
export const MIXES = recalled(/\b(?:mix|beat|stir|combine|whisk|blend)\b/i)

/** Clauses that brush; where one names nothing ("brush each sheet"), with the clause before that mixed it. */
export const brushingsOf = (clauses: readonly Clause[]): (Clause & { mixed: string })[] =>
  clauses.flatMap((clause, at) => {
    const brushes = BRUSHES.exec(clause.text)
    if (!brushes) return []
    // "Mix the butter and garlic and brush over the rolls": with what stands in front.
    const front = clause.text.slice(0, brushes.index)
    if ((MIXES.test(front) || MELTS.test(front)) && BRUSHES_OVER.test(clause.text.slice(brushes.index)))
      return [{ ...clause, mixed: front }]
    const before = clauses[at - 1]
    const bare =
      (BRUSHES_SHEET.test(clause.text.slice(brushes.index)) || BRUSHES_BARE.test(clause.text)) &&
      before &&
      MIXES.test(before.text)
    return [{ ...clause, mixed: bare ? before.text : '' }]
  })
const MELTS = recalled(/\b(?:melt|warm|heat)\b[^.;]*\bwith\b/i)
const BRUSHES_OVER = recalled(
  /^brush\w*(?: (?:it|this))? (?:over|on|onto|(?:the |all )?(?:edges?|rims?|borders?))\b(?!.*\bwith\b)/i,
)
/** "Whisk egg and water; brush edges": with what has just been mixed. */
const BRUSHES_BARE = recalled(
  /^\W*brush(?: (?:it|this))?(?: (?:over|on|onto))?(?: (?:the|all))? (?:edges?|rims?|borders?|tops?)\b(?!.*\bwith\b)/i,
)
/** "Brush each sheet, lay the filling on": with what stands before it. */
const BRUSHES_SHEET = recalled(
  /^(?:brush|moisten|wet|drizzle)\w*(?: (?:well|generously|lightly))? (?:each|every|the|a|one|all|both|between) (?:[a-zß-öø-ɏ]+ ){0,2}?(?:sheets?|layers?|yufka|filo|phyllo|leaf|leaves|strips?)\b(?! (?:of (?:[a-zß-öø-ɏ]+ )?)?(?:[a-zß-öø-ɏ]+ )?with\b)/i,
)
