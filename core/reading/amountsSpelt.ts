import { ABOUT_SO_MUCH, NUMBER, rule, UNIT, type AmountWording } from './amountWords'
import { PREP_WORDS } from './lineName'
import { PACK_WORDINGS } from './packsSpelt'
import { readNumber, TENS, ONES } from './readNumber'
import { remember } from './remember'
import { unitByName, type Unit } from './units'

// Amounts as cooks write them, brought to one form before a line is taken apart: "a cup and a half of", "quarter of a
// kilo", "200/250 g", "1 cup minus 1 tbsp".

/** Parts that are said in words, with the fraction that says the same. */
const PARTS: Readonly<Record<string, string>> = {
  half: '1/2',
  third: '1/3',
  quarter: '1/4',
  fourth: '1/4',
  eighth: '1/8',
  'two thirds': '2/3',
  'two third': '2/3',
  'three quarters': '3/4',
  'three quarter': '3/4',
  'three fourths': '3/4',
  'three fourth': '3/4',
}
const PART = Object.keys(PARTS)
  .sort((a, b) => b.length - a.length)
  .map((part) => part.replace(' ', '[ -]'))
  .join('|')
const fractionOf = (part: string) => PARTS[part.toLowerCase().replace('-', ' ')]!

const wholeOf = (word: string) => (/^\d/.test(word) ? word : String(ONES[word.toLowerCase()]))
const sameKind = (one: Unit, other: Unit) => one.kind === other.kind
const inThousandths = (value: number) => String(Math.round(value * 1000) / 1000)

/** "Half sliced", "one of them grated", "the rest left whole": what is done with a share of what was bought. */
const SHARE_DONE = String.raw`(?:(?:half|one|two|three|some|most|a few|a third|the rest|the others?|\d{1,2})(?: of (?:it|them|these))?) (?:[a-zß-öø-ɏ]+ly )?(?:left|kept|sliced|chopped|minced|grated|diced|cubed|juiced|zested|crushed|halved|quartered|mashed|shredded|peeled|beaten|cut|torn|cooked|boiled|fried|reserved)(?: (?:whole|raw|aside|up|fine|finely|in half|(?:in(?:to)? )?(?:rings|strips|chunks|cubes|wedges|slices)))?(?![a-zß-öø-ɏ]| (?!and\b)[a-zß-öø-ɏ])`

/** "Two and half cups", without an article: in sentences as well as on lines. */
const WHOLE_AND_PART: AmountWording = {
  like: '2 and half cups flour',
  becomes: '2 1/2 cups flour',
  pattern: rule(
    String.raw`(\d{1,2}|one|two|three|four|five|six) (?:and|&|n) (half|quarter|three[- ]quarters?|three[- ]fourths?) (?=(?:of )?(?:${UNIT}|inch|dozen))`,
  ),
  to: (_, whole, part) => `${wholeOf(whole!)} ${fractionOf(part!)} `,
}
/** A text in which "two and half cups" are 2 1/2 cups. */
export const withPlainHalves = (text: string): string =>
  text.replace(WHOLE_AND_PART.pattern, (...found: string[]) => WHOLE_AND_PART.to(...found))

const SPREADS = 'butter|lard|ghee|dripping|margarine'
const SIZED_LIKE = 'walnut|egg|hazelnut'

