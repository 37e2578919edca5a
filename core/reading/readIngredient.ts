import { waterIn } from '../food/amount'
import type { Food, Foods } from '../food/food'
import { newLine, type Choice, type Line } from '../recipe/document'
import { MAX_LINE_GRAMS } from '../recipe/vocabulary'
import { boiledPerGram, isBoiledSoft } from './boiledWeight'
import { carries, hazardsOfWord } from '../food/hazards'
import { otherLanguage } from './language'
import { matchFood, normaliseName } from './match'
import { packetClaims } from './packetClaims'
import { qualifiersIn } from './qualifiers'
import { readLine, type ReadLine } from './readLine'
import { rememberWith } from './remember'
import { FILLED_UP } from './sharedOut'
import { splitLine } from './splitLine'
import { turnedRound } from './turnedRound'
import type { Note, Weighed } from './unstated'
import { weighLine } from './weigh'

/** Text no longer than a field holds. */
export const limit = (text: string, max: number) => (text.length > max ? text.slice(0, max) : text)

/** An ingredient as it was read: the line of the document, the words apart, the food. */
export interface ReadIngredient {
  line: Line
  read: ReadLine
  food: Food | null
}

/** A line longer than this is kept as text and not searched for amounts. */
const MAX_READ_CHARACTERS = 500

/**
 * Reads a line as written into one recipe line for each ingredient that it names.
 *
 * @param raw the line as written, at most 500 characters are searched
 */
export function readIngredients(raw: string, foods: Foods): ReadIngredient[] {
  return known(raw, foods).map(({ line, read, food }) => ({ line: copyOf(line), read, food }))
}

/** A line of its own for each reader: what is known of a text is not changed by what becomes of it. */
const copyOf = (line: Line): Line => ({
  ...line,
  prep: [...line.prep],
  notes: line.notes.map((note) => ({ ...note })),
  choices: line.choices.map((choice) => ({ ...choice, prep: [...choice.prep] })),
})

const known: (raw: string, foods: Foods) => readonly ReadIngredient[] = rememberWith(readAll)

function readAll(raw: string, foods: Foods): ReadIngredient[] {
  if (raw.length > MAX_READ_CHARACTERS) {
    const line = newLine({ raw: limit(raw, 500), name: limit(raw, 200) })
    line.notes.push({
      code: 'too-long',
      level: 'check',
      text: `A line of ${raw.length} characters is too long to be one ingredient. Write it as several lines`,
    })
    return [{ line, read: readLine(''), food: null }]
  }
  if (turnedRound(raw, foods)) return [readIngredient(raw, foods)]
  return splitLine(raw, foods).flatMap(({ text, told }) => {
    const filled = filledUp(text, foods)
    if (filled) return filled
    const made = readIngredient(text, foods)
    if (told) made.line.notes.unshift({ code: 'shared-amount', level: 'check', text: limit(told, 600) })
    return made
  })
}

/** "1 egg + milk to make 160 g": the milk is what is missing. Null for any other line. */
function filledUp(text: string, foods: Foods): ReadIngredient[] | null {
  const [, first, liquid, whole] = FILLED_UP.exec(text.trim()) ?? []
  if (!first || !liquid || !whole) return null
  const there = readIngredients(first, foods)
  const grams = there.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  const sum = readLine(`${whole} ${liquid}`).measures[0]?.[0]?.low ?? 0
  if (!there.every(({ food, line }) => food && line.grams) || sum <= grams) return null
  return [
    ...there,
    ...readIngredients(`${Math.round(sum - grams)} ${/ml/i.test(whole) ? 'ml' : 'g'} ${liquid}`, foods),
  ]
}

/**
 * Reads one ingredient line into a recipe line: food, grams, and a note for everything that was assumed.
 *
 * @param raw the line as written, of one ingredient
 * @returns a line; its `foodId` is null when no food fits, its `grams` null when no weight can be told
 */
