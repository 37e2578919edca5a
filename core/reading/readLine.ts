import { withoutBrackets } from './brackets'
import { LEADING_PREP, nameApart, PREP_WORDS } from './lineName'
import { plainLine } from './plainLine'
import { APPROXIMATE, readMeasure, readMeasures, times, type Measure } from './measures'
import { mayHoldNumber, NUMBER_PATTERN, readNumber } from './readNumber'
import { remember } from './remember'
import { UNIT_PATTERN, unitById } from './units'

/** What a line says its ingredient is for, when that decides the part it belongs to. */
export type Purpose = 'finish' | 'pan' | 'shell' | 'dip'
export type Unmeasured = 'to taste' | 'as required'

/** An ingredient line taken apart, before anything is known about the food. */
export interface ReadLine {
  raw: string
  /** The same amount stated in different ways ("6 tbsp (70 g)"): alternatives, in the order written. */
  measures: Measure[]
  name: string
  /** Preparation words: "finely chopped", "drained". */
  prep: string[]
  purpose: Purpose | null
  optional: boolean
  approximate: boolean
  unmeasured: Unmeasured | null
  /** A second ingredient the line allows ("butter or margarine"), with its own amount where it has one. */
  alternative: string | null
  /** "3 tbsp, plus 1 tbsp more if needed": the most that may go in, besides the stated amount. */
  upTo: Measure | null
  /** "divided": the amount is shared out by the method. */
  divided: boolean
  /** How a line left to feel asks for it: "to make a soft dough", "enough to bind". '' when it does not. */
  wanted: string
}

const EXTRA =
  /[\s,(]+((?:plus|and|with|\+)\s+(?:some\s+|a\s+(?:little|bit|few drops)\s+)?(?:extra|more|(?=(?:for|to) (?:deep |shallow |pan |the )?(?:fry|brush|cook|dust|greas|roll|griddl|serv|glaz|pan|tray|tawa|bowl|top)))\b[^)]*)\)?\s*$/i
/** "+ ½ tbsp more if needed", "plus 1-2 tablespoons extra": how much more it may become. */
const UP_TO = new RegExp(
  String.raw`[\s,(]+(?:plus|and|\+)\s*((?:up to |about )?(?:${NUMBER_PATTERN})(?:\s*(?:-|–|to)\s*(?:${NUMBER_PATTERN}))?\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d]))\s*(?:more|extra)?(?:[\s,]+(?:if|as|when) (?:needed|required|necessary|sticky|dry|wet|stiff|(?:it(?:'s| is)|too|the dough)\b[^)]*)|\s+(?:more|extra))[^)]*\)?\s*$`,
  'i',
)
/** "knob of butter", "pinch salt", "heaped teaspoon of cumin" is one. */
const BARE_UNIT =
  /^(?:(?:big|small|large|good|generous|heaped|level|tiny|fat|scant|little)\s+)?(?:pinch|knob|nob|handful|fistful|splash|dash|bunch|sprig|glass|mug|spoon|spoonful|drizzle|glug|thumb|squeeze|sprinkle|sprinkling|grating|dollop|drop|teaspoon|tablespoon|tsp|tbsp|cup|clove|stick|slice|sachet|packet|pack|pkt|bag|box|jar|tub|block|carton|punnet|tube|grind|twist|can|tin)(?=\s+(?:of\s+)?(?!noodles|choi|choy)[a-zß-öø-ɏ])/i

/** "200ish", "200-ish g". */
const ISH = /(\d)\s*-?ish\b/gi
/** "bit of tomato paste", "a touch of milk": some, no amount. */
const SOME =
  /^(?:(?:just )?a (?:little|bit|touch|tiny bit)(?: bit)?(?: of)?(?! (?:less|more) than)|bit of|some|plenty of|lots of|enough|any amount of|as much)\s+(?=[a-zß-öø-ɏ])/i
/** What a dough's water is to do, in the words of the line. */
const WANTED =
  /\b(?:(?:just )?enough(?: (?!water|milk|liquid|stock|yogurt|yoghurt|curd|buttermilk)[a-zß-öø-ɏ]+)?,? (?:to|for)\b.*|to (?:knead|make|form|bind|bring|mix|get)\b.*|for (?:kneading|binding|mixing|the dough|an? (?:[a-zß-öø-ɏ]+[ -]){0,2}dough|(?:firm|stiff|soft|smooth|medium|semi|tight|pliable)[a-zß-öø-ɏ -]* dough)\b.*|until (?:it|soft|a)\b.*|added gradually\b.*|a little at a time\b.*|by feel\b.*)/i

