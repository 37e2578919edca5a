import type { Food, Foods } from '../food/food'
import { carries, hazardsOfWord } from '../food/hazards'
import { foodIs } from '../food/groups'
import { withPlainAmounts } from './amountsSpelt'
import { isBoiledSoft } from './boiledWeight'
import { matchFood, normaliseName } from './match'
import { qualifiersIn } from './qualifiers'
import { readLine, type ReadLine } from './readLine'
import { unitById } from './units'

// Which food a line names: by its name, by what stands behind it, and by how much of it there is.

/** "(I use a bit more)", "(or to taste)": said of how much, and not of what it is. */
const REMARK =
  /\b(?:i|we|you|my|more|less|extra|taste|optional|about|or so|if|needed|depending|see|note|use|adjust)\b/i
/** "Fennel, coarse": as it comes out of the mortar. */
const COARSE = /\bcoarse(?:ly)?\b/i
/** A teaspoon of fennel is its seed, one of red chilli its powder: what is a vegetable or a herb by name. */
export function spiceOf(read: ReadLine, food: Food, foods: Foods) {
  const term = read.measures[0]?.[0]
  const prep = read.prep.filter((word) => !REMARK.test(word))
  // "A pinch of chilli" is the powder.
  const isPinch = term?.unitId === 'pinch' && food.id === 'green-chilli'
  // "1 tbsp fennel, crushed".
  const isGround =
    term?.unitId === 'tbsp' &&
    // Of the bulb nobody takes a spoon.
    ((food.id === 'fennel' && !prep.length) ||
      COARSE.test(read.raw) ||
      prep.some((word) => /\b(?:crushed|ground|powdered)\b/i.test(word))) &&
    food.id !== 'green-chilli'
  if (!/^(?:vegetable|herb)$/.test(food.group) || !(term?.unitId === 'tsp' || isPinch || isGround))
    return null
  if (food.unitGrams.clove || food.unitGrams.inch) return null
  // A green one is fresh, however little of it.
  if (food.id === 'green-chilli' && /\bgreen\b|\bjalape/i.test(read.name)) return null
  // "1 tsp coriander" beside cumin is ground; "1 tsp coriander, chopped" is the leaf.
  if (
    prep.some((word) => !/crushed|ground|roasted|toasted|powdered|\bseeds?$|\bpowder$/i.test(word)) ||
    /\b(?:fresh|leaf|leaves|chopped|minced)\b/i.test(read.raw)
  )
    return null
  // "1 tsp dill" is the leaf, dried; coriander and fennel by the teaspoon are their seeds.
  const leaf =
    food.group === 'herb' && food.id !== 'coriander-leaf' ? matchFood(`dried ${read.name}`, foods) : null
  if (leaf?.how === 'exact' && leaf.food.id !== food.id) return leaf
  for (const kind of ['seeds', 'powder']) {
    const spice = matchFood(`${read.name.replace(COARSE, '').trim()} ${kind}`, foods)
    if (spice?.how === 'exact' && /^(?:spice|seed)$/.test(spice.food.group)) return spice
  }
  return null
}

/**
 * "1 pepper, diced", "200 g peppers" are no peppercorns: what is counted out, or more than is ever ground, is the
 * vegetable of that name.
 */