/** Every wording, in the order in which they are brought to the one form. */
export const AMOUNT_WORDINGS: readonly AmountWording[] = [
  {
    like: 'filo, 1 box (270 g)',
    becomes: 'filo, 1 pack (270 g)',
    pattern: rule(
      String.raw`(${NUMBER} ?(?:${UNIT})?[ -]|(?:an?|one|two|three) (?:large |small |big )?)box(es)?(?! grater)(?![a-zß-öø-ɏ])`,
    ),
    to: (_, many, several) => `${many}pack${several ? 's' : ''}`,
  },
  {
    like: 'puff pastry (1 375 g roll)',
    becomes: 'puff pastry (1 375 g pack)',
    pattern:
      /(?<=\b(?:pastry|filo|phyllo|yufka)\b[^a-zß-öø-ɏ]*)((?:\d[\d.]*|\ban?|\bone|\btwo|\bhalf) ?(?:g|oz)?[ -])roll(s)?(?![a-zß-öø-ɏ])/gi,
    to: (_, many, several) => `${many}pack${several ?? ''}`,
  },
  {
    like: 'a 375 g roll of puff pastry',
    becomes: 'a 375 g pack of puff pastry',
    pattern:
      /((?:\d[\d.]*|\ban?|\bone|\btwo|\bhalf) ?(?:g(?:ram)?|oz)?[ -])roll(s)?(?= (?:\([^)]*\) )?(?:of )?(?:[a-zß-öø-ɏ-]+ ){0,2}(?:pastry|filo|phyllo|yufka)(?![a-zß-öø-ɏ]))/gi,
    to: (_, many, several) => `${many}pack${several ?? ''}`,
  },
  {
    like: 'a cup and a half of milk',
    becomes: '1 1/2 cup milk',
    pattern: rule(
      String.raw`(an?|one|\d{1,2}) (${UNIT}) and (?:an? )?(half|quarter|third)(?: of)?(?![a-zß-öø-ɏ])`,
    ),
    to: (_, whole, unit, part) => `${/^\d/.test(whole!) ? whole : 1} ${fractionOf(part!)} ${unit}`,
  },
  WHOLE_AND_PART,
  {
    like: 'three quarters of a pound of beef',
    becomes: '3/4 pound beef',
    pattern: rule(
      String.raw`(?<!\band (?:(?:an?|one|two|three) )?)(?:(?:an?|one) )?(${PART}) of (?:an? )?(${UNIT})(?: of(?= (?!the\b)[a-zß-öø-ɏ]))?`,
    ),
    to: (_, part, unit) => `${fractionOf(part!)} ${unit}`,
  },
  {
    like: 'garlic, 2 fat cloves, crushed',
    becomes: '2 fat cloves garlic, crushed',
    pattern:
      /^garlic(?:\s*[,:–-]\s*|\s+)((?:\d{1,2}(?:\s*(?:-|–|to)\s*\d{1,2})?|an?|one|two|three|four|five|six) (?:(?:large|fat|big|small) )?cloves?)\b/gi,
    to: (_, cloves) => `${cloves} garlic`,
  },
  {
    like: 'water, 5 or 6 tbsp',
    becomes: 'water, 5-6 tbsp',
    pattern: rule(String.raw`(${NUMBER}) or (?=${NUMBER}(?:[ ,)]|$|[a-zß-öø-ɏ]))`),
    to: (_, low) => `${low}-`,
  },
  {
    like: '1/4 of a cup milk',
    becomes: '1/4 cup milk',
    pattern: rule(String.raw`(\d ?\/ ?\d|[¼½¾⅓⅔⅛]) (?:of )?an? (${UNIT})`),
    to: (_, part, unit) => `${part} ${unit}`,
  },
  {
    like: '1 full cup sugar',
    becomes: '1 cup sugar',
    pattern: rule(String.raw`(${NUMBER}) (?:full|whole) (${UNIT})`),
    to: (_, number, unit) => `${number} ${unit}`,
  },
  ...PACK_WORDINGS,
  {
    like: 'a two-inch piece of ginger',
    becomes: '2 inch piece of ginger',
    pattern:
      /^(?:an? |one )?(\d(?:[./]\d)?|one|two|three|four)[- ]?(inch|cm|centimetre)[- ](?=(?:piece|knob|chunk|length|bit|nub)\b)/gi,
    to: (_, many, unit) => `${ONES[many!.toLowerCase()] ?? many} ${unit} `,
  },
  {
    like: '3 carrots, about 2 cups grated',
    becomes: '3 carrots (about 2 cups grated)',
    pattern: new RegExp(
      String.raw`(?<=^(?:\d|an?|one|two|three|[½¼¾])[^,()]*),\s+((?:about|approx\.?|around|roughly|~) ?(?:${NUMBER}) ?(?:${UNIT}),? (?:${PREP_WORDS})(?:,? (?:and |& )?(?:${PREP_WORDS}))?)(?=\W*$)`,
      'gi',
    ),
    to: (_, again) => ` (${again})`,
  },
  {
    like: 'half boiling water (100 ml) half cold (90 ml)',
    becomes: '100 ml boiling water + 90 ml cold water',
    pattern: rule(
      String.raw`half (boiling|hot|warm) water \((\d{1,4} ?(?:ml|g))\),?(?: and)? (?:half )?(cold|cool|room temperature)(?: water)? \((\d{1,4} ?(?:ml|g))\)`,
    ),
    to: (_, hot, much, cold, more) => `${much} ${hot} water + ${more} ${cold} water`,
  },
  {
    like: '6 oz lard & marg mixed',
    becomes: '3 oz lard + 3 oz marg',
    pattern: rule(
      String.raw`(\d{1,4}) ?(g|oz) (?:of )?(lard|butter|marg(?:arine)?|shortening|ghee|suet|dripping) ?(?:\+|&|and|\/) ?(lard|butter|marg(?:arine)?|shortening|ghee|suet|dripping),? (?:mixed|mix|half and half|half[- ]half|in equal parts|combined)`,
    ),
    to: (_, many, unit, one, other) =>
      `${inThousandths(Number(many) / 2)} ${unit} ${one} + ${inThousandths(Number(many) / 2)} ${unit} ${other}`,
  },
  {
    like: '400 g mushrooms & walnuts (300 + 100)',
    becomes: '300 g mushrooms + 100 g walnuts',
    pattern:
      /^(\d{2,4}) ?(g|ml) (?:(?:an? )?mix(?:ture)? of )?([a-zß-öø-ɏ][a-zß-öø-ɏ ,&+]{4,60}?) ?\((\d{1,4}(?: ?[+/] ?\d{1,4}){1,3}) ?(?:g|ml)?\)/gi,
    to: (whole, total, unit, names, amounts) => {
      const foods = names!.split(/\s*,\s*(?:and )?|\s+(?:and|&|\+)\s+/)
      const own = amounts!.split(/ ?[+/] ?/).map(Number)
      const isWhole = own.reduce((sum, one) => sum + one, 0) === Number(total)
      return foods.length === own.length && isWhole
        ? foods.map((food, at) => `${own[at]!} ${unit} ${food}`).join(' + ')
        : whole!
    },
  },
  {
    like: '6 tbsp pickle (150)',
    becomes: '6 tbsp pickle (150 g)',
    pattern:
      /^((?:\d[\d./ ]*|[¼½¾⅓⅔]|an?|half an?) ?(?:tbsp|tablespoons?|cups?) [a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}) \((\d{2,4})\)$/gi,
    to: (_, line, grams) => `${line} (${grams} g)`,
  },
  {
    like: '300 ml milk and water',
    becomes: '150 ml milk + 150 ml water',
    pattern: rule(
      String.raw`(\d{2,4}) ?(ml|g) (?:of )?(?:(?:warm|lukewarm|tepid|half|mixed) )*(milk|water) ?(?:\+|&|and|\/) ?(milk|water)(?:,? (?:mixed|half and half|half[- ]half|in equal parts|combined))?(?=\s*(?:$|[,;.)]|\/\s))`,
    ),
    to: (whole, many, unit, one, other) =>
      one!.toLowerCase() === other!.toLowerCase()
        ? whole!
        : `${Number(many) / 2} ${unit} ${one} + ${Number(many) / 2} ${unit} ${other}`,
  },
  {
    like: 'salt tsp',
    becomes: 'salt 1 tsp',
    pattern: /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,24}) (tsp|tbsp|teaspoon|tablespoon)$/gi,
    to: (_, name, unit) =>
      /\b(?:an?|half|quarter|third|the|each|per|one|two|three|level|heaped)\b/i.test(name!)
        ? `${name} ${unit}`
        : `${name} 1 ${unit}`,
  },
  {
    like: 'a couple of tbsp oil',
    becomes: '2 tbsp oil',
    pattern: rule(String.raw`(?:an? )?couple (?:of )?(${UNIT})`),
    to: (_, unit) => `2 ${unit}`,
  },
  {
    like: 'two fifty grams flour',
    becomes: '250 grams flour',
    pattern: rule(
      String.raw`(one|two|three|four|five|six|seven|eight|nine) (${Object.keys(TENS).join('|')}) (?=grams?\b|g\b|ml\b|millilit)`,
    ),
    to: (_, hundreds, tens) => `${ONES[hundreds!.toLowerCase()]! * 100 + TENS[tens!.toLowerCase()]!} `,
  },
  {
    like: 'milk, between 200 and 250 ml',
    becomes: 'milk, 200-250 ml',
    pattern: rule(
      String.raw`between (${NUMBER})(?: ?(?:${UNIT}))? (?:and|&) (?=(?:${NUMBER}) ?(?:${UNIT}|[a-zß-öø-ɏ]))`,
    ),
    to: (_, low) => `${low}-`,
  },
  {
    like: 'butter max. 250 g',
    becomes: 'butter 250 g',
    pattern: rule(
      String.raw`(?:(?:no|not) more than|at (?:most|the most)|an? maximum of|max(?:imum)?\.?) (?=(?:${NUMBER}|an?) ?[a-zß-öø-ɏ])`,
    ),
    to: () => '',
  },
  {
    like: '1 onion, half left whole and half sliced',
    becomes: '1 onion (half left whole and half sliced)',
    pattern: new RegExp(
      String.raw`(?<=[a-zß-öø-ɏ]),\s*(${SHARE_DONE}(?:(?:,? and|,|,? &)\s*${SHARE_DONE})*)\W*$`,
      'gi',
    ),
    to: (_, shares) => ` (${shares})`,
  },
  {
    like: '200/250 g leeks',
    becomes: '200-250 g leeks',
    pattern: rule(String.raw`(\d{2,4}) ?\/ ?(\d{2,4}) ?(${UNIT})`),
    to: (whole, low, high, unit) => (Number(low) < Number(high) ? `${low}-${high} ${unit}` : whole!),
  },
  {
    like: '200 + 50 g butter',
    becomes: '200 g + 50 g butter',
    pattern: rule(String.raw`(\d{1,4}) ?\+ ?(\d{1,4}) ?(${UNIT})`),
    to: (_, one, other, unit) => `${one} ${unit} + ${other} ${unit}`,
  },
  {
    like: '2 tbsp milk + 1 tbsp',
    becomes: '2 tbsp + 1 tbsp milk',
    pattern: new RegExp(
      String.raw`^(${NUMBER} ?(?:${UNIT})) ([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+){0,2}),? (?:\+|plus|and) (${NUMBER} ?(?:${UNIT}))$`,
      'gi',
    ),
    to: (whole, one, food, other) => {
      const [first, second] = [one!, other!].map((amount) =>
        unitByName(amount.replace(/^[\d\s./¼½¾⅓⅔⅛]+/, '')),
      )
      return first && second && sameKind(first, second) ? `${one} + ${other} ${food}` : whole!
    },
  },
  {
    like: '250+ g flour',
    becomes: '250 g flour',
    pattern: rule(String.raw`(\d{1,4}) ?\+ ?(?=${UNIT})`),
    to: (_, number) => `${number} `,
  },
  {
    like: '1 cup minus 1 tbsp milk',
    becomes: '0.938 cup milk',
    pattern: rule(
      String.raw`(${NUMBER}) ?(${UNIT}),? (?:minus|less|but without|short of) (${NUMBER}) ?(${UNIT})`,
    ),
    to: (whole, number, unit, lessNumber, lessUnit) => {
      const [from, taken] = [unitByName(unit!), unitByName(lessUnit!)]
      const [all, less] = [readNumber(number!), readNumber(lessNumber!)]
      if (!from || !taken || !all || !less || !sameKind(from, taken)) return whole!
      const left = all.low - (less.low * taken.factor) / from.factor
      return left > 0 ? `${inThousandths(left)} ${unit}` : whole!
    },
  },
  {
    like: '1 cup - 250 g sugar',
    becomes: '1 cup / 250 g sugar',
    pattern: rule(
      String.raw`(${NUMBER}) ?(${UNIT})(?: [-–—|=] |, (?:about|approx\.?|around|roughly|or|so) )(?=(${NUMBER}) ?(${UNIT}))`,
    ),
    // "900 g - 1 kg" is a range.
    to: (whole, number, unit, _, other) => {
      const [one, two] = [unitByName(unit!), unitByName(other!)]
      const isRange = /[-–—]/.test(whole!) && one && two && sameKind(one, two)
      return isRange ? whole! : `${number} ${unit} / `
    },
  },
  {
    // Of older kitchens, from memory: a walnut of butter is a tablespoon, an egg of it two ounces.
    like: 'a knob of butter the size of a walnut',
    becomes: '15 g butter',
    pattern: rule(
      String.raw`(?:an? )?(?:(?:knob|lump|piece|nut|bit) )?(?:of )?(${SPREADS}),? (?:about )?the size of an? (${SIZED_LIKE})|(?:an? )?(${SIZED_LIKE})[- ]sized (?:knob|lump|piece|nut|bit) of (${SPREADS})`,
    ),
    to: (_, fat, size, sized, ofFat) => {
      const like = (size || sized)!.toLowerCase()
      const grams = { walnut: 15, egg: 57, hazelnut: 5 }[like]
      return `${grams} g ${fat || ofFat}`
    },
  },
  {
    like: 'juice of 1 to 2 limes',
    becomes: 'juice of 1-2 limes',
    pattern: rule(String.raw`(juice|zest|rind) of (\d) (?:to|or) (?=\d\b)`),
    to: (_, what, many) => `${what} of ${many}-`,
  },
  {
    like: '125 g / 4 oz / 1 cup flour',
    becomes: '125 g/1 cup flour',
    pattern: rule(
      String.raw`(${NUMBER}) ?(${UNIT})\s*[/|]\s*(?:${NUMBER}) ?(?:${UNIT})\s*[/|]\s*(?=(?:${NUMBER}) ?(?:${UNIT}))`,
    ),
    to: (_, number, unit) => `${number} ${unit}/`,
  },
  {
    like: 'butter, 250 g-ish',
    becomes: 'butter, 250 g',
    pattern: rule(String.raw`(${NUMBER}) ?(${UNIT})-ish\b`),
    to: (_, number, unit) => `${number} ${unit}`,
  },
  {
    like: '2 onions about three hundred and fifty grams',
    becomes: '2 onions about 350 grams',
    pattern: rule(
      String.raw`(${ABOUT_SO_MUCH}|(?:punnet|pack|packet|tub|bag|roll|block|tin|jar) (?:of )?[a-z]+(?: [a-z]+)??) ((?:[a-z]+[ -]){1,5}?)(${UNIT})`,
    ),
    to: (whole, about, number, unit) => {
      const spelt = readNumber(number!.trim())
      return spelt?.length === number!.trim().length ? `${about} ${spelt.low} ${unit}` : whole!
    },
  },
  {
    like: 'a roll of puff pastry the three hundred and twenty gram one',
    becomes: 'a pack of puff pastry 320 g',
    pattern: rule(
      String.raw`the ((?:\d{2,4}|(?:[a-z]+[ -]){1,4}?[a-z]+)) ?(g|grams?|ml|mls?|mils?)[ -](?:ones?|packs?|packets?|kind|size)`,
    ),
    to: (whole, number) => {
      const spelt = readNumber(number!)
      return spelt?.length === number!.length ? `${spelt.low} g` : whole!
    },
  },
  {
    like: 'milk c. 200 ml',
    becomes: 'milk about 200 ml',
    pattern: rule(
      String.raw`(?:c\.|ca\.?|circa|approx(?:imately|\.)?|roughly|around|(?:something )?like|maybe|perhaps|probably|in the region of|~|≈) ?(?=(?:${NUMBER}) ?(?:(?:-|–|to) ?(?:${NUMBER}) ?)?(?:${UNIT}))`,
    ),
    to: () => 'about ',
  },
]

const MAY_HOLD =
  /[\d¼½¾⅓⅔⅛]|half|third|quarter|fourth|eighth|couple|fifty|hundred|size|\binch|ounce|\b(?:that|which|it)(?:['’]s| is)\b|\bbox|\broll|\b(?:and a)\b|(?:tsp|tbsp|spoon|bunch|handful|bag|head|punnet|packet)$/i

/**
 * A line with its amounts in one form: "a cup and a half of milk", "quarter of a kilo", "200/250 g" become "1 1/2 cup
 * milk", "1/4 kilo", "200-250 g". What is no amount of weight or volume stays as it is.
 *
 * @param text an ingredient line
 */
export const withPlainAmounts: (text: string) => string = remember((text) => {
  if (!MAY_HOLD.test(text)) return text
  let plain = text
  for (const { pattern, to } of AMOUNT_WORDINGS)
    plain = plain.replace(pattern, (...found: unknown[]) =>
      to(...found.map((one) => (typeof one === 'string' ? one : ''))),
    )
  return plain
})
