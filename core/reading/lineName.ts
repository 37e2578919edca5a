// The name of a food on its line: freed of what is done to it, of where it was bought and of what it is for.

/** What is done to a food before it goes in: of these words a name is freed. */
export const PREP_WORDS =
  '(?:very |roughly |finely |hand[- ]|knife[- ]|thinly |coarsely |freshly |lightly |well |thickly )*(?:chopped|sliced|diced|minced|crushed|grated|shredded|shaved|mashed|peeled|deseeded|seeded|trimmed|drained|rinsed|squeezed|pressed|wrung|soaked|rehydrated|thawed|defrosted|melted|softened|cooled|chilled|cold|warmed?|sifted|beaten|whisked|toasted|roasted|crumbled|cubed|quartered|halved|torn|broken|picked|blanched|wilted|packed|unpeeled|pitted|stoned|cored|ground|julienned|strained|fried|sautéed|julienned?|riced|divided|fine chop|at room temperature)'
export const LEADING_PREP = new RegExp(`^(${PREP_WORDS})\\s+`, 'i')
/** Behind a name these are work as well; in front of one they make another food of it. */
const DONE_BEHIND =
  'seasoned|burst|blistered|charred|scalded|sauteed|grilled|blitzed|blended|pulsed|mixed|combined|together|boiled|cooked|browned|steamed|scrambled(?: soft(?:ly)?)?|stirred|patted|dried off|scrubbed|washed|cleaned|zested|juiced|marinated|flaked|smashed|bashed|pounded|(?<!(?:butter|nuts|peanuts|almonds|cashews|pistachios) )salted'
const DONE = `(?:(?:fried|cooked) (?:until |till )?(?:crispy?|golden|soft|brown|tender)|fried(?=\\s*(?:and|&|then|\\+)\\s)|${PREP_WORDS.replace('|ground', '').replace('|fried', `|${DONE_BEHIND}`)}|cut(?= (?:in|up|small|fine|thin|length|cross|across)))`
/** "Squeezed out", "sliced thin", "patted dry". */
const HOW =
  '(?:\\s+(?:out|up|off|down|fine|finely|small|thin|thinly|roughly|well|dry|very (?:fine|small|thin|well)))?'
/** One thing after another: "grated and then squeezed". */
const AND_THEN = `(?:${HOW}\\s*(?:,\\s*then|and then|and|&|then|\\+)\\s+(?:${DONE}|fried|salted|cut))`
const TAILS =
  'with (?:their |its |the |all the )?juices?|with(?:out| no) (?:any )?lumps|lump[- ]free|(?:until |till )?smooth|in(?: (?:slowly|gradually|bit by bit|a little at a time))?|(?:(?:really|very|quite|super|nice and|extra|rather) )?(?:dry|well|hard|firmly|tight(?:ly)?|small|tiny|fine|finely|thin|thinly)|up|roughly|out|off|by hand|with (?:a little |some )?(?:\\S+ )?water.*|crisp|crispy|until crisp|till crisp|into .*|for .*|in .*|overnight|\\d+ .*'
/** "1 onion finely sliced", "200 g paneer crumbled": preparation that follows without a comma. */
const TRAILING_PREP = new RegExp(`^(.*?[a-zß-öø-ɏ].*?)\\s+(${DONE}${AND_THEN}*(?:\\s+(?:${TAILS}))*)$`, 'i')

const TOOL =
  '(?:meat )?(?:grinder|mincer|mill)|(?:potato |garlic )?(?:ricer|press|crusher)|sieve|blender|food processor|processor|mixie'
/** How it was made small, by the tool it went through. */
const BY_A_TOOL = new RegExp(
  String.raw`\s+(?:(?:put|run|passed|pushed|minced|ground|grated|whizzed|blitzed) )?(?:(?:once|twice|two times) )?(?:(?:through|in) (?:the|a|my) (?:(?:fine|coarse|medium) )?(?:${TOOL})|on the (?:(?:fine|coarse|large|small|big) )?(?:(?:side|holes) of (?:the|a) )?(?:box )?grater)$`,
  'i',
)