export function readIngredient(raw: string, foods: Foods): ReadIngredient {
  const written = readLine(limit(turnedRound(raw, foods) ?? raw, MAX_READ_CHARACTERS))
  const read = asUsed(asWeighed(written, foods), foods)
  const found =
    matchWithPrep(read, foods) ??
    namedBehind(read, foods) ??
    // A size word can belong to the name, and an alternative may be known where the first choice is not.
    (read.alternative ? matchFood(readLine(read.alternative).name, foods) : null)
  const foreign = !found || found.leftOver.length > 1 ? otherLanguage(raw) : null
  // "Huile d'olive" is no olive: of a line in another language no part is taken for a food.
  const match = foreign ? null : found
  const line = newLine({
    raw: limit(raw.trim(), 500),
    name: limit(read.name || raw.trim(), 200),
    prep: read.prep
      .filter((word) => word !== 'from a container')
      .map((word) => limit(word, 200))
      .slice(0, 20),
    optional: read.optional,
  })
  if (!match) {
    line.grams = statedMassGrams(read)
    line.gramsLow = line.gramsHigh = line.grams
    line.notes.push({
      code: 'unknown-food',
      level: 'check',
      text: foreign
        ? `"${line.name}" ${foreign}; only English is read. Choose a food for it, or write the line in English`
        : `"${line.name}" is not in the larder. Choose a food for it`,
    })
    return { line, read, food: null }
  }
  const { food } = spiceOf(read, match.food, foods) ?? vegetableOf(read, match.food, foods) ?? match
  line.foodId = food.id
  const notes: Note[] = []
  if (food.figuresOf !== null)
    notes.push({ code: 'stand-in', level: 'note', text: `${food.name}: ${food.source}` })
  if (match.lacking)
    notes.push({ code: 'state', level: 'check', text: `Read as ${food.name}: ${match.lacking}` })
  if (match.how === 'spelling') notes.push({ code: 'spelling', level: 'check', text: `Read as ${food.name}` })
  if (match.how === 'part') {
    notes.push({
      code: 'part-match',
      level: 'check',
      text: `Read as ${food.name}; "${match.leftOver.join(' ')}" was not understood`,
    })
  }
  notes.push(...packetClaims(read.prep, food))
  line.choices = choicesOf(read, food, foods)
  if (read.alternative)
    notes.push({ code: 'alternative', level: 'note', text: `The line also allows ${read.alternative}` })
  if (read.optional) notes.push({ code: 'optional', level: 'note', text: 'Optional, and counted' })
  const weighed = weighLine(read, food)
  notes.push(...weighed.notes)
  if (weighed.grams !== null && weighed.grams > MAX_LINE_GRAMS) {
    notes.push({
      code: 'too-heavy',
      level: 'check',
      text: `${Math.round(weighed.grams / 1000)} kg cannot be right for one line. Type the grams`,
    })
  } else {
    boilHere(read, food, weighed, foods)
    Object.assign(line, weightsOf(weighed, food))
  }
  line.notes = notes.map((note) => ({ ...note, text: limit(note.text, 600) })).slice(0, 30)
  return { line, read, food }
}

/** A teaspoon of fennel is its seed, one of red chilli its powder: what is a vegetable or a herb by name. */
function spiceOf(read: ReadLine, food: Food, foods: Foods) {
  const term = read.measures[0]?.[0]
  if (!/^(?:vegetable|herb)$/.test(food.group) || term?.unitId !== 'tsp') return null
  if (food.unitGrams.clove || food.unitGrams.inch) return null
  // "1 tsp coriander" beside cumin is ground; "1 tsp coriander, chopped" is the leaf.
  if (
    read.prep.some((word) => !/crushed|ground|roasted|toasted|powdered/i.test(word)) ||
    /\b(?:fresh|leaf|leaves|chopped|minced)\b/i.test(read.raw)
  )
    return null
  for (const kind of ['seeds', 'powder']) {
    const spice = matchFood(`${read.name} ${kind}`, foods)
    if (spice?.how === 'exact' && /^(?:spice|seed)$/.test(spice.food.group)) return spice
  }
  // "1/2 tsp oregano" is dried.
  const dried = food.group === 'herb' ? matchFood(`dried ${read.name}`, foods) : null
  if (dried?.how === 'exact' && dried.food.id !== food.id) return dried
  return null
}