const WANTED_AMOUNT = new RegExp(
  String.raw`(?<!\d)[,–-]\s*((?:about |approx\.? |around |roughly |~)?(?:${NUMBER_PATTERN})\s*(?:[-–]\s*(?:${NUMBER_PATTERN})\s*)?(?:${UNIT_PATTERN})\b.{0,20})$`,
  'i',
)

/** "juice of half a lemon" is an amount of lemon juice. */
const CITRUS = new RegExp(
  String.raw`^(?:the )?(?:grated |finely grated )?(juice|zest)(?: and (?:juice|zest))?(?: of)? ((?:${NUMBER_PATTERN})(?:\s*[-–]\s*\d)?)\s+(?:(?:large|small|medium|big|juicy|unwaxed) )?(lemon|lime|orange)s?`,
  'i',
)
const TO_TASTE =
  /\b(?:(?:or )?to taste|to your taste|according to taste|as per taste|as you like|swad(?:a?nusar| anusar))\b/i
const BRACKETED_NEED = /\(\s*as (?:required|needed)\s*\)/i
const AS_REQUIRED =
  /\b(?:q\.? ?s\.?(?=\W*$)|ad lib(?:itum)?|reqd\.?(?=\W*$)|when (?:needed|required)|(?:added|a little|poured) (?:bit by bit|at a time|slowly|gradually)|(?:only|just) (?:if|as) (?:required|needed|necessary)|as (?:required|needed|necessary|reqd)|as (?:per|much as) (?:need(?:ed)?|requirements?|required)|if (?:required|needed)|(?:just )?enough(?: .*)? (?:to|for) .*|a little|some|to (?:bind|knead|mix|make (?:a|the|up)|form a|bring (?:it )?together)\b.*)/i
const OPTIONAL =
  /\(\s*(?:optional|(?:(?:you )?can |just )?(?:be )?(?:left out|leave(?: (?:it|this|out))*|omit(?:ted)?(?: it)?|skip(?:ped)?(?: it)?) (?:if|for|when|to)\b)[^)]*\)|,?\s*\b(?:optional(?:ly)?|opt(?:\.|(?=\W*$))|if (?:you )?(?:like|want|wish|have it|desired|using|liked)|(?:is|are) nice|can be left out)\b/i

const PURPOSES: readonly [RegExp, Purpose | null][] = [
  [
    /\b(?:(?:for|to) (?:deep[- ]?|shallow[- ]?|pan[- ]?|stir[- ]?)?(?:fry|frying)(?: (?:the )?(?:onions?|veg\w*|filling|meat|mince|mushrooms?|leeks?|garlic|spices))?|for (?:the )?(?:frying )?pan|for (?:your |the )?hands(?: (?:and|&|\+) (?:the |your )?(?:griddle|pan|tawa|tava|comal|board|surface))?|(?:for|to) (?:greasing|grease)(?: (?:the )?(?:tray|tin|pan|griddle|steamer))?|(?:for|to) (?:griddling|cooking(?: (?:the )?(?:bread|breads|pockets|pieces|dumplings|parathas?|them))?|cook (?:the )?(?:bread|breads|pockets|pieces|dumplings)|cook(?=\W*$)|roast(?=\W*$)|roasting|toasting on the griddle)|(?:for|to) (?:the )?(?:griddle|steamer|steaming|steam(?: (?:them|the [a-zß-öø-ɏ]+))?|(?:tray|tin|peel|board|baking sheet)(?: and (?:the )?[a-zß-öø-ɏ]+)?|(?:sprinkl\w+|dust\w*|scatter\w*) (?:on |onto |over )?(?:the |your )?(?:tray|tin|peel|baking sheet|baking tray|(?:sheet )?pan|sheet|stone)|boiling(?: water)?))\b/i,
    'pan',
  ],
  [
    /\b(?:(?:for|to) (?:the )?(?:brush(?:ing)?|paint(?:ing)?|glaz(?:e|ing)|finish(?:ing)?|seal(?:ing)?|top(?:ping)?|sprinkl(?:e|ing)|coat(?:ing)?|decorat(?:e|ing)|garnish(?:ing)?|scatter(?:ing)?|strew(?:ing)?|drizzl(?:e|ing)|egg ?wash|wash)(?: (?:over|on top|after(?:wards| (?:baking|cooking|steaming|frying))?|(?:over |between )?the (?:tops?|edges?|layers?|sheets?|dough|pastry|pies|buns|parcels|coils?|rolls)))?|for (?:the )?(?:tops?|edges?|end)|for (?:tossing|rolling)(?: (?:in|them|the \w+))*(?=\W*$)(?<=\bsugar\b.*)|for (?:after(?:wards)?|later)|(?:when|while|once) (?:hot|warm|baked|done|out)(?=\W*$)|(?:scattered |sprinkled )?(?:on|over the) top(?=\W*$))\b/i,
    'finish',
  ],
  [
    /\b(?:for (?:the )?(?:dusting(?: (?:the |your )?(?:board|worktop|counter|surface|table|work surface|bench))?|rolling(?: out)?|kneading|work surface|bench)|to (?:dust|roll out))\b/i,
    'shell',
  ],
  [/\b(?:for (?:dipping|serving)|to (?:serve|dip)|on the side)\b/i, 'dip'],
  [/\b(?:to make|for) (?:an? |the )?(?:(?:thick|sealing) )?(?:paste|slurry|glue)(?=\W*$)/i, null],
  [/\b(?:to|for) (?:moisten|loosen)(?:ing)?(?: (?:it|them|the [a-zß-öø-ɏ]+))?(?=\W*$)/i, null],
  [/\b(?:for thickening|to thicken)(?: (?:it|up|the [a-zß-öø-ɏ]+))?(?=\W*$)/i, null],
]

