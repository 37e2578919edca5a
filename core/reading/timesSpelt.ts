import type { AmountWording } from './amountWords'

// Times of the work as hurried cooks write them, brought to one form before a step is cut into sentences.

/** Every wording that is brought to another, with a step that says it so. */
export const TIME_WORDINGS: readonly AmountWording[] = [
  {
    // One side and the other.
    like: 'Lid on, 3 + 3 min',
    becomes: 'Lid on, 6 min',
    pattern: /(?<![\d.,/°]|\d )\b(\d{1,2}) ?\+ ?(\d{1,2})(?= ?min)/gi,
    to: (_, one, other) => String(Number(one) + Number(other)),
  },
  {
    // A number by itself is of minutes.
    like: 'Rest in the fridge 30.',
    becomes: 'Rest in the fridge 30 min.',
    pattern:
      /\b((?:rest|chill|relax|refrigerate|prove|proof)(?: (?:it|them|for|about|covered|the dough|the pastry|in the fridge|in the freezer))* (?:[1-9][05]|90))(?=\s*(?:$|[.,;]))/gi,
    to: (_, wait) => `${wait} min`,
  },
  {
    // Articles that a hurried hand leaves out.
    like: 'Rest dough hour',
    becomes: 'Rest dough 1 hour',
    pattern:
      /\b((?:rest|chill|rise|prove|proof|refrigerate|soak|leave|stand|simmer|freeze|marinate)(?: (?:it|them|dough|pastry|for|about|another|covered|in fridge)){0,3}) (?=hour\b)/gi,
    to: (_, wait) => `${wait} 1 `,
  },
  {
    like: 'fry another 5 take it off',
    becomes: 'fry another 5 min take it off',
    pattern:
      /\b((?:fry|cook|simmer|bake|boil|steam|saut[eé]|roast|stir)(?: it| them| for)? (?:another|a further) \d{1,2})(?=\s*(?:$|[.,;]|(?:and|then|take|until|till|or so|so)\b))/gi,
    to: (_, more) => `${more} min`,
  },
  {
    // It is poured in.
    like: 'Water to 1/3 height (about 150 ml), lid, 7 min',
    becomes: 'add 150 ml water, lid, 7 min',
    pattern:
      /((?:^|[.;,]\s+|\bthen\s+))water(?: in| to (?:1\/[234]|half|a third|halfway)(?: (?:the |their )?height)?)?(?:\s*\((?:about )?(\d+ ?ml|[\d./]+ ?cups?)\))?(?=,? (?:lid|cover))/gi,
    to: (_, lead, amount) => `${lead}add ${amount ?? 'some'} water`,
  },
  {
    // Nobody kneads so long.
    like: 'Knead, 1 hr',
    becomes: 'Knead, rest 1 hr',
    pattern:
      /\b(knead(?: (?:it|well|until smooth|till smooth|\d{1,2} ?min\w*))?),\s+(?=(?:an?|one|two|\d) ?(?:hrs?|hours?|h)\b|(?:[3-9]\d) ?min)/gi,
    to: (_, knead) => `${knead}, rest `,
  },
]

/** A step with its times in one form. @param step its numbers in digits */
export const withPlainTimes = (step: string): string =>
  TIME_WORDINGS.reduce((text, { pattern, to }) => text.replace(pattern, to), step)