/** "1 pepper, diced" is no peppercorn: what is counted out and has no pieces is the vegetable of that name. */
function vegetableOf(read: ReadLine, food: Food, foods: Foods) {
  const term = read.measures[0]?.[0]
  if (food.group !== 'spice' || !term || term.unitId !== null || term.low > MOST_VEGETABLES) return null
  if (Object.keys(food.unitGrams).some((unit) => /^(?:piece|small|medium|large|pod)$/.test(unit))) return null
  const vegetable = matchFood(`bell ${read.name}`, foods)
  return vegetable?.how === 'exact' && vegetable.food.group === 'vegetable' ? vegetable : null
}
/** Nobody fills a batch with more peppers than this. Common practice, no source. */
const MOST_VEGETABLES = 12

/** Weights of a line within what a line may hold; nulls when they are not known. */
function weightsOf(weighed: Weighed, food: Food) {
  if (weighed.grams === null || weighed.grams > MAX_LINE_GRAMS)
    return {
      grams: null,
      gramsLow: null,
      gramsHigh: null,
      waterChangeGrams: 0,
      measuredBy: weighed.measuredBy,
    }
  return {
    grams: weighed.grams,
    gramsLow: weighed.gramsLow,
    gramsHigh: Math.min(weighed.gramsHigh ?? weighed.grams, MAX_LINE_GRAMS),
    measuredBy: weighed.measuredBy,
    // No food can lose more water than it holds, nor a line take up more than a line may weigh.
    waterChangeGrams: Math.min(
      Math.max(weighed.waterChangeGrams, -waterIn(food, weighed.grams)),
      MAX_LINE_GRAMS,
    ),
  }
}

/** The foods a line allows instead, weighed by their own amount or by the line's. */
function choicesOf(read: ReadLine, taken: Food, foods: Foods): Choice[] {
  if (!read.alternative) return []
  const choices: Choice[] = []
  for (const text of read.alternative.split(/\s+or\s+|,\s+(?:or\s+)?/i).slice(0, 4)) {
    const own = readLine(text)
    const match = matchFood(own.name, foods)
    if (!match || match.food.id === taken.id || match.how === 'part') continue
    const stated = own.measures.length ? own : { ...read, name: own.name, alternative: null, prep: own.prep }
    choices.push({
      raw: limit(text.trim(), 500),
      foodId: match.food.id,
      name: limit(own.name, 200),
      prep: own.prep.map((word) => limit(word, 200)).slice(0, 20),
      handling: '',
      ...weightsOf(weighLine(stated, match.food), match.food),
    })
  }
  return choices.slice(0, 8)
}

/** "Boiled soya granules 50 g (dry weight)": it is the dry food that was weighed, and soaked or cooked afterwards. */
const DRY_WEIGHT =
  /^(?:weighed )?(?:dry|uncooked|raw)(?: (?:wt|weight|measure))?$|^(?:wt|weight|weighed) (?:dry|raw|uncooked)$/i
const COOKED_BEFORE = /^(?:boiled|cooked|soaked|rehydrated|steamed)\s+/i

const SOAKED_FIRST =
  /^soaked\b.*\b(?:boiled|cooked|simmered)\b|^soaked(?: and boiled)? (?:overnight|for \d+ h)|^(?:boiled|cooked|simmered)\b.* in\b.*\b(?:water|stock|broth)\b/i

const COOKED_WEIGHT = /^(boiled|cooked|roasted|roast|steamed)(?: (?:wt|weight))$/i