/** What a line keeps back of itself: "save a little for the tops". */
export const KEPT_BACK =
  /\b(?:save|keep|reserve|saving|keeping|reserving|hold back|set aside)\b[^()]{0,30}\b(?:for|to)\b[^()]{0,20}\b(?:tops?|brush|glaz|wash|finish|seal)[a-zß-öø-ɏ]*[^()]*/i
/** How many are in a packet, or how many of a thing are needed: "30", "about 40", "36 pieces". */
const HOLDS =
  /^(?:you(?:['’]ll| will)? need |there are |contains |holds |use )?(?:about |around |approx\.? |roughly |~ ?)?(\d{1,3}(?:\s*(?:-|–|to)\s*\d{1,3})?)(?:[ -](?:ct|count|pieces|pcs?|wrappers|skins|sheets|leaves|discs|of them|in (?:it|all|total)|or so))?$/i
const IN_EACH =
  /^(?:about )?(\d{1,3})\s+(?:[a-zß-öø-ɏ]+\s+)?(?:in (?:each|a|every)|per|to (?:a|each)|each)(?:\s+(?:pack(?:et|age)?|box|bag|one))?$/i
/** How a line is prepared that is poured anew for every batch. */
export const EACH_BATCH = 'for each batch'
export const PER_BATCH =
  /\s*[,(]?\s*(?:per|for each|each) batch(?: of \d{1,2})?\)?(?:\s*[(,;]?\s*(?:for )?(?:(?:about )?(\d{1,2}) batches|[x×]\s*(\d{1,2}))\)?)?/i
/** "Turnip, tiny dice", "beef in small cubes": cut to a size, said with a noun. */
const CUT_TO_SIZE =
  /[\s,]+(?:cut )?(?:in(?:to)? )?((?:tiny|small|fine|big|large|thin|bite[- ]sized?|\d ?(?:cm|mm)|half[- ]inch) (?:dice|cubes|pieces|strips|chunks|slices|bits|florets|rings|rounds|wedges|batons|matchsticks))(?=\s*(?:,|$))/i
/** What is said before an amount that is no more than near. */
const NEAR = String.raw`(?:about|approx\.?|around|~|up to|at least|(?:a (?:little|bit)|slightly|just) (?:over|under|more than|less than)|a (?:good|scant))`
/** An amount at the end of the line: "Flour 500 g", "Salt: 1 tsp", "oil for frying, 1 litre". */
const TRAILING = new RegExp(
  String.raw`^(.*?[a-zß-öø-ɏ][^\d]*?)[\s:,–—.=-]+((?:${NEAR}\s*)?(?:${NUMBER_PATTERN})\s*(?:(?:-|–|to)\s*(?:${NUMBER_PATTERN})\s*)?(?:heaped |level |scant |rounded |good |generous |big |small )?(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d]).*)$`,
  'i',
)
const TRAILING_COUNT = new RegExp(
  String.raw`^([a-zß-öø-ɏ][^\d]*?)(?:\s*[:,–—-]\s*|\s+)((?:\d[\d ./-]*|[¼½¾⅓⅔]|half|quarter|(?<=[:,–—-]\s*)(?:${NUMBER_PATTERN}))\s*(?:(?:extra )?(?:small|medium|med|large|lge|lg|big)(?:[- ]sized)?\.?|nos?\.?|pcs?\.?)?)(\s*(?:[,(]\s*[a-zß-öø-ɏ].*|\s[-–—]\s[a-zß-öø-ɏ].*|\s(?:${PREP_WORDS}|dried|fresh|frozen|canned)(?![a-zß-öø-ɏ]).*))?\s*$`,
  'i',
)

/**
 * Takes an ingredient line apart: amounts, name, preparation, purpose. Knows language, not foods.
 *
 * Reads whole numbers, decimals with point or comma, fractions, mixed and vulgar fractions, ranges, number
 * words, compound and dual amounts, containers of a stated weight, sizes, heaped and level measures, and
 * amounts that stand after the name.
 *
 * @param raw the line as written, with or without a bullet
 * @returns the parts; `measures` is empty when the line states no amount
 * @example readLine('1 1/2 cups plain flour, sifted').name // 'plain flour'
 */
export const readLine: (raw: string) => ReadLine = remember(takeApart)

/** "Butter (1/2 kg)", "milk (1 cup + 2 tbsp, warm)": an amount that stands in brackets behind its food. */
const BRACKETED = /^(\p{L}[^()[\]\d]*?)\s*[([]([^()[\]]+)[)\]]\s*([^()\d]*)$/u

interface InBrackets extends ReturnType<typeof readMeasures> {
  approximate: boolean
}
function amountInBrackets(text: string): InBrackets | null {
  const [, food, inside, behind] = BRACKETED.exec(text) ?? []
  if (!food || !inside) return null
  const read = readMeasures(inside.replace(APPROXIMATE, ''))
  // "(2 large, peeled)" counts, "(3 cm)" is no amount, "(100 g each)" is of one.
  const unitId = read.measures[0]?.[0]?.unitId
  if (!unitId || unitById(unitId).kind === 'count' || !/^(?:,\s+\p{L}.*)?$/u.test(read.rest)) return null
  const rest = [food, read.rest.replace(/^,\s*/, ''), behind!.replace(/^,\s*/, '')].filter(Boolean).join(', ')
  return { ...read, rest, approximate: APPROXIMATE.test(inside) }
}

function takeApart(raw: string): ReadLine {
  let text = plainLine(raw)
  let approximate = APPROXIMATE.test(text) || /\d\s*-?ish\b|\b(?:approx\.?|or so)\s*$/i.test(text)
  text = text
    .replace(ISH, '$1')
    .replace(APPROXIMATE, '')
    .replace(/[\s,(]+(?:approx\.?|or so|more or less|-?ish)(\)?)\s*$/i, (all, close: string) =>
      all.trimStart().startsWith('(') ? '' : close,
    )
  const optional = OPTIONAL.test(text)
  text = text
    .replace(OPTIONAL, '')
    .replace(
      /,?\s+if (?:it'?s? )?(?:too )?(?:dry|stiff|sticky|wet|thick|it needs (?:it|some|more))\b.*$/i,
      // "(plus 2 tbsp if sticky)" says how much more it may become.
      (whole) => (UP_TO.test(text) ? whole : ''),
    )
    .trim()
  const divided = /\bdivided\b|\bin (?:two|2) (?:parts|lots)\b/i.test(text)

  // "1 lemon, zested", "lemon, grated zest only": its zest.
  text = text.replace(
    /^(?:(\S+)\s+)??(?:large |small |medium |unwaxed )*(lemon|lime|orange|clementine|mandarin|satsuma|tangerine)s?\s*[,(]\s*(?:(?:finely|grated) )*(zest|juic)(?:e?d|e)?(?: only)?\)?$/i,
    (_, count: string | undefined, fruit: string, what: string) =>
      `${count ?? '1'} ${/^[lo]/i.test(fruit) ? fruit : 'orange'} ${/zest/i.test(what) ? 'zest' : 'juice'}`,
  )
  if (/\b(?:juice|zest)\b/i.test(text))
    text = text.replace(
      CITRUS,
      (_, what: string, count: string, fruit: string) => `${count} ${fruit} ${what.toLowerCase()}`,
    )

  let unmeasured: Unmeasured | null = TO_TASTE.test(text)
    ? 'to taste'
    : BRACKETED_NEED.test(text)
      ? 'as required'
      : null
  text = text.replace(BRACKETED_NEED, '').replace(/\(\s*(?:or )?to taste\s*\)/i, '')
  // "plus extra for dusting" says what more there may be, not what the stated amount is for.
  const more = /\b(?:more|extra|if|as|when)\b/i.test(text) ? UP_TO.exec(text) : null
  const upTo = more ? (readMeasure(more[1]!.replace(/^up to /i, ''))?.measure ?? null) : null
  if (upTo) text = text.slice(0, more!.index).trim()
  const extra = EXTRA.exec(text)
  if (extra) text = text.replace(EXTRA, '').trim()
  // "Cup mushrooms 200 g": the amount stands behind, and the first word is of the name.
  if (!mayHoldNumber(text) || !TRAILING.test(text)) text = text.replace(BARE_UNIT, 'a $&')
  const wanted = WANTED.exec(text)?.[0] ?? ''
  if (wanted && !readNumber(text)) {
    // "Water to knead, about 1/2 cup": how much it is stands behind what it is for.
    const behind = WANTED_AMOUNT.exec(wanted)?.[1]
    if (!behind) unmeasured ??= 'as required'
    text = text
      .replace(WANTED, behind ? `, ${behind}` : '')
      .trim()
      .replace(/^(?:just )?(?:enough|some)\s+(?=[a-zß-öø-ɏ])/i, '')
  }
  if (!unmeasured && SOME.test(text) && !readNumber(text.replace(SOME, ''))) {
    unmeasured = 'as required'
    text = text.replace(SOME, '')
  }
  let purpose: Purpose | null = null
  // "1 egg, beaten (save a little for the tops)": most of it is not for them.
  const kept = KEPT_BACK.exec(text)?.[0] ?? ''
  for (const [pattern, of] of PURPOSES) {
    if (!pattern.test(kept ? text.replace(kept, ' ') : text)) continue
    purpose ??= of
    text = text.replace(pattern, '').replace(/\(\s*\)/, '')
  }

  // "2 tbsp oil per batch (2 batches)": all of them are wanted; without their number it is one.
  const batch = PER_BATCH.exec(text)
  const batches = Math.min(Number(batch?.[1] ?? batch?.[2] ?? 1) || 1, 50)
  if (batch) text = text.replace(PER_BATCH, ' ').trim()
  let { measures, rest, container } = readMeasures(text)
  const inBrackets = measures.length ? null : amountInBrackets(text)
  if (inBrackets) {
    ;({ measures, rest, container } = inBrackets)
    approximate ||= inBrackets.approximate
  }
  if (!measures.length) {
    const trailing = mayHoldNumber(text) ? (TRAILING.exec(text) ?? TRAILING_COUNT.exec(text)) : null
    if (trailing) {
      const read = readMeasures(trailing[2]!)
      measures = read.measures
      container = read.container
      const behind = (trailing[3] ?? '').trim().replace(/^,\s*/, '')
      rest = [trailing[1]!.trim(), read.rest, behind]
        .filter(Boolean)
        .join(', ')
        // "Butter 100 g or margarine": either, in front of the amount and behind it.
        .replace(/, (?=\(|or (?!as|so|more|less|to|until|enough|just)\p{L})/u, ' ')
    }
  }
  if (!measures.length && !unmeasured && AS_REQUIRED.test(rest)) unmeasured = 'as required'
  if (measures.length) unmeasured = null
  rest = rest
    .replace(TO_TASTE, '')
    .replace(measures.length ? /\b(?:as|if|when) (?:required|needed|necessary)\b/i : AS_REQUIRED, '')
    .replace(/^\s*(?:of|x|×)\s+(?:the\s+)?/i, '')

  const prep: string[] = extra ? [extra[1]!.trim()] : []
  rest = withoutBrackets(rest, measures, prep)
  const cut = CUT_TO_SIZE.exec(rest)
  if (cut && cut.index > 2) {
    prep.push(cut[1]!)
    rest = rest.slice(0, cut.index) + rest.slice(cut.index + cut[0].length)
  }

  // "400 g chickpeas (1 tin)": what they come in stands in the bracket.
  container ||= measures.some((measure) => /^(?:can|jar)$/.test(measure[0]!.unitId ?? ''))

  // "lard, butter or ghee" allows any of three.
  rest = rest.replace(
    /^([^,]{2,30}), ([^,\d]{2,24}?),? or (?=\p{L})/u,
    (all, first: string, second: string) =>
      LEADING_PREP.test(`${second} x`) ? all : `${first} or ${second} or `,
  )
  // "1 packet wrappers (30)", "wonton skins (you need about 40)": how many are in it.
  const insideAt = container || !measures.length ? prep.findLastIndex((word) => HOLDS.test(word)) : -1
  const inside = insideAt >= 0 ? readNumber(HOLDS.exec(prep.splice(insideAt, 1)[0]!)![1]!) : null
  // "2 packs wrappers (50 per pack)", "2 packs of discs (10 in each)": so many in every one.
  const perPack = container ? prep.findIndex((word) => IN_EACH.test(word)) : -1
  const outer = measures[0]?.[0]
  if (perPack >= 0 && outer) {
    const each = Number(IN_EACH.exec(prep.splice(perPack, 1)[0]!)![1])
    // "2 (16 oz) cans biscuits (8 each)": what they weigh stands, and in the two are sixteen.
    const isWeighed = outer.unitId !== null && unitById(outer.unitId).kind === 'mass'
    const packs = isWeighed ? Number(/^\d{1,2}(?= )/.exec(raw.replace(/^\W+/, ''))?.[0] ?? 1) : null
    const many = { low: each * (packs ?? outer.low), high: each * (packs ?? outer.high) }
    const counted = [{ ...many, unitId: 'piece', heap: null, size: null }]
    measures = isWeighed ? [...measures, counted] : [counted]
  }
  if (inside) measures.push([{ low: inside.low, high: inside.high, unitId: null, heap: null, size: null }])
  const [head, ...tail] = rest.split(/\s*[,;]\s*|\s+[-–—]\s+/)
  const rests = tail.map((piece) => piece.trim().replace(/\.$/, '')).filter(Boolean)
  // A dual amount may follow the name: "flour, 500 g / 4 cups" has been read; "butter, 100 g" is read here.
  for (const piece of rests) {
    // "1 sweet potato, 250 g, in cubes": what it weighs stands behind how many there are.
    const isCount = measures.length === 1 && measures[0]!.length === 1 && measures[0]![0]!.unitId === null
    const read = (measures.length && !isCount) || !/^(?:about |~)?\d/.test(piece) ? null : readMeasures(piece)
    const unit = read?.measures[0]?.[0]?.unitId
    const holds = container && !inside && !/^\d+$/.test(piece) ? HOLDS.exec(piece) : null
    const many = holds && readNumber(holds[1]!)
    if (many) measures.push([{ low: many.low, high: many.high, unitId: null, heap: null, size: null }])
    else if (unit && (!isCount || (/^(?:g|kg|oz|lb)$/.test(unit) && !/\p{L}{3}/u.test(read!.rest))))
      measures.push(...read!.measures)
    else prep.push(piece)
  }

  const { name, alternative } = nameApart((head ?? '').trim(), prep)
  // What is sold in bags and punnets is as fresh as it was.
  const isLoose = /\b(?:bags?|punnets?|nets?)\b/i.test(raw)
  if (container && !isLoose && !prep.some((word) => /can|tin/i.test(word))) prep.push('from a container')

  if (batch && !batch[1] && !batch[2]) prep.push(EACH_BATCH)
  if (batches > 1) measures = measures.map((measure) => times(measure, { low: batches, high: batches }))
  return {
    raw,
    measures: dedupe(measures),
    name,
    // "Water – as needed": the mark that is left says nothing, nor does the "or" of "(or as needed)".
    prep: prep.filter((one) => /[\p{L}\d]/u.test(one) && !/^or$/i.test(one)),
    purpose,
    optional,
    approximate,
    unmeasured,
    alternative,
    upTo,
    divided,
    wanted,
  }
}

function dedupe(measures: Measure[]): Measure[] {
  const seen = new Set<string>()
  return measures.filter((measure) => {
    const key = JSON.stringify(measure)
    return seen.has(key) ? false : seen.add(key)
  })
}
