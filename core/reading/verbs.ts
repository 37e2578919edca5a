/** What a cook does with a thing; words that are as often no verb ("heat", "oil", "flour") are left out. */
export const WORKS_ON =
  'add|mash|chop|mix|stir|simmer|cook|fry|bake|boil|steam|roast|knead|rest|prove|proof|chill|cool|fold|seal|crimp|pleat|pinch|press|brush|sprinkle|cut|divide|roll|fill|stuff|close|flatten|shape|drain|squeeze|season|pour|cover|uncover|put|place|turn|reduce|lower|raise|grind|blend|serve|dip|wrap|glaze|slash|scatter|stretch|wilt|toss|peel|slice|grate|dust|thicken|coil|twist|gather|beat|whisk|strain|rinse|line|spoon|spread|top'

/** What a cook goes on to do: to let it be as well. */
export const GOES_ON = `${WORKS_ON}|let|leave|form`

const DONE_WORDS: Readonly<Record<string, string>> = { fried: 'fry', sautéed: 'fry', sauteed: 'fry' }
/** The verb of what has been done: "fried" is "fry", "roasted" is "roast". */
export const verbOfDone = (done: string): string => DONE_WORDS[done.toLowerCase()] ?? done.replace(/ed$/i, '')

/** What has been done to a food in a pan or an oven before it goes in. */
export const FRIED =
  'fried|cooked|browned|softened|saut[eé]ed|sweated|wilted|caramelised|caramelized|scrambled|toasted|roasted|stewed|tossed'