/** A line whose amount is of the dry food though its name is the cooked one's. */
function asWeighed(read: ReadLine, foods: Foods): ReadLine {
  // "400 g potatoes (boiled weight)": it is the cooked food that was weighed.
  const cooked = read.prep.find((word) => COOKED_WEIGHT.test(word.trim()))
  if (cooked) {
    const state = COOKED_WEIGHT.exec(cooked.trim())![1]!.toLowerCase()
    if (matchFood(`${state} ${read.name}`, foods)?.how === 'exact')
      return { ...read, name: `${state} ${read.name}`, prep: read.prep.filter((word) => word !== cooked) }
  }
  // "200 g chickpeas, soaked overnight and boiled": nobody soaks or boils in stock what comes boiled.
  const soaked = read.prep.some((word) => SOAKED_FIRST.test(word))
    ? matchFood(`dry ${read.name}`, foods)
    : null
  if (soaked?.how === 'exact' && isBoiledSoft(soaked.food) && soaked.food.group === 'pulse')
    return { ...read, name: `dry ${read.name}`, prep: [...read.prep, 'cooked'] }
  const done = COOKED_BEFORE.exec(read.name)
  const weight = done && read.prep.find((word) => DRY_WEIGHT.test(word.trim()))
  if (!done || !weight) return read
  const bare = read.name.slice(done[0].length)
  const dry = matchFood(`dried ${bare}`, foods)?.how === 'exact' ? `dried ${bare}` : bare
  const prep = [...read.prep.filter((word) => word !== weight), 'soaked']
  return { ...read, name: dry, prep: [...new Set(prep)] }
}

/** "Warm milk (I use oat)": what this cook takes, and what the line allows instead. */
function asUsed(read: ReadLine, foods: Foods): ReadLine {
  for (const word of read.prep) {
    const used = /^(?:i|we) (?:use|used|like|prefer|take)(?: the)? (\p{L}+(?: \p{L}+)?)$/iu.exec(word)?.[1]
    const plain = used ? matchFood(read.name, foods) : null
    if (!used || !plain) continue
    const named = matchFood(`${used} ${read.name.split(' ').at(-1)!}`, foods)
    const own = named?.how === 'exact' ? named : matchFood(used, foods)
    const fits = own?.how === 'exact' && (own === named || own.food.group === plain.food.group)
    if (!fits || own.food.id === plain.food.id) continue
    const prep = read.prep.filter((one) => one !== word)
    return {
      ...read,
      name: own === named ? `${used} ${read.name.split(' ').at(-1)!}` : used,
      prep,
      alternative: read.alternative ?? read.name,
    }
  }
  return read
}

/** Words after a comma or in brackets that choose the food: "(5 % fat)", "80/20", "semi-skimmed", "egg-free". */
const CHOOSES =
  /\d ?%|\bfat\b|\blean\b|\b\d\d ?\/ ?\d\d\b|skimmed|[a-z][- ]free\b|\bvegan\b|\bvegetarian\b|\bplant[- ]based\b|\bskin[- ]on\b|\bwith skin\b|\ball[- ]butter\b/i

/** "Koo chai (garlic chives)", "firm, waxy potato": where the name says nothing, what stands behind it may. */
function namedBehind(read: ReadLine, foods: Foods) {
  for (const word of read.prep) {
    if (
      !/^(?!(?:with|without|not|no|or|and|from|for|in|of|plus|contains?)\b)(?!.*\bfree$)\p{L}+(?:[ -]\p{L}+){0,3}$/iu.test(
        word,
      )
    )
      continue
    const match = matchFood(readLine(word).name, foods)
    // Salt and water stand beside what is not known, and are not it.
    const beside = /^(?:salt|liquid|spice|leavening|seasoning)$/.test(match?.food.group ?? '')
    if (match?.how === 'exact' && !beside) return match
  }
  return null
}

/** "80 g dried lentils, cooked": weighed dry, and cooked afterwards. */
const COOKED_HERE = /^(?:cooked|boiled|mashed|simmered|soaked and cooked)\b/i
/** "Noodles (dry), boiled". */
const SAID_DRY = /^(?:weighed )?(?:dry|dried|uncooked)(?: (?:wt|weight))?$/i
const WEIGHED_DRY = /\b(?:dried|dry|uncooked)\b/i