export function vegetableOf(read: ReadLine, food: Food, foods: Foods) {
  const term = read.measures[0]?.[0]
  if (food.group !== 'spice' || !term) return null
  const unit = term.unitId === null ? null : unitById(term.unitId)
  const isMuch =
    (unit?.kind === 'mass' && term.low * unit.factor >= MORE_THAN_SPICE_GRAMS) ||
    (unit?.kind === 'volume' && term.low * unit.factor >= MORE_THAN_SPICE_ML) ||
    (unit?.kind === 'count' && /^(?:can|jar|packet|bag)$/.test(unit.id))
  const isCounted = unit === null && term.low <= MOST_VEGETABLES
  if (!isCounted && !(isMuch && /^(?:[a-zß-öø-ɏ]+ )?peppers?$/i.test(read.name))) return null
  if (Object.keys(food.unitGrams).some((unit) => /^(?:piece|small|medium|large|pod)$/.test(unit))) return null
  const vegetable = matchFood(`bell ${read.name}`, foods)
  return vegetable?.how === 'exact' && vegetable.food.group === 'vegetable' ? vegetable : null
}
/** Nobody fills a batch with more peppers than this, nor grinds so much of one. Common practice, no source. */
const MOST_VEGETABLES = 12
const MORE_THAN_SPICE_GRAMS = 40
const MORE_THAN_SPICE_ML = 59

/** "Boiled soya granules 50 g (dry weight)": it is the dry food that was weighed, and soaked or cooked afterwards. */
const DRY_WEIGHT =
  /^(?:weighed )?(?:dry|uncooked|raw)(?: (?:wt|weight|measure))?$|^(?:wt|weight|weighed) (?:dry|raw|uncooked)$/i
const COOKED_BEFORE = /^(?:boiled|cooked|soaked|rehydrated|steamed)\s+/i

const SOAKED_FIRST =
  /^soaked\b.*\b(?:boiled|cooked|simmered)\b|^soaked(?: and boiled)? (?:overnight|for \d+ h)|^(?:boiled|cooked|simmered)\b.* in\b.*\b(?:water|stock|broth)\b/i

const BLANCHED =
  /^\W*[\d¼½¾⅓⅔./ ]+ ?(?:cups?|tbsp|c) (?:of )?(?:[a-zß-öø-ɏ]+ )?(?:blanched|wilted|steamed|boiled)\b|\b(?:blanched|wilted|steamed|boiled)\b[^\d]*[-–—:]\s*[\d¼½¾]/i
const COOKED_WEIGHT =
  /^(?:(boiled|cooked|roasted|roast|steamed)(?: (?:wt|weight))|(?:wt|weight|weighed)(?: (?:when|once|after|already|of))+ (boil|cook|roast|steam)(?:ed|ing))$/i
const COOKED_FROM: Readonly<Record<string, string>> = {
  boil: 'boiled',
  cook: 'cooked',
  roast: 'roasted',
  steam: 'steamed',
}

/** A line whose amount is of the dry food though its name is the cooked one's. */
export function asWeighed(read: ReadLine, foods: Foods): ReadLine {
  // "400 g potatoes (boiled weight)": it is the cooked food that was weighed.
  const cooked = read.prep.find((word) => COOKED_WEIGHT.test(word.trim()))
  if (cooked) {
    const [, said, from] = COOKED_WEIGHT.exec(cooked.trim())!
    const state = said?.toLowerCase() ?? COOKED_FROM[from!.toLowerCase()]!
    if (matchFood(`${state} ${read.name}`, foods)?.how === 'exact')
      return { ...read, name: `${state} ${read.name}`, prep: read.prep.filter((word) => word !== cooked) }
  }
  // "200 g chickpeas, soaked overnight and boiled": nobody soaks or boils in stock what comes boiled.
  const isSoaked = (word: string) =>
    SOAKED_FIRST.test(word) ||
    // "Rajma 1 cup soaked", and no "soaked rajma", which may be measured so.
    (/^soaked$/i.test(word) && read.raw.toLowerCase().indexOf('soaked') > read.raw.indexOf(read.name))
  const soaked = read.prep.some(isSoaked) ? matchFood(`dry ${read.name}`, foods) : null
  if (soaked?.how === 'exact' && isBoiledSoft(soaked.food) && soaked.food.group === 'pulse') {
    // "Lobia (black eyed beans), soaked overnight": the same pulse by its other name is no cooked one.
    const prep = read.prep.filter((word) => matchFood(word, foods)?.food.kind !== soaked.food.kind)
    return { ...read, name: `dry ${read.name}`, prep: [...prep, 'cooked'] }
  }
  // "1 cup blanched spinach", "spinach, blanched – 1 cup": leaves are measured when they have fallen together.
  const wilted = BLANCHED.exec(read.raw)
  const isVolume = read.measures.some((measure) =>
    measure.some(({ unitId }) => unitId !== null && unitById(unitId).kind === 'volume'),
  )
  if (wilted && isVolume) {
    const leaves = matchFood(`cooked ${read.name}`, foods)
    if (leaves?.how === 'exact' && leaves.food.state === 'cooked' && leaves.food.group === 'leafy')
      return { ...read, name: `cooked ${read.name}` }
  }
  const done = COOKED_BEFORE.exec(read.name)
  const weight = done && read.prep.find((word) => DRY_WEIGHT.test(word.trim()))
  if (!done || !weight) return read
  const bare = read.name.slice(done[0].length)
  const dry = matchFood(`dried ${bare}`, foods)?.how === 'exact' ? `dried ${bare}` : bare
  const prep = [...read.prep.filter((word) => word !== weight), 'soaked']
  return { ...read, name: dry, prep: [...new Set(prep)] }
}

