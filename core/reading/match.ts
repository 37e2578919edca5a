import type { Food, Foods } from '../food/food'
import { carries, carriesAny, claimsIn, hazardsOfWord, isClaim, type Hazards } from '../food/hazards'
import { isClassNoun, takesNoun } from './classNouns'
import { asBought, qualifiersIn, settle } from './qualifiers'
import { closestWord } from './misspelt'
import { madeOfPlants } from './madeOfPlants'
import { remember } from './remember'

export interface FoodMatch {
  food: Food
  /** exact: the name is a name of the food; part: words were left over; spelling: a word was corrected */
  how: 'exact' | 'part' | 'spelling'
  /** The name that was found ("cheddar" of "grated cheddar"). */
  found: string
  /** What was asked of state or fat and the larder does not have, in words; '' when nothing is lacking. */
  lacking: string
  /** Words that played no part in the match and are not mere description. */
  leftOver: string[]
}

/** Words that describe a food without changing which it is. */
const PLAIN = new Set(
  `a an the of and in with for good quality best organic ripe cold warm hot luke lukewarm tepid iced
   chilled soft softened hard melted room temperature at small medium large big extra thick thin fine finely
   coarse coarsely roughly thinly very well lightly chopped sliced diced minced crushed grated shredded shaved mashed
   peeled trimmed drained rinsed squeezed pressed soaked thawed defrosted sifted beaten whisked toasted
   crumbled cubed quartered halved torn picked packed unpeeled pitted stoned cored
   julienned strained ready made ready-made shallow shop bought bought homemade home-made your favourite favorite any
   plain natural pure boneless skinless free range unwaxed unsweetened sweetened smooth crunchy
   washed cleaned ground powdered young baby tender more extra about
   ready-rolled rolled fast action round square firmly loosely heaped level day-old stale clear runny thick-cut
   triangular triangle rectangular
   white red green yellow brown black orange purple golden new piece pieces chunk chunks strip strips cube cubes
   fillet fillets meat mince trimmings loin shin brisket rump sirloin topside silverside cheek cheeks neck leg legs shank
   wing wings tail tails rib ribs flank portion portions bits slice slices shreds rashers goujons escalope tender tenders
   superfine sharp mild mature strong aged vintage king tiger jumbo halal kosher barista blend mix drops drop steak steaks lardons
   style type kind log wedge wedges ball balls tub wheel slab granules unflavoured unflavored cocktail
   stoneground active bubbly fed deli super low-moisture part-skim hydration fermented loaf strand thread bone long old shelled
   sheet sheets block roll pack leaves leaf seeds seed clove cloves stalk stalks stick sticks sprig sprigs bunch florets flesh kernels`
    .split(/\s+/)
    .filter(Boolean)
    // Names are compared in the singular.
    .flatMap((word) => [word, singular(word)]),
)

/** Lower case, no accents, hyphens as blanks, singular nouns: how names are compared. */
export const normaliseName: (text: string) => string = remember(normalise, 5000)

/** The words of a text as names are compared. */
export const plainWords: (text: string) => ReadonlySet<string> = remember(
  (text) => new Set(normaliseName(text).split(' ')),
)

/** Names that a larder has matched are remembered, up to so many. */
const MAX_REMEMBERED = 5000