/** "1 cup dry lentils, cooked": they go in with the water that they have taken up, and are weighed without it. */
function boilHere(read: ReadLine, food: Food, weighed: Weighed, foods: Foods): void {
  if (!isBoiledSoft(food) || weighed.grams === null || weighed.waterChangeGrams !== 0) return
  const isGrain = food.group === 'starch'
  if (!read.prep.some((word) => COOKED_HERE.test(word) || (isGrain && /^soaked/i.test(word)))) return
  const factor = boiledPerGram(food, foods)
  if (factor === null) return
  weighed.waterChangeGrams = weighed.grams * (factor - 1)
  weighed.notes.push({
    code: 'soaked',
    level: 'note',
    text: `Weighed dry: boiled it takes up about ${Math.round(weighed.waterChangeGrams)} g of water`,
  })
}

/** Words that say which kind of a food it is, and nothing of what is done with it. */
const OF_KIND =
  /^(?:strong|strong white|plain|self[- ]rais(?:ing|ed)|bread|wholemeal|wholegrain|whole ?wheat|white|brown|caster|icing|demerara|double|single|whipping|natural|greek|smoked|unsalted|black|red|green)$/i

/** "Peeled and boiled": that it was peeled changes no state. */
const PEELED_FIRST = /^(?:peeled|skinned|scrubbed|washed)\s+(?:and|&|then)\s+/i
/** "X for the Y", "X from the Y". */
const FOR_WHAT = /^(\p{L}[\p{L} -]+?) (?:for|from) (?:the |your |a )\p{L}+(?: \p{L}+)?$/iu

const hasAllergen = (food: Food, one: Food['allergens'][number]) =>
  food.allergens.includes(one) || food.possibleAllergens.includes(one)
const hasOrigin = (food: Food, one: Food['origins'][number]) =>
  food.origins.includes(one) || food.possibleOrigins.includes(one)