/** "1 recipe pie dough", "a batch of pizza dough": of another page, and nobody knows how much it makes. */
export function asOneMaking(read: ReadLine, foods: Foods): ReadLine {
  const dough = ONE_MAKING.exec(read.name)?.[1]
  const isCounted = read.measures.every((measure) => measure.every(({ unitId }) => unitId === null))
  if (!dough || !foodIs(matchFood(dough, foods)?.food, 'bought-dough')) return read
  return { ...read, name: dough, measures: isCounted ? [] : read.measures }
}
const ONE_MAKING =
  /^(?:recipes?|batch(?:es)?|quantity|quantities|lots?|portions?)(?: (?:of|for))?(?: (?:the|my|your|basic|this))* ([a-zß-öø-ɏ].*)$/i

/** "Warm milk (I use oat)": what this cook takes, and what the line allows instead. */
export function asUsed(read: ReadLine, foods: Foods): ReadLine {
  for (const word of read.prep) {
    const used = /^(?:i|we) (?:use|used|like|prefer|take)(?: the)? ([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?)$/i.exec(
      word,
    )?.[1]
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

/** "Milk to adjust consistency", "butter at room temp", "thighs without skin": a food, and what is said of it. */
const SAID_OF_IT =
  /^([a-zß-öø-ɏ].*?)\s+((?:to|for|at|as|only|total|max(?:imum)?|minimum|net|gross|in the|on (?:the )?(?:side|top)|grated|crushed|sliced|caramelis?z?ed|left[- ]?over|straight|(?:peeled|prepared|cleaned|trimmed|net) weight|with (?:their|its|the) (?:juices?|skins?|bones?|leaves|tops|fat|oil|brine|stalks?|stems?)|(?:with|w\/) (?!an? |half )[a-zß-öø-ɏ &-]+|without (?:the |its |their |any )?(?:skins?|bones?|seeds|stones?|pits?|rinds?|crusts?|kernels?|stalks?|stems?|shells?|fat|juice|oil|sugar))\b.*)$/i

/** A line whose name nobody knows as a whole, and knows without what is said behind it: that is no part of it. */
export function withoutTail(read: ReadLine, foods: Foods): ReadLine {
  const tail = SAID_OF_IT.exec(read.name)
  if (!tail || matchFood(read.name, foods)?.how === 'exact') return read
  if (matchFood(tail[1]!, foods)?.how !== 'exact') return read
  return { ...read, name: tail[1]!, prep: [...read.prep, tail[2]!] }
}

/** Words after a comma or in brackets that choose the food: "(5 % fat)", "80/20", "semi-skimmed", "egg-free". */
const CHOOSES =
  /\d ?%|\bfat\b|\blean\b|\b\d\d ?\/ ?\d\d\b|skimmed|[a-z][- ]free\b|\bvegan\b|\bvegetarian\b|\bplant[- ]based\b|\bskin[- ]on\b|\bwith skin\b|\ball[- ]butter\b/i

/** "(Skip for vegan)", "(vegan one if you like)": what is said of another time chooses nothing. */
const ONLY_SOMETIMES = /\b(?:skip|omit|leave|left out|drop|if|to make|works?|instead)\b/i

/** "Koo chai (garlic chives)", "firm, waxy potato": where the name says nothing, what stands behind it may. */
export function namedBehind(read: ReadLine, foods: Foods) {
  for (const word of read.prep) {
    if (
      !/^(?!(?:with|without|not|no|or|and|from|for|in|of|plus|contains?)\b)(?!.*\b(?:and|or)\b)(?!.*\bfree$)[a-zß-öø-ɏ]+(?:[ -][a-zß-öø-ɏ]+){0,3}$/i.test(
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
export const COOKED_HERE = /^(?:cooked|boiled|mashed|simmered|soaked and cooked)\b/i
/** "Noodles (dry), boiled". */
const SAID_DRY = /^(?:weighed )?(?:dry|dried|uncooked)(?: (?:wt|weight))?$/i
const WEIGHED_DRY = /\b(?:dried|dry|uncooked)\b/i

/** Words that say which kind of a food it is, and nothing of what is done with it. */
const OF_KIND =
  /^(?:strong|strong white|plain|self[- ]rais(?:ing|ed)|bread|wholemeal|wholegrain|whole ?wheat|white|brown|caster|icing|demerara|double|single|whipping|natural|greek|smoked|unsalted|black|red|green)$/i

/** "Peeled and boiled": that it was peeled changes no state. */
const PEELED_FIRST = /^(?:peeled|skinned|scrubbed|washed)\s+(?:and|&|then)\s+/i
/** "X for the Y", "X from the Y". */
const FOR_WHAT =
  /^([a-zß-öø-ɏ][a-zß-öø-ɏ -]+?) (?:for|from) (?:the |your |a )[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?$/i

const hasAllergen = (food: Food, one: Food['allergens'][number]) =>
  food.allergens.includes(one) || food.possibleAllergens.includes(one)
const hasOrigin = (food: Food, one: Food['origins'][number]) =>
  food.origins.includes(one) || food.possibleOrigins.includes(one)

const IN_TUBE = /\btubes?\b|\b\d{1,2}[- ](?:count|ct) cans?\b|\bcans?\b[^,]*\d{1,2}[- ](?:count|ct)\b/i
/** The food of a line, by its name together with what is said behind it: "tuna, canned", "450 g flour (strong)". */
export function matchWithPrep(read: ReadLine, foods: Foods) {
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
  const chosen = prep.filter((word) => CHOOSES.test(word) && !ONLY_SOMETIMES.test(word)).join(' ')
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
  const packed = read.prep.includes('from a container') ? matchFood(`canned ${read.name}`, foods) : null
  const isCan = /\b(?:cans?|tins?|tinned|canned|jars?)\b/i.test(withPlainAmounts(read.raw))
  // "1 tube biscuits (8 count)": what is sold in tubes is dough, whatever else goes by its name.
  const tubed = IN_TUBE.test(read.raw) ? matchFood(`canned ${read.name}`, foods) : null
  if (tubed?.how === 'exact' && foodIs(tubed.food, 'bought-dough')) return tubed
  // "390 g carton green lentils, drained": pulses out of their water are cooked, whatever they come in.
  const isDrained =
    packed?.food.group === 'pulse' && read.prep.some((word) => /^(?:rinsed and )?drained\b/i.test(word))
  if (packed?.how === 'exact' && (isCan || isDrained)) return packed
  // "450 g flour (strong)": what kind of it stands behind.
  for (const word of read.prep) {
    const kind = OF_KIND.test(word) ? matchFood(`${word} ${read.name}`, foods) : null
    if (kind?.how === 'exact' && kind.food.group === plain?.food.group) return kind
  }
  // "whole wheat flour (atta)": the bracket names the same kind of food more closely; "mixed vegetables (carrot,
  // beans, peas)" lists what is in it.
  // "Mutton mince (kheema)" is of mutton, whatever kheema is made of elsewhere.
  const isOneMeat = plain?.how === 'exact' && /meat$/.test(plain.food.group)
  const closer = (plain && !isOneMeat ? read.prep : []).flatMap((word) => {
    const names = /^\p{L}+(?:[ -]\p{L}+){0,3}$/u.test(word) && !/\bfree$/i.test(word)
    const found = names ? matchFood(word, foods) : null
    // "Dhania (coriander seeds)": of a plant that is a leaf by name it is the seed.
    const isSeedOf =
      /^(?:herb|vegetable)$/.test(plain!.food.group) &&
      found?.food.group === 'spice' &&
      / (?:seeds?|powder)$/i.test(word) &&
      read.raw.includes(`(${word})`)
    return found?.how === 'exact' && (isSeedOf || found.food.group === plain!.food.group) ? [found] : []
  })
  if (new Set(closer.map(({ food }) => food.id)).size === 1) return closer[0]!
  // "250 g bryndza (sheep's cheese)": a word that nobody knows, and behind it what it is.
  const explained = plain
    ? []
    : prep
        // "(Mince and mash)" lists what is in it.
        .filter((word) => read.raw.includes(`(${word})`) && !/\s(?:and|&|\+)\s/i.test(word))
        .map((word) => matchFood(word, foods))
  if (explained.length === 1 && explained[0]?.how === 'exact')
    return { ...explained[0], how: 'part' as const, leftOver: [read.name] }
  // "Cold turkey, chopped" has been cooked.
  const isColdMeat =
    plain &&
    /^cold\b/i.test(read.name) &&
    /^(?:meat|poultry)$/.test(plain.food.group) &&
    plain.food.state === 'raw'
  // "2 cups turkey, shredded": nobody shreds it raw, or measures it by the cup.
  const isShredded =
    plain?.food.group === 'poultry' &&
    plain.food.state === 'raw' &&
    read.prep.some((word) => /^(?:meat )?(?:finely |roughly )?shredded\b/i.test(word)) &&
    read.measures.some((measure) =>
      measure.some(({ unitId }) => unitId !== null && unitById(unitId).kind === 'volume'),
    )
  const cookedMeat =
    isColdMeat || isShredded ? matchFood(`cooked ${read.name.replace(/^cold\s+/i, '')}`, foods) : null
  if (cookedMeat?.how === 'exact') return cookedMeat
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
    // "1 lb ground beef, cooked and drained" is weighed as it is bought.
    if (plain && isCookedMince(read, plain.food)) continue
    // What is cooked and then minced is no raw mince.
    if (plain?.food.state === 'cooked' && /^(?:minced|ground|raw|fresh)\b/i.test(word)) continue
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

const BOUGHT_BY = /^(?:g|kg|oz|lb)$/
/** Mince that was weighed raw and is cooked by its own line: "1 lb ground beef, cooked and drained". */
export const isCookedMince = ({ measures, prep }: ReadLine, food: Food): boolean =>
  food.state === 'raw' &&
  food.group === 'minced-meat' &&
  BOUGHT_BY.test(measures[0]?.[0]?.unitId ?? '') &&
  // "Minced beef, cooked" is what the larder calls the cooked one, whatever follows it.
  !prep.some((word) => /^cooked$/i.test(word)) &&
  prep.some((word) => /^cooked\s*(?:,|\band|&|until|till|through|then|in|with)\s/i.test(word))