function normalise(text: string): string {
  return (
    text
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/['’`]s\b/g, 's')
      // Five spellings of one pod.
      .replace(/\bchil(?:l?y|l?ie?|l?e)s?\b|\bchill?ies\b/g, 'chilli')
      .replace(/\byoghurt(s?)\b/g, 'yogurt$1')
      .replace(/[^\p{L}\d%.]+|\.(?!\d)|(?<!\d)\./gu, ' ')
      .trim()
      .split(' ')
      .map(singular)
      .join(' ')
  )
}

function singular(word: string): string {
  if (word.length < 4 || /(?:ss|us|is|ous|molasses|hummus|swiss|asparagus|couscous)$/.test(word)) return word
  if (/^(?:leaves|loaves|halves|calves|knives)$/.test(word)) return word.replace(/ves$/, 'f')
  if (/ies$/.test(word)) return word.replace(/ies$/, 'y')
  if (/(?:oes|ches|shes|xes|sses)$/.test(word)) return word.replace(/es$/, '')
  return word.replace(/s$/, '')
}

interface NameIndex {
  names: Map<string, Food>
  kinds: Map<string, Food[]>
  words: Map<number, string[]>
  longest: number
  /** Names that were matched before. */
  matched: Map<string, FoodMatch | null>
}

const indexes = new WeakMap<Foods, NameIndex>()

function indexOf(foods: Foods): NameIndex {
  const known = indexes.get(foods)
  if (known) return known
  const names = new Map<string, Food>()
  const kinds = new Map<string, Food[]>()
  const add = (name: string, food: Food) => {
    const key = normaliseName(name)
    if (key && !names.has(key)) names.set(key, food)
  }
  // What a cook has taught comes before what the table says.
  for (const food of foods.values()) for (const name of food.taughtNames ?? []) add(name, food)
  for (const food of foods.values()) for (const name of food.synonyms) add(name, food)
  for (const food of foods.values()) {
    add(food.name, food)
    add(food.id, food)
    const own = kinds.get(food.kind)
    if (own) own.push(food)
    else kinds.set(food.kind, [food])
  }
  const words = new Map<number, string[]>()
  let longest = 1
  const seen = new Set<string>()
  for (const name of names.keys()) {
    const parts = name.split(' ')
    longest = Math.max(longest, parts.length)
    for (const word of parts) {
      if (seen.has(word) || word.length < 4) continue
      seen.add(word)
      words.set(word.length, [...(words.get(word.length) ?? []), word])
    }
  }
  const made = { names, kinds, words, longest, matched: new Map() }
  indexes.set(foods, made)
  return made
}

/** The word of the larder that a misspelt one may stand for. */
const correctSpelling = (index: NameIndex, word: string): string | null =>
  PLAIN.has(word) ? null : closestWord(word, index.words)

/** Words that measure by something to eat: "walnut-sized" brings no walnut. */
const sizesOff = (words: readonly string[]) =>
  words.filter((_, at) => !/^sized?$/.test(words[at]!) && !/^sized?$/.test(words[at + 1] ?? ''))

/** A food with less sodium than this in 100 g has no salt added: common practice, no source. */
const UNSALTED_MG = 150

/** Regulation (EC) 1924/2006, annex: "low sugars" are at most 5 g in 100 g of a solid. From memory. */
const LITTLE_SUGAR_G = 5

const OF_SPICE = /^(?:powder|powdered|ground|whole)$/

const MINCED = /^(?:minced|ground|mince)$/

/** The minced kind of a meat, where the words ask for it: "minced lean pork" is no pork in one piece. */
function mincedOf(index: NameIndex, found: string, food: Food, words: readonly string[]): Food {
  if (!/^(?:meat|poultry|fish|shellfish)$/.test(food.group) || !words.some((word) => MINCED.test(word)))
    return food
  // What is cooked and then minced is no raw mince.
  if (food.state === 'cooked') return food
  const of = normaliseName(food.name).split(' ')[0]!
  return (
    [`minced ${found}`, `${found} mince`, `minced ${of}`]
      .map((name) => index.names.get(name))
      .find(Boolean) ?? food
  )
}

/**
 * A food for words of which some are its name, or null when the others contradict it: a claim that it breaks
 * ("gluten-free"), an animal food or an allergen that it does not carry ("hazelnut", "fish"), a noun after it
 * that makes something else of it ("peanut sauce").
 */
function fits(
  index: NameIndex,
  named: Food,
  found: string,
  before: readonly string[],
  after: readonly string[],
): FoodMatch | null {
  const behind = asBought(after)
  const claims = claimsIn([...before, ...behind])
  const said = qualifiersIn(sizesOff(claims.rest))
  const afterRest = qualifiersIn(claimsIn(behind).rest).rest
  // "Black pepper powder", "jaggery powder": a powder as well as not.
  const ofSpice = /^(?:spice|seed|nut|sweetener)$/.test(named.group) ? OF_SPICE : null
  if (afterRest.some((word) => !PLAIN.has(word) && !ofSpice?.test(word) && !/^\d/.test(word))) return null
  const minced = mincedOf(index, found, named, [...before, ...after])
  const settled = settle(minced, index.kinds.get(minced.kind) ?? [minced], said)
  const { food } = settled
  const beforeRest = sizesOff(claimsIn(before).rest)
  // "Venison mince" is venison: what bears another's figures gives way to a food of that name.
  if (named.figuresOf !== null && beforeRest.some((word) => !PLAIN.has(word) && index.names.has(word)))
    return null
  for (let at = 0; at < beforeRest.length; at++) {
    for (const run of [beforeRest[at]!, beforeRest.slice(at).join(' ')]) {
      const hazards = PLAIN.has(run) ? null : hazardsOfWord(run, index.names.get(run))
      if (hazards && !carries(food, hazards)) return null
    }
  }
  if (claims.without.some((claim) => carriesAny(food, claim))) return null
  // "Sugar-free passata": of what has little sugar that says nothing more.
  const isSugarFree =
    food.per100g.sugarsG <= LITTLE_SUGAR_G &&
    before.some((word, at) => word === 'sugar' && before[at + 1] === 'free')
  const leftOver = [...said.rest, ...settled.odd].filter(
    (word) =>
      !(isSugarFree && word === 'sugar') &&
      !ofSpice?.test(word) &&
      !PLAIN.has(word) &&
      !/^\d/.test(word) &&
      !(word === 'unsalted' && food.per100g.sodiumMg < UNSALTED_MG),
  )
  return { food, found, lacking: settled.lacking, how: leftOver.length ? 'part' : 'exact', leftOver }
}

function lookUp(index: NameIndex, words: readonly string[]): FoodMatch | null {
  const whole = words.join(' ')
  const named = index.names.get(whole)
  if (named) return { food: named, found: whole, lacking: '', how: 'exact', leftOver: [] }
  if (words.length > 1 && isClassNoun(words.at(-1)!)) {
    const bare = lookUp(index, words.slice(0, -1))
    if (bare?.how === 'exact' && takesNoun(bare.food, words.at(-1))) return bare
  }
  for (let length = Math.min(words.length - 1, index.longest); length >= 1; length--) {
    // From the right: the noun that says what a food is stands last in English.
    for (let start = words.length - length; start >= 0; start--) {
      // "Pecans, nut-free" names no pecan nuts: a claim is not cut in two.
      if (isClaim(words, start - 1) || isClaim(words, start + length - 1)) continue
      const found = words.slice(start, start + length).join(' ')
      const food = index.names.get(found)
      const match = food && fits(index, food, found, words.slice(0, start), words.slice(start + length))
      if (match) return match
    }
  }
  return null
}

/**
 * Finds the food that a written name means: the whole name, else the longest part of it that is a name, else
 * the same with misspelt words corrected.
 *
 * A claim ("vegan", "gluten-free") never matches a food that breaks it, and a word for an animal food or an
 * allergen in front of a name never disappears: both give null rather than a wrong diet. A state ("cooked",
 * "canned") and a share of fat choose among the foods of one kind; what the larder lacks is said.
 *
 * @param name the ingredient without its amount
 * @returns the match with how sure it is, or null when nothing fits
 */
export function matchFood(name: string, foods: Foods): FoodMatch | null {
  const index = indexOf(foods)
  const known = index.matched.get(name)
  if (known !== undefined) return known
  if (index.matched.size >= MAX_REMEMBERED) index.matched.clear()
  const found = findFood(name, index)
  index.matched.set(name, found)
  return found
}

/** What a food is packed in, at the end of its name. */
const PACKED_IN =
  / in (?:(?:olive|sunflower|vegetable|rapeseed|spring|own|it own|light|their|natural|unsalted|salted) )*(?:oil|brine|water|juice|syrup|vinegar|tomato sauce|natural juice)$/
const FROM_PACKET = / from (?:a |the )?(?:jar|tin|can|packet|pack|box|carton|freezer)$/

/** The words of a name without where it was bought; what it is packed in becomes a state. */
function asPacked(words: readonly string[], index: NameIndex): readonly string[] {
  const text = words.join(' ')
  if (index.names.has(text)) return words
  const bare = text.replace(/^(?:canned|tinned|jarred) /, '')
  if (index.names.has(bare) && PACKED_IN.test(bare)) return bare.split(' ')
  const own = text.replace(FROM_PACKET, '')
  return (PACKED_IN.test(own) ? `canned ${own.replace(PACKED_IN, '')}` : own).split(' ')
}

/** Words that packets of flour add to what they are. */
const OF_MIXES = /^(?:plain|white|blend|mix|ready|rolled)$/
/** Words of a claimed name that say of what age, strength or cut it is, and never what. */
const DESCRIBES =
  /^(?:mature|mild|strong|sharp|extra|aged|vintage|grated|shredded|sliced|crumbled|melted|block|slice|style|type|kind|log|bought|best|good|quality|alternative|substitute|replacement)$/
/** Names of what is made of plants only, each said for another. */
const OF_PLANTS = ['vegan', 'plant based', 'dairy free']

/**
 * The same claim in other words, where they mean the same of this food: "dairy-free cheddar" is vegan cheddar, for
 * cheddar is of milk; a dairy-free sausage may be of meat.
 */
function otherClaims(
  index: NameIndex,
  claims: readonly string[],
  without: Hazards[],
  rest: readonly string[],
) {
  const meant = lookUp(index, rest)?.food
  const contradicts = meant !== undefined && without.every((claim) => carriesAny(meant, claim))
  const ofPlants = /^(?:vegan|plant|plant based|mock|faux)$/.test(claims.join(' '))
  return ofPlants || contradicts ? OF_PLANTS : []
}

/** The name that is kept with its claims before the rest: "self-raising gluten-free flour". */
function claimedName(index: NameIndex, words: readonly string[]): FoodMatch | null {
  const { claims, rest, without } = claimsIn(words)
  if (!claims.length) return null
  const bare = rest.filter((word) => !DESCRIBES.test(word))
  // "Pork vegan sausage": the word in front must not disappear in "vegan pork".
  const inFront = words.slice(0, words.indexOf(claims[0]!))
  const hides = (food: Food) =>
    inFront.some((word) => {
      const hazards = PLAIN.has(word) ? null : hazardsOfWord(word, index.names.get(word))
      return hazards !== null && !carries(food, hazards)
    })
  for (const claim of [claims.join(' '), ...otherClaims(index, claims, without, rest)]) {
    for (const name of [rest, rest.filter((word) => !OF_MIXES.test(word)), bare, bare.slice(0, -1)]) {
      const found = [claim, ...name].join(' ')
      const food = name.length ? index.names.get(found) : undefined
      if (!food || without.some((one) => carriesAny(food, one)) || hides(food)) continue
      // "Vegan cheddar cheese": the noun behind says only of which kind it is.
      if (name.length < bare.length && !takesNoun(food, bare.at(-1))) continue
      return { food, found, lacking: '', how: 'exact', leftOver: [] }
    }
  }
  // "Vegan gouda": the larder has none, and has what stands for any cheese.
  const isAhead = words.slice(claims.length).join(' ') === rest.join(' ')
  const meant = isAhead && otherClaims(index, claims, without, rest).length ? lookUp(index, bare) : null
  const stead = meant?.how === 'exact' ? madeOfPlants(meant.food.group, meant.food.id) : null
  const food = stead ? index.names.get(stead) : undefined
  return food && !without.some((one) => carriesAny(food, one))
    ? {
        food,
        found: words.join(' '),
        lacking: `the larder has no ${words.join(' ')}`,
        how: 'exact',
        leftOver: [],
      }
    : null
}

/** Plants of which a drink, a cream or a yogurt is made. */
const MILKED = /^(?:oat|soya?|coconut|almond|cashew|rice|pea|hazelnut|hemp)$/
/** Of what strength or make a cream, a drink or a yogurt is. */
const OF_CREAM =
  /^(?:single|double|whipping|cooking|pouring|thick|greek|style|set|creamy|barista|extra|heavy|fresh)$/

/** "Oat double cream" is oat cream, and that it is double is told: plants have other names for their creams. */
function plantCream(index: NameIndex, words: readonly string[]): FoodMatch | null {
  const middle = words.slice(1, -1)
  if (!MILKED.test(words[0]!) || !middle.length || !middle.every((word) => OF_CREAM.test(word))) return null
  const found = `${words[0] === 'soya' ? 'soy' : words[0]} ${words.at(-1)}`
  const food = index.names.get(found)
  return food ? { food, found, lacking: '', how: 'part', leftOver: middle } : null
}

/** Nouns that a packet puts first. None is an allergen or an animal food: turning round must bring no hazard out of sight. */
const NOUN_FIRST = /^(?:flour|sugar|salt|yeast|oil|vinegar|rice)$/

function findFood(name: string, index: NameIndex): FoodMatch | null {
  const words = asPacked(normaliseName(name).split(' ').filter(Boolean), index)
  if (!words[0]) return null
  const written = lookUp(index, words)
  const direct = written?.how === 'exact' ? written : (claimedName(index, words) ?? written)
  if (direct?.how === 'exact') return direct
  // "Flour, type 00": the noun stands first, and its kind behind it.
  const turned = words.length <= 4 && NOUN_FIRST.test(words[0]) ? [...words.slice(1), words[0]].join(' ') : ''
  const kind = direct ? undefined : index.names.get(turned)
  if (kind) return { food: kind, found: turned, lacking: '', how: 'exact', leftOver: [] }
  // "Ajwain seeds": what is sold as seeds is named with or without them.
  const seeds =
    words.at(-1) === 'seed' && words.length > 1 ? index.names.get(words.slice(0, -1).join(' ')) : undefined
  if (seeds && /^(?:spice|seed)$/.test(seeds.group))
    return { food: seeds, found: words.join(' '), lacking: '', how: 'exact', leftOver: [] }
  let changed = false
  const corrected = words.map((word) => {
    const better = correctSpelling(index, word)
    if (better) changed = true
    return better ?? word
  })
  if (changed) {
    const spelled = lookUp(index, corrected)
    if (spelled && !spelled.leftOver.length) return { ...spelled, how: 'spelling' }
  }
  return direct ?? plantCream(index, words)
}
