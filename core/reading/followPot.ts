import { recalled } from './matches'
import type { Food } from '../food/food'
import { foodIs } from '../food/groups'
import type { PrecookingWay } from '../recipe/precookingWays'
import { CALLED, isFat, wordsOfDraft, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'
import { NOT_DONE } from './heatEvents'
import { isAside, withoutVents, type Clause } from './method'
import { Pot } from './pot'
import { DRY, isPlainCook, wayIn } from './precookingVerb'
import { isHeatLine, middleMinutes, timesIn } from './time'
import { GOES_ON } from './verbs'

// What is in the pot of a part while the sentences that speak of it go by.

/** "Heat the oil": the pot is hot and nothing is in it yet. */
const HEATS_FAT = recalled(
  /\b(?:heat|warm|melt) (?:the |some |a little |\d\S* \w+ )?(?:(?:rest|half) of (?:the )?)?(?:\w+ )?(?:oil|butter|ghee|lard)\b/i,
)
const OFF = recalled(
  /\b(?:cool(?:ed)?|fridge|refrigerat\w*|chill|overnight|(?:off|from) (?:the )?heat|(?:go|gone|goes|get) cold|turn off|switch off|set aside|when cold|once cold|leave to cool|take off)\b/i,
)
const ALL = recalled(
  /\b(?:filling|stuffing|mixture|everything|all(?=\W*$)|all (?:the )?(?:ingredients|stuffing|filling|together)|the rest|the lot|veg(?:etables)?|powders?|spices|masalas?)\b/i,
)
/** Wrung out, mashed or chopped: it is out of its pot, and what follows is stirred in raw. */
const OUT_OF_POT = recalled(
  /\b(?:squeeze|wring)(?: (?!in\b|over\b|of\b|lemon|lime)\p{L}+){0,2} (?:out|dry|well|hard)\b|\bsqueeze (?:out|dry)\b|\b(?:squeeze|wring)(?: (?:it|them))?\W*$|\bdrain(?:ed)?(?: (?:well|thoroughly|it|them))*\W*$|^\W*(?:mash|crush|chop|blitz|pur[ée]e(?=\s+(?:it|them|the|until|till)\b))(?!\p{L})/iu,
)
const ADDS = recalled(
  /\b(?:add|stir in|mix in|toss in|tip in|put in|throw in|pour in|grate in|crumble in|back in|with the|and the|whisk in|then)\b/i,
)
const LID_ALONE = recalled(
  /^\W*(?:cover(?: the pan)?|(?:put )?(?:the |a )?lid on|stir(?:ring)?(?: (?:occasionally|often|well))?|season(?: well)?)\W*$/i,
)
const ADDING = recalled(
  /^\W*(?:adding|with) (?:in )?(?:the )?\p{L}[^;]*\b(?:last|final|end|halfway|half way|towards)\b/iu,
)
const ADDED_TO = recalled(
  /\b(?:add|stir|tip|put)\b (?:(?:half|some|most|a third|two[- ]thirds|a quarter)(?: of (?=it|them|the))? ?)?(?:it |them |this |these |the \p{L}+ )?(?:in)?to (?:the )?(\p{L}{3,}(?: \p{L}+)?)/iu,
)
/** Water of the pot that the pieces, or the potatoes in it, are boiled in. */
const HEATS_WATER = recalled(
  /\b(?:bring|boil) (?:a (?:large |big )?(?:pot|pan) of |the |some )?(?:salted )?water\b/i,
)
const INGREDIENT_STATES =
  /\b(?:boiled|cooked|roasted|fried|browned|steamed|toasted|scrambled|blanched)\s+(?=\p{L})(?!(?:in|with|until|till|for|over|on|down|whole|slow|\p{L}+ly)\b)/giu

const GOES_IN_RAW = recalled(
  /\b(?:goes?|stays?|kept|left|add(?:ed)?|stir(?:red)?|mix(?:ed)?)(?: it| them)?(?: in)? raw\b/i,
)
const INTO_BOWL = recalled(
  /\b(?:tip|turn|scrape|transfer|put|move|empty|spoon|add)\b (?:it |them |this |everything |all |the \p{L}+ )?(?:out )?(?:in)?to (?:a|the|your|another) (?:\p{L}+ )?bowl\b/iu,
)
const DOES_IT_IN = recalled(
  /^\W*(?:and )?(?:then )?(?:stir[- ]?fry|fry|saut[eé]|cook|roast|soften|sweat|brown|simmer|boil|steam)\s+(?:(?:it|them|gently|slowly|all|this)\s+)*(?:in|with|for|until|till|over|on|\d)/iu,
)

/** With less liquid than this share of what is in the pot nothing simmers. Our own choice. */
const MIN_POURED_SHARE = 0.08

const SIMMERS = recalled(/\b(?:simmer|stew|braise|bubble|boil|poach|lid|cover)/i)
const POURS_ON = recalled(
  /(?:\b(?:add|pour|(?<!\ban? (?:\p{L}+ )?)splash|plus|cover)\b|\+)(?![^.]{0,40}\ba (?:small |little |tiny |good )?(?:splash|dash|drop)\b)(?:[^.]|(?<=\b(?:c|tbsp|tsp|oz))\.){0,40}\b(?:water|stock|broth|wine|beer|ale|cider)\b/iu,
)

/** "Add the peas and 1/4 cup water, cover, cook 10 min": it stews. */
const COVERED = recalled(/\b(?:cover|lid on)\b/i)

const LONG = recalled(/\b(?:hours?|hrs?|[3-9]\d ?min)/i)
const ADDS_LIQUID = recalled(/\b(?:add|pour|stir in|whisk in|with the)\b/i)
const WHOLE_POT = recalled(/\b(?:everything|all|filling|stuffing|mixture)\b/i)
const STRETCHES =
  /,\s+(?=\p{L})|\.\s+|\s+(?:and|&) (?=(?:cook|fry|simmer|boil|roast|add|stir|cool|saut|let|season|mash|crush)\b)/iu

/** "Mix with the cheese": what has been cooked is out of its pot. */
const COMBINES = recalled(
  /^\W*(?:then )?(?:mix|combine|toss|mash|crush|work|fork|beat) (?:(?:\p{L}+ ){0,4}with\b|(?:all|everything|it all|them all)\b)/iu,
)

/** "A pound of beef one onion two cloves of garlic": told what there is, and nothing done with it yet. */
const isListing = (text: string): boolean =>
  (text.match(/(?:^|\s)(?:\d[\d./]*|[¼½¾⅓⅔]|an?|half)\s+\p{L}/giu)?.length ?? 0) >= 3

/** What is laid on dough by itself. */
const ASSEMBLES = recalled(/\b(?:spread|lay|layer|scatter|sprinkle|top|dot|smear|add)\b/i)
const MARINATES = recalled(/^\W*(?:marinate|coat|rub|toss)\b/i)
const ROLLS = recalled(/\b(?:cut|roll|divide|portion)\b/i)
const MIXES = recalled(/^\W*(?:then )?(?:mix|combine|toss|stir)\b/i)

const PREPARES = recalled(
  /^\W*(?:\p{L}+ly )?(?:grind|chop|slice|dice|grate(?! in\b)|soak|squeeze|drain|peel|wash|mash|rinse|shred|crumble(?! in\b)|cut|salt|thaw|press|crush|cube|mince(?! \d)|finely|pit|core)\b/iu,
)

const LID_OFF = recalled(
  /^\W*(?:for )?(?:an? |another |\d)[^.;]{0,16}(?:min\w*|hours?|hrs?|h)\b[^.;]{0,8}\b(?:un)?covered\W*$|^\W*(?:uncover(?:ed)?|lid off)(?: and (?:roast|cook|bake))? (?:for )?(?:another )?\d[^.;]{0,12}(?:min\w*|hours?|h)\W*$/i,
)
/** "… sugar, salt and the water". */
const THE_LIQUID = recalled(/\bthe (?:water|stock|broth|wine|beer)\W*$/i)
/** Roots, pulses and grain that are cooked by themselves are boiled. Common practice, no source. */
const isCookedInWater = (food: Food | null): boolean =>
  food !== null &&
  (/^(?:potato|sweet-potato|yam|cassava)$/.test(food.id) ||
    /^(?:pulse|grain|noodle|rice|pasta)$/.test(food.group))
/** So long no potato is fried in a pan. Our own choice. */
const BOILS_FROM_MINUTES = 15
const isJuicy = (food: Food | null): boolean => /^tomato(?!-puree)/.test(food?.id ?? '')
const IN_THE_FAT =
  /\b(?:in|with) (?:the |hot |a little |some |\d\S* \p{L}+ )*(?:\p{L}+ )?(?:oil|butter|ghee|lard)\b/iu
const IN_WATER = /\b(?:in|with|and) (?:the |its |their )?water\b(?! to cover)/i
const LISTS_WATER = /^\W*(?:the )?water\b/i
const UNTIL = /\b(?:until|till)\b.*$/i
const MASHES = recalled(/^\W*(?:mash|crush|flake)\b/i)
const isReady = (food: Food | null): boolean => food !== null && /^(?:cooked|canned)$/.test(food.state ?? '')
const BAKES = recalled(/^\W*(?:then )?bake\b[^.;]*\d/i)
const BLENDS = recalled(/^\W*(?:blitz|blend|pulse|process|whizz)\b/i)

/** "Filling: fry the onions": the name in front is no food of it. */
const withoutLabel = (text: string): string =>
  text.replace(/^[^:;,.]{0,40}\b(?:filling|stuffing|mixture)\b[^:;,.]{0,16}:\s*/i, '')
/** "Stir in the cheese off the heat", "add the peas when cool". */
const ADDED_COLD = recalled(
  /^\W*(?:then )?(?:add|stir|mix|fold|tip|throw|grate|crumble)\b[^;]*\b(?:off the heat|(?:once|when) (?:it(?:['’]s| is) |they(?:['’]re| are) )?(?:cool|cold)(?:ed)?|after cooling)\W*$/i,
)
const IN_PAN = recalled(
  /\b(?:in|into) (?:an? |the |your )?(?:\p{L}+ ){0,3}?(?:pan|pot|saucepan|wok|kadai|skillet|casserole)\b|^\W*(?:same pan|oil in|butter in|ghee in)\b|\b(?:on|over) (?:an? )?(?:low|medium|high|gentle)(?: heat| flame)?(?=\W*(?:$|,|\d|for\b|until|till))/iu,
)
/** "Everything but the cheese". */
const LEAVES_OUT =
  /\b(?:everything|all(?: the ingredients)?|the lot|the rest)\s+(?:but|except(?: for)?|apart from|bar|minus|without|other than) (?:the )?((?:(?!\bfor\b|\bin\b|\buntil\b|\bon\b)[^.;,\d])*)/i
/** With liquid in the pot so long by itself is simmering. Our own choice. */
const SIMMERS_FROM_MINUTES = 8
const minutesIn = (text: string): number => timesIn(text).reduce((sum, time) => sum + middleMinutes(time), 0)
const THEM = recalled(/\b(?:them|these|those)\b/i)
const PREPARED = recalled(
  /\b(?:washed|sliced|chopped|diced|peeled|grated|shredded|trimmed|cubed|crushed|minced)\W*$/i,
)
const BARE_VERB = recalled(
  /^\W*(?:boil|fry|cook|steam|roast|simmer|blanch|saut[eé]|brown|soften|grill|bake)\W*$/i,
)
/** "Add the onion and fry gently". */
const PUTS_IN = recalled(/^\W*(?:then )?(?:add|put in|tip in|chuck in|throw in)\b/i)
const STANDS_IN = recalled(
  /\bin (?:with|there|it)\b|\b(?:goes?|into the pan|in the pan|into (?:\p{L}+ ){0,3}water)\b/iu,
)
const MADE_SO =
  /\b(?:(?<boiled>boiled)|(?<steamed>steamed)|(?<fried>fried)|(?:roasted|baked))\s+(?:and (?:mashed|peeled|cooled) )?(?!(?:in|with|until|till|for|over|on)\b)(?<food>\p{L}+(?: \p{L}+)?)/giu
const REST = recalled(
  /\bthe rest\b|\bremaining\b|\beverything else\b|\bother (?:ingredients|things|stuff|filling)\b/i,
)
const DRAINED = recalled(/\bdrain(?:ed|ing)?\b(?! (?:off )?(?:the |any |excess )*(?:fat|oil|grease))/i)
const VERB = recalled(
  new RegExp(`\\b(?:${GOES_ON}|crush|crumble|combine|set|tip|when|once)(?:s|d|ed|ing)?\\b`, 'iu'),
)
const ADDS_REST = recalled(
  /^\W*(?:(?:then )?(?:add|tip in|stir in|in goes?|throw in) )?(?:all )?(?:the rest|everything else|(?:the )?(?:remaining|other) (?:ingredients|filling))(?: of the (?:filling|ingredients))?(?=\W*$)/i,
)

/** Follows the clauses that speak of a part through its pot. */
export function followPot(draft: Draft, clauses: readonly Clause[]): { pot: Pot; untilDry: boolean } {
  const grams = draft.lines.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  const poured = draft.lines.reduce(
    (sum, { line, food }) => sum + (foodIs(food, 'pours') ? (line.grams ?? 0) : 0),
    0,
  )
  // Chopped tomatoes simmer in their own juice.
  const juicy = draft.lines.reduce((sum, { line, food }) => sum + (isJuicy(food) ? (line.grams ?? 0) : 0), 0)
  const simmers = clauses.some(
    ({ about, closed, text }) => !closed && (about === draft || about === null) && /\bsimmer/i.test(text),
  )
  const pot = new Pot(poured + (simmers ? juicy : 0) > MIN_POURED_SHARE * grams)
  let untilDry = false
  const words = wordsOfDraft(draft)
  const wordsOfLine = draft.lines.map((item) => {
    const name = item.food ? item.food.name.split(',')[0]! : ''
    const called = item.food?.synonyms.filter((other) => !other.includes(' ')).join(' ') ?? ''
    const minced = item.food?.group === 'minced-meat' ? 'mince' : ''
    const own = normaliseName(`${item.read.name} ${name} ${called} ${minced}`)
      .split(' ')
      .filter((word) => words.has(word))
    // "Sauté the onion and pepper" is a vegetable's, where there is one.
    if (item.food?.group === 'spice' && own.includes('pepper')) return own.filter((word) => word !== 'pepper')
    // "Brown the beef" puts no beef stock into the pot.
    const stock = own.filter((word) => /^(?:stock|broth|bouillon)$/.test(word))
    return stock.length ? stock : own
  })
  const every = draft.lines.map((_, at) => at)
  /** What a line is, without what kind of it: "mushroom" of "chestnut mushrooms". */
  const headOfLine = draft.lines.map(({ read }) => normaliseName(read.name).split(' ').at(-1)!)
  const isWater = (at: number) => draft.lines[at]!.food?.id === 'water'
  const hasFat = draft.lines.some(({ food }) => isFat(food))
  const namedIn = (text: string) => {
    const plain = plainWords(text)
    const traits = CALLED.filter(([word]) => plain.has(word)).map(([, trait]) => trait)
    const found = every.filter(
      (at) =>
        wordsOfLine[at]!.some((word) => plain.has(word)) ||
        traits.some((trait) => foodIs(draft.lines[at]!.food, trait)),
    )
    // "Blitz the chestnuts" means no chestnut mushrooms where there are chestnuts.
    const heads = new Set(found.map((at) => headOfLine[at]!).filter((word) => plain.has(word)))
    return found.filter((at) => {
      const own = wordsOfLine[at]!.filter((word) => plain.has(word))
      const kinds = plainWords(draft.lines[at]!.read.name)
      return (
        own.includes(headOfLine[at]!) ||
        !own.length ||
        own.some((word) => !heads.has(word) || !kinds.has(word))
      )
    })
  }
  const poursIn = (text: string, named: readonly number[]) =>
    ADDS_LIQUID.test(text) && named.some((at) => foodIs(draft.lines[at]!.food, 'pours'))
  // "Marinate the chicken in the paste. Grill 12 min": what lay in it is grilled, and nothing else.
  let marinated: readonly number[] = []
  let sentence = ''
  let lastPrepared: readonly number[] = []
  let blended: readonly number[] = []
  /** What "them" stands for. */
  let lastNamed: readonly number[] = []
  /** "Mash the boiled potatoes with …": what the step takes for cooked, and nobody cooks. */
  const calledSo = new Map<number, PrecookingWay>()
  for (const clause of clauses) {
    // "Roast 2 hours covered, then 30 minutes uncovered": the same goes on.
    if (clause.sentence === sentence && pot.last !== null && LID_OFF.test(clause.text)) {
      pot.addTo(pot.last, [], clause.text)
      continue
    }
    // A clause that says nothing of its own goes on with the pot that is hot.
    const simmersOn =
      pot.last === 'simmer' &&
      /^\W*(?:and )?(?:then )?(?:simmer|boil|cook) (?:for |it |them )*(?:an?|\d|half)\b/i.test(clause.text)
    const goesOn = clause.about === null && !clause.closed && (pot.hot !== null || simmersOn)
    if (clause.about !== draft && !goesOn) {
      // While the dough is rolled and cut nothing goes on cooking.
      if (clause.about === 'pieces' || (clause.about?.kind === 'shell' && ROLLS.test(clause.text))) {
        pot.hot = null
        // "Spread the passata, top with chicken and cheese": what first goes in when the pieces are closed is raw.
        if (pot.ways.size && ASSEMBLES.test(clause.text)) pot.setAside(namedIn(clause.text))
      }
      continue
    }
    // "Simmer the syrup, pour over the hot rolls": nothing of this part is named any more.
    if (clause.closed && clause.about === draft && !namedIn(clause.text).length && !ALL.test(clause.text))
      continue
    // Heat and time by themselves are the oven's, and so is what is baked.
    if (isAside(clause.text)) continue
    if (clause.about !== draft && (isHeatLine(clause.text) || BAKES.test(clause.text))) continue
    // Each stretch between commas and "and" names its own foods and its own verb.
    // "Slow cook 4 hours (or simmer 2)": the bracket allows another way.
    const said = withoutLabel(clause.text).replace(/\(or\b[^()]*\)/gi, '')
    for (const { groups } of said.matchAll(MADE_SO)) {
      const way = groups!.boiled ? 'simmer' : groups!.steamed ? 'steam' : groups!.fried ? 'fry' : 'roast'
      for (const at of namedIn(groups!.food!))
        if (draft.lines[at]!.food?.state === 'raw') calledSo.set(at, way)
    }
    const listed = isListing(said) && !/\b(?:until|till)\b/i.test(said)
    // "Soak the mushrooms, then cook in the same water".
    // "Blitz the mushrooms and shallot. Cook in a dry pan": what was made ready is cooked.
    const cooksBlended = DOES_IT_IN.test(said) && pot.hot === null && !namedIn(said).length
    let prepared: readonly number[] =
      clause.sentence === sentence ? lastPrepared : cooksBlended ? blended : []
    blended = BLENDS.test(said) ? namedIn(said) : []
    sentence = clause.sentence
    let carried: readonly number[] = []
    if (MARINATES.test(said)) marinated = namedIn(said)
    // "Stir in the peas and coriander off the heat".
    if (ADDED_COLD.test(said)) {
      pot.setAside(namedIn(said))
      continue
    }
    // "In a pan: butter, onion, leeks, 15 minutes": what stands in a pan on the heat cooks without a verb.
    const inPanAlone =
      pot.hot === null && IN_PAN.test(said) && wayIn(said, false, false) === null && !PREPARES.test(said)
    if (inPanAlone)
      pot.hot = hasFat || draft.lines.some(({ food }) => foodIs(food, 'flesh')) ? 'fry' : 'simmer'
    const left = LEAVES_OUT.exec(said)?.[1]
    const leftOut = left ? namedIn(left) : []
    if (leftOut.length) pot.leave(leftOut)
    /** The way of the last verb in this clause: what is listed behind it is cooked so too. */
    let clauseWay: PrecookingWay | null = null
    const stretches = (left ? said.replace(LEAVES_OUT, 'everything') : said).split(STRETCHES)
    for (const [n, stretch] of stretches.entries()) {
      // "Boil and mash the potatoes": both verbs have one object.
      const shared = BARE_VERB.test(stretch) && n + 1 < stretches.length ? ` ${stretches[n + 1]}` : ''
      const own = namedIn(stretch + shared)
      // "Chop the onion and fry in the oil": what was cut up goes into the pan.
      // "Chop the mushrooms, stir-fry in the oil": what it is done in is named, and what was cut up is done.
      const object = DOES_IT_IN.test(stretch) ? prepared : []
      const named = own.length
        ? [...new Set([...carried, ...object, ...own])]
        : [...carried, ...(prepared.length || !THEM.test(stretch) ? prepared : lastNamed)]
      if (own.length) lastNamed = own
      // "Leeks - washed, sliced, softened in butter": made ready in front of its verb.
      carried = PREPARED.test(stretch) ? named : []
      // "Leeks in with the butter and fry": what is named in front goes with the verb.
      prepared =
        PREPARES.test(stretch) || STANDS_IN.test(stretch) || (pot.hot === null && PUTS_IN.test(stretch))
          ? own
          : []
      // "Add the cabbage, cover and cook": the lid says nothing of what goes in.
      // "Mash the boiled potatoes, fry the onion and add": what is mashed by itself is in no pan.
      if (
        MASHES.test(stretch) &&
        pot.hot === null &&
        own.length &&
        own.every((at) => isReady(draft.lines[at]!.food))
      )
        pot.setAside(own)
      if (LID_ALONE.test(stretch)) prepared = lastPrepared
      lastPrepared = prepared
      if (HEATS_WATER.test(stretch) && !named.length) continue
      // "Boil the potatoes 10 minutes, adding the peas for the last 2".
      if (ADDING.test(stretch) && own.length && pot.last !== null && clauseWay !== null) {
        pot.addTo(pot.last, own, '')
        continue
      }
      // "The onion goes in raw".
      if (GOES_IN_RAW.test(stretch)) {
        pot.leave(own)
        continue
      }
      // "Tip into a bowl with the lentils": off the heat, and what stands in the bowl is raw.
      if (INTO_BOWL.test(stretch) && pot.ways.size) {
        pot.setAside(named)
        continue
      }
      // "Fry the onions, add to the spinach with the feta": what they are added to is in no pot.
      const to = ADDED_TO.exec(stretch)?.[1]
      const into = to ? namedIn(to) : []
      if (into.length && pot.hot !== null && into.every((at) => pot.ways.get(at) !== pot.hot)) {
        pot.setAside(named.filter((at) => !pot.ways.has(at)))
        continue
      }
      const plain = withoutVents(stretch).replace(NOT_DONE, ' ').replace(INGREDIENT_STATES, ' ')
      // "A pound of potatoes boiled and mashed, one onion fried": how they are bought or made ready.
      const verbs = listed
        ? plain.replace(/\b(?:boiled|cooked|roasted|fried|steamed|toasted)\b/gi, ' ')
        : plain
      const off = OFF.test(stretch)
      if ((pot.hot !== null || pot.ways.size > 0) && POURS_ON.test(stretch)) pot.wet = true
      // "Lid on, low heat, 2 hours": a pot with liquid in it simmers, whatever it was browned in.
      const isCovered =
        pot.wet && pot.hot !== null && /\b(?:lid on|cover(?:ed)?)\b/i.test(verbs) && LONG.test(said)
      // "In a casserole with the stock, cover and cook in the oven": that is no roasting.
      const isBraised =
        pot.wet && /\boven\b/i.test(verbs) && /\b(?:casserole|cover(?:ed)?|lid|pot|braise)\b/i.test(said)
      const isStewed = pot.poured && COVERED.test(said) && /^\W*cook\b/i.test(verbs)
      const way =
        isCovered || isStewed || isBraised
          ? 'simmer'
          : off && !/\b(?:fry|cook|simmer|boil)\b/i.test(verbs)
            ? null
            : wayIn(
                verbs,
                hasFat,
                /\b(?:oil|butter|ghee|lard|fat)\b/i.test(verbs),
                !pot.wet && draft.lines.some(({ food }) => food?.group === 'minced-meat'),
                DRAINED.test(said.slice(said.indexOf(stretch))) &&
                  !named.some((at) => foodIs(draft.lines[at]!.food, 'flesh')),
              )
      // "Cook the potatoes in their skins 25 minutes": whatever fat the filling has, they are in water.
      const isBoiled =
        way === 'fry' &&
        isPlainCook(verbs) &&
        pot.hot === null &&
        !/\b(?:oil|butter|ghee|lard|fat|pan|skillet|wok)\b/i.test(verbs) &&
        named.length > 0 &&
        named.every((at) => isCookedInWater(draft.lines[at]!.food)) &&
        (/\b(?:skins?|jackets?|whole|tender|soft|done)\b/i.test(said) ||
          minutesIn(said) >= BOILS_FROM_MINUTES)
      // "Bring to a simmer and cook 45 minutes": a plain "cook" goes on as it was.
      const goesOnSo = pot.hot === 'simmer' && way === 'fry' && isPlainCook(verbs)
      // "Puree and stock in, cook down 15 minutes": with liquid poured in it simmers.
      const reduces =
        pot.hot === 'fry' &&
        pot.poured &&
        way === 'fry' &&
        isPlainCook(verbs) &&
        !DRY.test(said) &&
        minutesIn(stretch) >= SIMMERS_FROM_MINUTES
      // "Cook it down" in a pan that fries goes on frying.
      const inPan =
        way === 'simmer' &&
        pot.hot === 'fry' &&
        (!pot.wet || (!pot.poured && isPlainCook(verbs))) &&
        !SIMMERS.test(verbs)
      const seasons = /\b(?:powders?|spices|masalas?)\b/i.test(stretch)
      const everything = ALL.test(stretch) && !seasons
      if (!way && HEATS_FAT.test(verbs)) pot.hot ??= 'fry'
      if (way) {
        // "Toss the tofu in the starch, fry in oil": what was turned in it is fried.
        const isTurned =
          marinated.length > 0 &&
          !pot.ways.size &&
          DOES_IT_IN.test(stretch) &&
          !namedIn(stretch.replace(IN_THE_FAT, ' ').replace(UNTIL, '')).length
        const lines = isTurned
          ? marinated
          : everything && (WHOLE_POT.test(stretch) || !named.length)
            ? every
            : named.length || pot.ways.size
              ? named
              : marinated.length
                ? marinated
                : every
        // "Cook the groats in the water": what is listed to cook them in is in the pot with them.
        const water = way === 'simmer' && IN_WATER.test(verbs) ? every.filter(isWater) : []
        clauseWay = inPan ? 'fry' : goesOnSo || reduces || isBoiled ? 'simmer' : way
        // "Boil and mash the potatoes (20 min)": the minutes stand behind both.
        pot.cook(
          clauseWay,
          [...lines, ...water],
          shared && OUT_OF_POT.test(stretches[n + 1]!) ? stretch + shared : stretch,
        )
      } else if (
        pot.hot !== null &&
        n === 0 &&
        MIXES.test(stretch) &&
        named.some((at) => pot.ways.has(at) && pot.ways.get(at) !== pot.hot)
      ) {
        // "Mix the potatoes, cheese and half of the onions": what was boiled is in another pot.
        pot.setAside(named)
        clauseWay = null
      } else if (pot.hot !== null && COMBINES.test(stretch)) {
        pot.setAside(
          /\beverything\b|\bthe rest\b|\bmix (?:it )?all\b/i.test(stretch)
            ? every.filter((at) => !pot.ways.has(at))
            : named,
        )
        clauseWay = null
      }
      // "Microwave the leeks, onion and butter, 6 minutes": what is listed behind goes with the verb in front.
      else if (pot.hot === null && clauseWay && !off && !VERB.test(stretch))
        pot.addTo(
          clauseWay,
          clauseWay === 'simmer' && LISTS_WATER.test(stretch) ? [...named, ...every.filter(isWater)] : named,
          stretch,
        )
      // "Peel and slice the apples" beside a hot pan is done on the board.
      else if (
        pot.hot !== null &&
        (PREPARES.test(stretch) || BLENDS.test(stretch)) &&
        !ADDS.test(stretch) &&
        named.length
      ) {
        // "Mash the lentils and chestnuts, add the flax egg and the veg": that is another bowl.
        if (OUT_OF_POT.test(stretch) && named.every((at) => !pot.ways.has(at))) pot.setAside(named)
        continue
      }
      // "… and stock. 25 min, lid off": with liquid in it, it simmers.
      else if (pot.hot === 'fry' && pot.poured && !named.length && minutesIn(stretch) >= SIMMERS_FROM_MINUTES)
        pot.cook('simmer', [], stretch)
      else if (pot.hot !== null && !off)
        pot.add(
          ADDS.test(stretch) || inPanAlone || pot.ways.size > 0 ? named : [],
          stretch,
          PUTS_IN.test(stretch) && own.length > 0,
        )
      // "Grind the dal", "slice the onions" before anything is hot decide nothing.
      else if ((pot.ways.size || !PREPARES.test(stretch)) && !isListing(stretch)) pot.setAside(named)
      if (pot.hot !== null && !off && ADDS_REST.test(stretch)) pot.add(every, stretch)
      // "Stir in the rest" when nothing cooks: what has not been named stays raw.
      if (REST.test(stretch) && (pot.hot === null || /\b(?:mix|combine|fold)\b/i.test(stretch)))
        pot.setAside(every.filter((at) => !pot.ways.has(at)))
      // "Mix everything for the filling" when the eggs have been scrambled: all else goes in raw.
      else if (pot.hot === null && pot.ways.size && everything && MIXES.test(stretch))
        pot.setAside(every.filter((at) => !pot.ways.has(at)))
      if (pot.hot !== null && !way && OUT_OF_POT.test(stretch)) pot.setAside([])
      // What is poured on after it was dry is wet again.
      if (
        pot.hot !== null &&
        (POURS_ON.test(stretch) ||
          (pot.wet && (THE_LIQUID.test(stretch) || named.some((at) => isJuicy(draft.lines[at]!.food)))) ||
          named.some((at) => foodIs(draft.lines[at]!.food, 'pours')))
      )
        pot.poured = true
      if (untilDry && pot.hot !== null && (POURS_ON.test(stretch) || poursIn(stretch, named)))
        untilDry = false
      if (DRY.test(stretch) && pot.ways.size) untilDry = true
    }
  }
  for (const [at, way] of calledSo)
    if (!pot.ways.has(at)) {
      pot.ways.set(at, way)
      pot.setAside(every.filter((other) => !calledSo.has(other)))
    }
  return { pot, untilDry }
}
