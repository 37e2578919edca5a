import type { AmountWording } from './amountWords'
import { PORTIONS_OF_DOUGH } from './promises'

// Work as hurried hands write it, brought to one form before a step is cut into sentences.

/** Every wording that is brought to another, with a step that says it so. */
export const WORK_WORDINGS: readonly AmountWording[] = [
  {
    like: 'Add potato and splash of water',
    becomes: 'Add potato and a splash of water',
    pattern:
      /(?<=\b(?:and|with|add|in|or|for|,) )(?=(?:splash|pinch|knob|drizzle|handful|bit|dash|dollop|drop) of [a-z])/gi,
    to: () => 'a ',
  },
  {
    // In oil nothing is poached: it softens.
    like: 'Chop the onion and poach it in a little olive oil for 10 minutes',
    becomes: 'Chop the onion and soften it in a little olive oil for 10 minutes',
    pattern:
      /\bpoach(?= (?:it|them|the [a-z]+(?: and [a-z]+)?|[a-z]+)? ?(?:gently |slowly )?in (?:a little |some |the |plenty of |\d+ (?:tbsp|ml) )?(?:of )?(?:hot |warm )?(?:olive |sunflower |vegetable |rapeseed )?(?:oil|butter|lard)\b)/gi,
    to: () => 'soften',
  },
  {
    like: '18 portions, flatten, fill',
    becomes: '18 pieces, flatten, fill',
    pattern: PORTIONS_OF_DOUGH,
    to: (_, many) => `${many} pieces`,
  },
  {
    like: 'pastry in 5, saucer size',
    becomes: 'divide pastry in 5, saucer size',
    pattern: /(?<=^\W*|[.,;]\s)((?:the )?(?:dough|pastry) in(?:to)? \d{1,2})(?=\s*(?:[,.;(]|$))/gi,
    to: (_, parts) => `divide ${parts}`,
  },
  {
    // A list that says how it was cooked is work as well.
    like: 'Filling 1 cup coconut and 0.5 cup jaggery cooked 6-8 min',
    becomes: 'Filling 1 cup coconut and 0.5 cup jaggery, cook 6-8 min',
    pattern:
      /(?<=(?:^|[.;]\s)\W*(?:for )?(?:the )?(?:filling|stuffing|inside)\b(?:[^.;]|\.\d)*\d(?:[^.;]|\.\d)*?),?\s+(cook|fri|brown|simmer|soften|saut[eé]|roast|boil|stew)ed (?=(?:[a-z]+ly |for |about )*\d{1,3}(?:-\d{1,3})? ?min)/gi,
    to: (_, verb) => `, ${verb.toLowerCase() === 'fri' ? 'fry' : verb} `,
  },
  {
    like: 'Brown the mince, add rest 3 min',
    becomes: 'Brown the mince, add the rest and cook 3 min',
    pattern: /\badd (?:the )?rest,? (?:for )?(?=\d{1,2}(?:-\d{1,2})? ?min)/gi,
    to: () => 'add the rest and cook ',
  },
  {
    like: 'Bake 25 min, brush with butter and back in the oven for 5 min',
    becomes: 'Bake 25 min, brush with butter, bake 5 min more',
    pattern:
      /(?<=\bbake\b[^.;]*\d ?min[^.;]*),?\s+(?:(?:and|&|then) )*(?:(?:put|pop|return) (?:(?:it|them) )?)?back in(?:to)?(?: the (?:hot )?oven)?,? (?:for )?(?:about |another )?(\d{1,2}(?:-\d{1,2})?) ?min\w*/gi,
    to: (_, minutes) => `, bake ${minutes} min more`,
  },
  {
    like: 'For the cheese pie I boil 600 g potatoes',
    becomes: 'I boil 600 g potatoes',
    pattern:
      /(?<=^\W*)for (?:the|my|our) (?:[a-zß-öø-ɏ&-]+ ){0,4}(?:pies?|pasties|pasty|buns?|dumplings?|turnovers?|samosas?|parathas?|rolls?|empanadas?|momos?) (?=(?:i|we|you) )/gi,
    to: () => '',
  },
  {
    like: 'Fry 4 at time',
    becomes: 'Fry 4 at a time',
    pattern: /\b(?<=\d )at time\b/gi,
    to: () => 'at a time',
  },
  {
    like: 'put heaped teaspoon of filling in the middle',
    becomes: 'put 1 heaped teaspoon of filling in the middle',
    pattern:
      /\b(put|place|add|spoon|drop|use|dollop|pop|fill(?: each| them)? with)(?: in)? (?=(?:(?:heaped|heaping|level|scant|generous|rounded|good|small|big) )?(?:(?:table|tea)spoon(?:ful)?|tbsp|tsp|spoonful|dollop)(?: of)?(?: (?:the )?(?:filling|stuffing|mixture|mix)\b| (?:on|in|into|onto|per|for) (?:each|every|one|(?:the )?(?:middle|cent))|,? (?:fold|seal|pinch)))/gi,
    to: (_, put) => `${put} 1 `,
  },
]

/** A step with its work in one form. @param step its numbers in digits */
export const withPlainWork = (step: string): string =>
  WORK_WORDINGS.reduce((text, { pattern, to }) => text.replace(pattern, to), step)
