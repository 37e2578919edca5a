import {
  after,
  before,
  IN_EACH,
  LUMPS,
  MOST_PIECE_GRAMS,
  MOST_SPOONS,
  WHAT_FILLS,
  words,
  type Size,
} from './sizeWords'

// What a weight or a spoon in a clause may be of: a ball of dough, or what goes in; each with a sentence that shows it.

/** Rows of `SIZES`; the order decides. */
export const WEIGHTS_AND_SPOONS = {
  fillingIn: {
    of: 'weight',
    says: 'Put 30 g of the filling in each.',
    fact: 'filling-grams-per-piece',
    after: after(String.raw`(?:of )?(?:the |your )?(?:[a-zß-öø-ɏ]+ )?${WHAT_FILLS}\b`),
    most: MOST_PIECE_GRAMS,
  },
  fillingInEach: {
    of: 'weight',
    says: 'Put a heaped teaspoon (15 g) in each.',
    fact: 'filling-grams-per-piece',
    after: after(IN_EACH),
    most: MOST_PIECE_GRAMS,
  },
  fillingPut: {
    of: 'weight',
    says: 'Put 30 g curry in the middle.',
    fact: 'filling-grams-per-piece',
    before: before(String.raw`\b(?:put|place|spoon|lay|drop|pile|with)\b(?: about| around| roughly)?`),
    after: after(
      String.raw`(?:of )?(?:the )?(?:(?!dough|butter|oil)[a-zß-öø-ɏ]+ ){1,3}(?:in(?:to)?|on(?:to)?|over) (?:the (?:middle|cent(?:re|er))|each|one half|every)\b`,
    ),
    most: MOST_PIECE_GRAMS,
  },
  fillingWrapped: {
    of: 'weight',
    says: 'Flatten, wrap 30 g bean paste, seal.',
    fact: 'filling-grams-per-piece',
    before: before(String.raw`\b(?:wrap|enclose|wrap (?:around|round))(?: about)?`),
    after: after(String.raw`(?:of )?(?:the )?(?!dough\b)[a-zß-öø-ɏ]+`),
    most: MOST_PIECE_GRAMS,
  },
  fillingPortions: {
    of: 'weight',
    says: 'Divide the filling into 30 g portions.',
    fact: 'filling-grams-per-piece',
    before: before(String.raw`\b(?:filling|stuffing|mixture)\b(?:(?!\bdough\b)[^.;]){0,30}`),
    after: after(String.raw`${LUMPS}\b|each\b|apiece|(?=\W*(?:$|[.,;]))`),
    most: MOST_PIECE_GRAMS,
  },
  fillsEach: {
    of: 'weight',
    says: 'Fill each with 30 g.',
    fact: 'filling-grams-per-piece',
    before: before(String.raw`\b(?:fill|stuff)\b[^.;]{0,20}`),
    after: after(String.raw`[^.;]{0,20}\beach\b|(?=\W*(?:$|[.,;]))`),
    most: MOST_PIECE_GRAMS,
  },
  balls: {
    of: 'weight',
    says: 'Shape into 40 g balls.',
    fact: 'ball-grams',
    after: after(
      String.raw`${words(1)}(?:balls?|pieces of dough|dough(?: each| balls?|pieces)|(?:of (?:the )?dough\b[^.;]{0,20}\b(?:each|one|per)))\b`,
    ),
    most: MOST_PIECE_GRAMS,
  },
  doughPer: {
    of: 'weight',
    says: '8 g dough and its filling per dumpling.',
    fact: 'ball-grams',
    after: after(String.raw`(?:of )?(?:the )?(?:dough|pastry)(?: (?:\+|and|&|to)|,)`),
    // "250 g dough, 200 g cheese" is all there is.
    clause: /\b(?:per|each|apiece|every|for one|pcs|pieces|balls)\b/i,
    most: MOST_PIECE_GRAMS,
  },
  doughNamed: {
    of: 'weight',
    says: '10 balls each (dough 52 g / filling).',
    fact: 'ball-grams',
    before: before(String.raw`\b(?:each|balls?|per [a-zß-öø-ɏ]+)\b[^.;\d]{0,12}\bdough(?: of| at)?`),
    most: MOST_PIECE_GRAMS,
  },
  doughTaken: {
    of: 'weight',
    says: 'Take 25 g of the dough, flatten.',
    fact: 'ball-grams',
    before: before(
      String.raw`\b(?:take|use|weigh(?: out| off)?|(?:pinch|pull|break|tear|cut) off)(?: about)?`,
    ),
    after: after(String.raw`(?:of )?(?:the |your )?(?:dough|pastry)\b`),
    most: MOST_PIECE_GRAMS,
  },
  ballsOf: {
    of: 'weight',
    says: 'Divide the dough into 12 pieces of 40 g.',
    fact: 'ball-grams',
    before: before(
      String.raw`\b(?:in|into|to|make|makes|get|shape|form|divide|of|cut|portion) (?:about )?\d{1,3} (?:equal |even |round )?(?:dough )?${LUMPS}\b(?:,| of| \(|\(?each| each| weighing| about| that weigh| at)*`,
    ),
    most: MOST_PIECE_GRAMS,
  },
  ballsEach: {
    of: 'weight',
    says: 'Make balls of 40 g.',
    fact: 'ball-grams',
    before: before(
      String.raw`\b(?:balls|buns|portions of dough|pieces of dough|lumps)\b(?:,| of(?: dough)?| each| weighing| about| at)*|\b(?:each|every|the) (?:ball|piece|bun|portion)s? (?:of dough )?(?:should |will |must )?(?:weighs?|be)(?: in at)?`,
    ),
    most: MOST_PIECE_GRAMS,
  },
  lumpsAhead: {
    of: 'weight',
    says: '12 pieces (55 g), wrap.',
    fact: 'ball-grams',
    before: before(
      String.raw`^\W*(?:makes? )?\d{1,3} (?:equal |even |round )?(?:dough )?(?:balls?|pieces|pcs|portions|lumps)\b(?:,| of| \(|\(|about| at|~| )*`,
    ),
    most: MOST_PIECE_GRAMS,
  },
  soMany: {
    of: 'weight',
    says: 'Divide into 12 (about 40 g each).',
    fact: 'ball-grams',
    before: before(
      String.raw`\b(?:in|into|to) \d{1,3}(?: ?[x×]|:|,)?|\b(?:cut|divide|portion|scale|make|weigh(?: out| off)?) \d{1,3}(?: (?:balls?|pieces?))? ?[x×]`,
    ),
    most: MOST_PIECE_GRAMS,
  },
  cutPieces: {
    of: 'weight',
    says: 'Roll into a rope and cut 10 g pieces.',
    fact: 'ball-grams',
    before: before(
      String.raw`\b(?:cut|portion|divide|shape|form|make|pinch(?: off)?|pull(?: off)?|break(?: off)?|tear(?: off)?|take|roll|into|in)\b[^.;,]{0,16}`,
    ),
    after: after('(?:pieces|portions|lumps|bits|buns)\\b'),
    most: MOST_PIECE_GRAMS,
  },
  doughEach: {
    of: 'weight',
    says: 'Divide the dough, about 40 g each.',
    fact: 'ball-grams',
    before: before(String.raw`\b(?:dough|divide|portion|cut|balls?|pieces)\b[^.;]{0,40}(?<!\bwith)`),
    after: after('each\\b|apiece'),
    most: MOST_PIECE_GRAMS,
  },
  scaled: {
    of: 'weight',
    says: 'Scale the dough at 60 g.',
    fact: 'ball-grams',
    before: before(String.raw`\b(?:scale|portion|weigh)(?:d| out| off)?(?: the dough| it| them| pieces)? at`),
    most: MOST_PIECE_GRAMS,
  },

  spoonFillings: {
    of: 'spoon',
    says: 'Put 1 tbsp of the filling on each round.',
    fact: 'filling-tbsp-per-piece',
    after: after(String.raw`(?:of )?(?:the )?(?:filling|stuffing)\b`),
    most: MOST_SPOONS,
  },
  spoonEach: {
    of: 'spoon',
    says: 'Fill, 1 tbsp each.',
    fact: 'filling-tbsp-per-piece',
    // "Roast on both sides with ghee, about a tsp each".
    before: before(String.raw`(?<!\b(?:ghee|oil|butter|fat|water|dough)\b[^.;]{0,14})`),
    after: after(String.raw`(?:\([^()]*\) )?(?:of it )?each(?=\W*(?:$|[.,;]))`),
    most: MOST_SPOONS,
  },
  spoonMix: {
    of: 'spoon',
    says: 'Spoon 2 tsp of the mixture onto each.',
    fact: 'filling-tbsp-per-piece',
    after: after(
      String.raw`(?:of )?(?:the )?(?:(?:[a-zß-öø-ɏ]+ )?(?:mixture|mix)|meat|mince(?:meat)?|keema|jam)\b`,
    ),
    most: MOST_SPOONS,
    needsAbout: true,
  },
  spoonInEach: {
    of: 'spoon',
    says: 'Put 2 tbsp on each.',
    fact: 'filling-tbsp-per-piece',
    after: after(IN_EACH),
    most: MOST_SPOONS,
  },
  spoonOnHalf: {
    of: 'spoon',
    says: 'Spread 2 tbsp on one half.',
    fact: 'filling-tbsp-per-piece',
    after: after(String.raw`(?:over|on(?:to)?) (?:(?:one|1) (?:half|side)|the (?:empty |other )?half)\b`),
    most: MOST_SPOONS,
    needsAbout: true,
  },
  spoonPer: {
    of: 'spoon',
    says: 'Use 1 tbsp per round of the filling.',
    fact: 'filling-tbsp-per-piece',
    after: after(
      String.raw`in(?:to)? (?:every|the (?:centre|center|middle))|(?:at|near|along) (?:the|one) (?:\S+ )?(?:end|edge|corner|bottom|side) of (?:each|every|the)\b|on(?:to)? (?:every|one)(?! side)|(?:per|for each|for every|to each) [a-zß-öø-ɏ]+`,
    ),
    most: MOST_SPOONS,
    needsAbout: true,
  },
  spoonPut: {
    of: 'spoon',
    says: 'Fill each with 1 tbsp.',
    fact: 'filling-tbsp-per-piece',
    before: before(
      String.raw`(?<!\b(?:the|for|your|my) |^\W*(?=filling\b))\b(?:fill(?:ed|ing)?|put|place|spoon|stuff(?:ed|ing)?)\b[^.]{0,40}`,
    ),
    most: MOST_SPOONS,
    needsAbout: true,
    exact: true,
  },
  // The clause ends where the hands begin to close.
  spoonClosed: {
    of: 'spoon',
    says: '2 tbsp apples,',
    fact: 'filling-tbsp-per-piece',
    before: /^\W*$/,
    after: after(
      String.raw`(?:of )?(?:the )?(?!(?:oil|butter|ghee|water|milk|flour|sugar|egg|salt|paste|dough)\b)[a-zß-öø-ɏ]+,\s*$`,
    ),
    most: MOST_SPOONS,
  },
} as const satisfies Readonly<Record<string, Size>>