function matchWithPrep(read: ReadLine, foods: Foods) {
  const dry = WEIGHED_DRY.test(read.name) || read.prep.some((word) => SAID_DRY.test(word.trim()))
  const prep = read.prep.filter((word) => word !== 'from a container' && !(dry && COOKED_HERE.test(word)))
  // "Minced beef, 30 % fat, raw" may be a name as a whole.
  const whole =
    prep.length && !prep.some((word) => /^soaked/i.test(word))
      ? matchFood([read.name, ...prep].join(' '), foods)
      : null
  if (whole?.how === 'exact' && whole.found === normaliseName([read.name, ...prep].join(' '))) return whole
  // "1 cube chicken stock" is the cube and not what is made of it.
  const isCube = read.measures[0]?.[0]?.unitId === 'cube' && /(?:stock|broth|bouillon)$/i.test(read.name)
  const cube = isCube ? matchFood(`${read.name} cube`, foods) : null
  if (cube?.how === 'exact') return cube
  const chosen = prep.filter((word) => CHOOSES.test(word)).join(' ')
  const written = matchFood(`${chosen} ${read.name}`.trim(), foods)
  // "Frozen puff pastry, all butter": that it is frozen stands between the two words of one name.
  const thawed =
    chosen && written?.how === 'part'
      ? matchFood(`${chosen} ${read.name.replace(/^(?:frozen|fresh|chilled)\s+/i, '')}`, foods)
      : null
  const plain = thawed?.how === 'exact' ? thawed : written
  // "Olive oil for the sofrito", "cheese from the deli": what it is for is not its name.
  const forWhat =
    plain?.how === 'exact' && plain.found === normaliseName(read.name) ? null : FOR_WHAT.exec(read.name)?.[1]
  const bareName = forWhat ? matchFood(`${chosen} ${forWhat}`.trim(), foods) : null
  if (bareName?.how === 'exact') return bareName
  // "1 Zing cube": whatever it is called, a cube is of stock.
  const cubeOf = !plain && / cubes?$/i.test(read.name) ? matchFood('stock cube', foods) : null
  if (cubeOf) return { ...cubeOf, how: 'part' as const, leftOver: [read.name.split(' ')[0]!] }
  // "Veg oyster sauce", "veggie mince": the vegetarian one, where the larder has it.
  const veg = plain?.how === 'part' ? /^veg(?:gie|an)?\s+(.+)$/i.exec(read.name)?.[1] : undefined
  const vegetarian = veg ? matchFood(`vegetarian ${veg}`, foods) : null
  if (vegetarian?.how === 'exact') return vegetarian
  // "Vegetable oil (groundnut)", "cream (soya)": what holds something is named behind as well as in front.
  for (const word of prep) {
    const named = /^\p{L}+(?: \p{L}+)?$/u.test(word) ? matchFood(word, foods) : null
    const hazards = hazardsOfWord(normaliseName(word), named?.how === 'exact' ? named.food : undefined)
    if (!hazards) continue
    const both = matchFood(`${word} ${read.name}`, foods)
    if (both?.how === 'exact') return both
    if (plain && named?.food.group !== plain.food.group && !carries(plain.food, hazards)) return null
  }
  // What comes out of a can is the canned food where there is one: "400 g tin chopped tomatoes".
  const canned = read.prep.includes('from a container') ? matchFood(`canned ${read.name}`, foods) : null
  if (canned?.how === 'exact') return canned
  // "450 g flour (strong)": what kind of it stands behind.
  for (const word of read.prep) {
    const kind = OF_KIND.test(word) ? matchFood(`${word} ${read.name}`, foods) : null
    if (kind?.how === 'exact' && kind.food.group === plain?.food.group) return kind
  }
  // "whole wheat flour (atta)": the bracket names the same kind of food more closely.
  for (const word of read.prep) {
    const names = /^\p{L}+(?: \p{L}+)?$/u.test(word) && !/\bfree$/i.test(word)
    const closer = plain && names ? matchFood(word, foods) : null
    if (closer?.how === 'exact' && closer.food.group === plain!.food.group) return closer
  }
  // "tuna, canned" and "chickpeas, dry" turn round to a more exact name.
  const before = normaliseName(read.raw)
  for (const own of prep) {
    const word = own.replace(PEELED_FIRST, '')
    const isOven = /^(?:roasted|baked|steamed|grilled|poached)$/i.test(word)
    if (isOven && !before.includes(`${normaliseName(word)} ${normaliseName(read.name)}`)) continue
    if (
      !isOven &&
      !/^(?:dried|dry|canned|tinned|jarred|cooked|leftover|hard[- ]boiled|boiled|mashed|frozen|minced|ground|smoked|pickled|strained|grated|unsalted|raw|fresh)\b/i.test(
        word,
      )
    )
      continue
    const said = word.split(/\s+(?:and|&|\+)\s+|,/)[0]!
    // Nobody mashes a raw root.
    const state = plain?.food.group === 'vegetable' && /^mashed/i.test(said) ? 'cooked' : said
    const turned = matchFood(`${chosen} ${state} ${read.name}`.trim(), foods)
    if (turned?.how === 'exact' && turned.food.id !== plain?.food.id) return turned
    // "spuds, boiled": the state with the food's own name, where the words say nothing of fat that it would lose.
    const bare = qualifiersIn(normaliseName(read.name).split(' '))
    const keepsState = bare.fat === null && bare.fatG === null && !/^(?:grated|strained)$/i.test(state)
    const named =
      plain && keepsState ? matchFood(`${chosen} ${state} ${plain.food.name.split(',')[0]}`, foods) : null
    // "Gluten-free oats, ground" is no ground oats: a state brings no hazard that the name has ruled out.
    const clean =
      named &&
      named.food.allergens.every((one) => hasAllergen(plain!.food, one)) &&
      named.food.origins.every((one) => hasOrigin(plain!.food, one))
    if (named?.how === 'exact' && clean && named.food.id !== plain?.food.id) return named
  }
  return plain
}

function statedMassGrams(read: ReadLine): number | null {
  const factors: Record<string, number> = { mg: 0.001, g: 1, kg: 1000, oz: 28.349523, lb: 453.59237 }
  for (const measure of read.measures) {
    const grams = measure.reduce(
      (sum, term) => sum + ((term.low + term.high) / 2) * (factors[term.unitId ?? ''] ?? NaN),
      0,
    )
    if (Number.isFinite(grams) && grams <= MAX_LINE_GRAMS) return grams
  }
  return null
}
