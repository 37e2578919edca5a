/** What kind of heat a way of cooking is, as far as vitamins ask. */
export type Heat = 'oven' | 'fat' | 'steam' | 'water'

interface PrecookingRow {
  /** On screen, of a filling: "fried". */
  name: string
  heat: Heat
  /** Weight that is left when something cooked already is cooked again. Common practice, no source. */
  cookedAlready: number
  /** What a method calls it. */
  said: RegExp
}

/**
 * How a filling may be cooked before it goes in, in the order in which their words are looked for. A new way is a
 * row here and a column of `data/yields.csv`.
 */
export const PRECOOKING_TABLE = {
  fry: {
    name: 'fried',
    heat: 'fat',
    cookedAlready: 0.95,
    said: /\b(?:(?:stir[- ]|dry[- ]|pan[- ])?fr(?:y|ied|ying)(?! ?pan)|saut[eé](?:ed|ing)?|render(?:ed|ing)? (?=(?:\p{L}+ ){0,2}(?:bacon|lardons?|fat|pancetta|chorizo))|(?<!\bto )soften(?:ed|ing)?|sweat(?:ed|ing)?|brown(?:ed)?(?! (?:sugar|rice|lentils|bread|flour|sauce|onions))|(?<=\b(?:oil|ghee|butter),? )brown|wilt(?:ed|ing)?|toss on|scrambled?|temper|splutter|caramelis|caramelize|bhuno)\b|\bin (?:the |some |a little )?(?:butter|oil|ghee|lard)\b[^.]{0,30}\b\d+\s*min|\bcook\b[^.]{0,40}\b(?:oil|butter|ghee|lard|fat)\b/iu,
  },
  roast: {
    name: 'roasted',
    heat: 'oven',
    cookedAlready: 0.95,
    said: /\b(?:roast(?:ed)?|char(?:red)?(?! siu)|grill(?:ed)?|bake (?:the|until|whole)|(?:pierce|prick|scrub|wrap|halve|peel|toss)\b[^.;]{0,40}\band bake (?:at|for|in)\b|broil)\b/i,
  },
  steam: {
    name: 'steamed',
    heat: 'steam',
    cookedAlready: 1,
    said: /\b(?:steam(?:ed)?|microwaved?)\b/i,
  },
  simmer: {
    name: 'simmered',
    heat: 'water',
    cookedAlready: 1,
    said: /\b(?:simmer(?:ed|ing)?|boil(?:ed|ing)?|poach(?:ed)?|stew(?:ed)?|brais(?:e|ed|ing)|blanch(?:ed)?|pressure[- ]cook(?:ed)?|parboil(?:ed)?|reduce|thicken|bubbl(?:e|ing)|blip(?:ping)?|slow[- ]cook(?:er)?|pressure[- ]cook(?:er|ed)?|whistles?)\b/i,
  },
} as const satisfies Record<string, PrecookingRow>

export type PrecookingWay = keyof typeof PRECOOKING_TABLE
export const PRECOOKING_WAYS = Object.keys(PRECOOKING_TABLE) as [PrecookingWay, ...PrecookingWay[]]