/** The food's name, what is allowed instead, and its preparation, which is put with the other. */
export function nameApart(text: string, prep: string[]): { name: string; alternative: string | null } {
  // "ghee/butter" allows either; "and/or" is read as or.
  let name = text.replace(/(\p{L}{3})\s*\/\s*(?=\p{L}{3})/gu, '$1 or ').replace(/ and or /i, ' or ')
  const either = /^(.*?\S)\s+(?:or|and\/or)\s+(.*)$/i.exec(name)
  const second = either ? either[2]!.trim() : null
  const shared = either ? shareHead(either[1]!.trim(), second!) : null
  const alternative = shared?.alternative ?? second
  if (shared) name = shared.name
  for (let lead = LEADING_PREP.exec(name); lead; lead = LEADING_PREP.exec(name)) {
    // "ground cumin" and "mashed potato" are foods of their own: the word stays in the name as well.
    prep.push(lead[1]!)
    if (
      /ground|mashed|fried|grated|soaked|rehydrated|roast|melted|beaten|sour|minced|crushed|cold|warm|shredded/i.test(
        lead[1]!,
      )
    )
      break
    name = name.slice(lead[0].length)
  }
  for (let tail = TRAILING_PREP.exec(name); tail; tail = TRAILING_PREP.exec(name)) {
    prep.push(tail[2]!)
    name = tail[1]!
  }
  name = name
    // "Boiled eggs cut in halves".
    .replace(
      /\s+cut (?:in(?:to)?|up|lengthwise|crosswise|across|small|fine(?:ly)?|thin(?:ly)?)\b.*$/i,
      (cut) => {
        prep.push(cut.trim())
        return ''
      },
    )
    // "Chicken cooked tikka style & diced".
    .replace(
      /\s+((?:cooked|marinated|prepared|done)\s+(?:[a-zß-öø-ɏ]+\s+){0,3}style\b.*)$/i,
      (_, how: string) => {
        prep.push(how.trim())
        return ''
      },
    )
    // "Chuck in 5 mm dice": how it is cut, behind the name.
    .replace(
      /\s+in(?:to)?\s+(?:(?:\d+(?:\.\d+)?\s*(?:cm|mm|inch)|small|large|fine|tiny|little|thin|rough|neat)\s+)+(?:dice|cubes?|pieces|chunks|strips|slices|matchsticks|florets|rings|rounds|wedges|batons)$/i,
      (cut) => {
        prep.push(cut.trim())
        return ''
      },
    )
    // "Onions through the grinder", "pork twice through the mincer", "carrot on the coarse grater".
    .replace(BY_A_TOOL, (cut) => {
      prep.push(cut.trim())
      return ''
    })
    // "Boiled eggs in quarters", "onion in rings".
    .replace(
      /\s+in (?:halves|half|quarters|eighths|rings|slices|strips|cubes|chunks|pieces|dice|wedges|rounds|matchsticks|florets|ribbons|segments)$/i,
      (cut) => {
        prep.push(cut.trim())
        return ''
      },
    )
    // "Spread from the block", "beans out of a tin".
    .replace(
      /\s+(?:straight )?(?:from|out of) (?:the|a|an) (?:block|tub|packet|pack|jar|bottle|fridge|freezer|bag|box)$/i,
      (where) => {
        prep.push(where.trim())
        return ''
      },
    )
    // "Oil if the meat is lean": when it is wanted, is no part of its name.
    .replace(
      /\s+if (?:the |your |it'?s? )?(?:[a-zß-öø-ɏ]+ )?(?:is|are|seems?|looks?|not|dry|lean|too)\b.*$/i,
      (when) => {
        prep.push(when.trim())
        return ''
      },
    )
    // "Side of salmon".
    .replace(/^(?:side|joint|piece|block|slab|wedge|fillet) of (?=[a-zß-öø-ɏ]{3})/i, '')
    // "Soft butter for layering": what it is for, where that moves it nowhere.
    .replace(
      /\s+for (?:the )?(?:[a-zß-öø-ɏ]+ing(?: .*)?|dough|pastry|crust|skins|wrappers|tadka|tempering)$/i,
      (use) => {
        prep.push(use.trim())
        return ''
      },
    )
    .replace(/^(?:of|the|your|my)\s+/i, '')
    .replace(/\s+(?:in |on |for )?each$/i, '')
    // "Ghee per paratha": how many times, is counted with the pieces.
    .replace(/\s+(?:per|for each|for every) [a-zß-öø-ɏ]+$/i, '')
    .replace(/^(?:(?:store|shop)[- ]bought|ready[- ]made|bought)\s+(?=[a-zß-öø-ɏ])/i, '')
    // "Ground beef 80/20", "mince 5% fat": how lean it is, behind the name.
    .replace(/\s+(?:\d{2}\s*\/\s*\d{1,2}|\d{1,2}(?:[.,]\d)?\s?%(?: (?:fat|lean))?)$/i, (fat) => {
      prep.push(fat.trim())
      return ''
    })
    .replace(/[.:!,]+$/, '')
    .trim()
  return { name, alternative }
}

/** "Lamb/mutton mince", "almond or oat milk": kinds of what the second half names. */
const OF_ONE_NOUN: readonly (readonly [RegExp, RegExp])[] = [
  [/^(?:lamb|pork|beef|chicken|turkey|veal|mutton|goat|venison)$/i, /^mince$/i],
  [/^(?:almond|oat|soya?|rice|coconut|cashew|hemp|plant)$/i, /^(?:milk|drink|yogh?urt|cream)$/i],
  [/^(?:sunflower|olive|rapeseed|canola|vegetable|corn|peanut|groundnut|coconut|avocado)$/i, /^oil$/i],
  [/^(?:rice|oat|rye|spelt|corn|almond|chickpea|buckwheat|wholemeal|plain)$/i, /^flour$/i],
  [
    /^(?:chicken|beef|lamb|pork|veal|ham|turkey|duck|bone|mushroom|onion|vegetable|veg|fish)$/i,
    /^(?:stock|broth|bouillon)(?: cubes?)?$/i,
  ],
  [/^(?:chestnut|button|cremini|oyster|king oyster|shiitake|portobello|field|wild)$/i, /^mushrooms?$/i],
  [
    /^(?:pinto|kidney|navy|cannellini|haricot|butter|borlotti|adzuki|runner|french|broad|fava)$/i,
    /^beans?$/i,
  ],
  [/^(?:puy|beluga|french)$/i, /^lentils?$/i],
  [/^(?:cherry|plum|vine|roma)$/i, /^tomato(?:es)?$/i],
  [/^(?:wonton|gyoza|dumpling|potsticker|spring roll)$/i, /^(?:wrappers?|skins?)$/i],
  [/^(?:napa|savoy|pointed|chinese)$/i, /^cabbage$/i],
  [/^(?:palm|cane|caster|granulated|coconut|demerara|muscovado)$/i, /^sugar$/i],
  [/^(?:cider|rice|malt|balsamic|wine|red wine|white wine|sherry)$/i, /^vinegar$/i],
  [/^(?:lemon|lime|orange)$/i, /^(?:juice|zest)$/i],
  [/^(?:poppy|sesame|nigella|cumin|pumpkin|sunflower)$/i, /^seeds?$/i],
]

const KIND_ALONE =
  /^(?:red|white|yellow|green|brown|black|strong|plain|whole|dry|fresh|light|dark|soy|oat|almond|vegetable|olive|sunflower|sour|double|single|salted|unsalted)$/i
/** "Cooked green or Puy lentils": how they are bought or were made ready holds for either. */
const STATE_AHEAD = /^(cooked|boiled|canned|tinned|dried|dry|frozen|drained) (.+)$/i

/** "red or white onion": the first half borrows the noun of the second when it is a kind of it and no more. */
function shareHead(first: string, second: string): { name: string; alternative: string } {
  const nouns = second.split(' ')
  const noun = nouns.at(-1)!
  const [, state, rest] = STATE_AHEAD.exec(first) ?? []
  const kind = rest ?? first
  const isOfNoun = KIND_ALONE.test(kind) || OF_ONE_NOUN.some(([own, of]) => own.test(kind) && of.test(noun))
  if (nouns.length < 2 || !isOfNoun) return { name: first, alternative: second }
  return { name: `${first} ${noun}`, alternative: state ? `${state} ${second}` : second }
}
