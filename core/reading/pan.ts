import { recalled } from './matches'
import type { Food, Foods } from '../food/food'
import { newLine, type Line, type Stage } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'
import { isFat, newDraft, type Draft } from './drafts'
import { matchFood, normaliseName } from './match'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'
import { readLine } from './readLine'
import { readNumber } from './readNumber'
import { sizesKnown, type SizeName } from './sizes'
import { FRYING_POT_GRAMS } from './unstated'
import { weighLine } from './weigh'

/**
 * Fat that a way of cooking usually takes when the text names none, in grams: a pot to deep-fry in; a pan to fry
 * in; 4 to 5 g a piece on the griddle. Common practice, no source.
 */
const SHALLOW_PAN_GRAMS = 120
const LEAST_LITTLE_OIL_GRAMS = 15
const GRIDDLE_GRAMS_PER_PIECE = 4.5
const BROWNING_GRAMS_PER_PIECE = 1.5
/** Oil that hands are wetted with for a batch. Common practice, no source. */
const HANDS_GRAMS = 10
const OF_HANDS = recalled(/\bfor (?:your |the )?hands\W*$/i)
/** Two seconds of a spray can. Common practice, no source. */
const SPRAY_GRAMS_PER_PIECE = 0.5

const LITTLE_OIL = recalled(
  /(?:^|[,;(]\s*)little (?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee|lard)\b|\b(?:in|with) little oil\b|\b(?:a little(?: bit of)?|a bit of|a drop of|a drizzle of|a film of|a smear of|very little|lightly oiled|the least|brush(?:ed)? (?:them |each |it |the [a-zß-öø-ɏ]+ )?(?:well |lightly )?with) ?(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee|lard|pan|skillet)\b/i,
)

/** A griddle that is only wiped with oil. */
const LIGHTLY_OILED = recalled(/\blight(?:ly)?[- ](?:oiled|greased)\b/i)

const SPRAYS = recalled(/\bspray(?:ed)?\b(?! (?:them |the tops? )?with water)/i)
const DRY = recalled(
  /\bdry[- ]fr(?:y|ied|ying)\b|\bdry(?: |-)(?:[a-zß-öø-ɏ-]+ ){0,2}(?:pan|skillet|griddle|tawa|comal)\b|\bwithout (?:any )?(?:oil|fat)\b|\bno oil\b/i,
)

/** The fat that the sentences about cooking the pieces name: "fry in butter". */
function fatNamed(clauses: readonly Clause[], foods: Foods): Food | null {
  for (const { text, about } of clauses) {
    if (
      about !== 'pieces' ||
      !/\b(?:fry|saut[eé]|cook|griddle|toast|brown|crisp|tawa|tava|pan)(?![a-zß-öø-ɏ])/i.test(text)
    )
      continue
    const match =
      /(?:\b(?:in|with|apply(?:ing)?|drizzl(?:e|ing)|smear(?:ing)?|a little|some|of)(?:\s+(?:about )?(?:[\d¼½¾][\d./]*|half an?|an?)[ -]?(?:cm|mm|inch(?:es)?|in\b|")(?: deep)?(?: of)?)?|(?:^\W*|,\s*|\b(?:apply|add|drizzle|pour|spread|smear|spoon|dab|give it)(?: on)? )(?:about )?(?:\d[\d./ ]*|[¼½¾]|half an?|half|an?|one) ?(?:tbsp|tsp|tablespoons?|teaspoons?|ml|T|t))\s+(?:of )?((?:a little |little |some |hot |melted |vegan |plant |olive |sunflower |vegetable |coconut |sesame |\d[\d/.]* (?:tsp|tbsp|g) (?:of )?)*(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee|lard|margarine|fat|spread))\b/i.exec(
        text,
      )
    const food = match && matchFood(readLine(match[1]!).name, foods)?.food
    if (food && isFat(food)) return food
  }
  return null
}

/** Grams of a food in an amount as written: "2 tbsp". */
export const gramsOf = (amount: string, food: Food) =>
  weighLine(readLine(`${amount.trim()} ${food.name}`), food).grams

const FAT = String.raw`(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee|lard|margarine|dripping)`
/** "About 2 tbsp of the melted butter", "half a teaspoon of ghee". */
const soMuch = (name: string) =>
  String.raw`(?<${name}>(?:about |~)?(?:[\d¼½¾][\d./ –-]*|half an?|a (?:few|couple(?: of)?)|an?|one|two|three|four)\s*(?:heaped |level |good )?(?:tbsp|tablespoons?|tsp|teaspoons?|spoons?|spoonfuls?|knobs?|g|ml|cups?|T|t)) (?:of )?(?:the )?(?:hot |melted )?${FAT}(?: or [a-zß-öø-ɏ]+)?`
/** "1 tsp ghee per paratha", "1 tsp of oil on each side", "fry each in 1 tsp butter". */
const PER_PIECE_FAT = recalled(
  new RegExp(
    String.raw`(?<![a-zß-öø-ɏ\d.,/])${soMuch('amount')}\s+(?:per|(?:for|on|to|around|onto|over) (?:each|every)|each)\b(?! (?:batch|[2-9]|two|three|four|six)\b)(?<side> side)?|\beach (?:one )?in ${soMuch('inside')}`,
    'i',
  ),
)
/** "1 tbsp butter per batch of 4", "2 tbsp oil for each batch (2 batches)". */
const PER_BATCH_FAT = recalled(
  new RegExp(
    String.raw`(?<![a-zß-öø-ɏ\d.,/])${soMuch('amount')}\s+(?:per|for each|each) batch(?: of (?<of>\d{1,2})|\W+(?:for |in )?(?:about )?(?<batches>\d) batches\b)?|(?<![a-zß-öø-ɏ\d.,/])${soMuch('some')} (?:per|for (?:each|every)) (?<ofSome>[2-9]|two|three|four|six) (?:of them\b|[a-zß-öø-ɏ]+)`,
    'i',
  ),
)
/** "Half a teaspoon of ghee, flip, half a teaspoon on the other side": each that is turned has its own. */
export const TURNS_EACH = recalled(/\bother side\b/i)
const TEASPOON_FAT = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ\d.,/])(?<amount>(?:[\d¼½¾][\d./]*|half an?|half|an?|one)\s*(?:tsp|teaspoon)) (?:of )?(?:the )?(?:hot |melted )?${FAT}\b`,
  'gi',
)
/** "Butter (2 tablespoons per dozen)". */
const PER_SOME_FAT = recalled(
  new RegExp(
    String.raw`\b${FAT}\s*\((?<amount>(?:about |~)?[\d¼½¾][^()]{0,24}?) (?:per|for (?:each|every)) (?<some>dozen|\d{1,2})\)`,
    'i',
  ),
)
/** "In 3 tbsp of oil", "heat a tablespoon of oil". */
const IN_SO_MUCH = recalled(
  new RegExp(String.raw`\b(?:in|into|heat|warm|melt|use|with|using) ${soMuch('amount')}\b`, 'i'),
)
/** Grams of the fat that those sentences put into the pan: "in butter (about 4 tbsp)", "in 3 tbsp of oil". */
function fatWeighed(clauses: readonly Clause[], food: Food, pieces: number): number | null {
  for (const { text, about } of clauses) {
    const ofPan =
      about === 'pieces' ||
      /^\W*(?:(?:frying )?(?:pan|skillet|wok)|(?:to )?(?:pan[- ]?|shallow[- ]?)?fr(?:y|ying|ied)(?: version| method| way)?)\s*:/i.test(
        text,
      )
    if (
      !ofPan ||
      !/\b(?:fry|fried|brown|griddle|crisp|flat side|pan|skillet|wok|tawa|tava|cook|roast|hot (?:oil|ghee|butter))/i.test(
        text,
      )
    )
      continue
    // "With 1 tsp ghee per paratha": each is cooked in its own.
    const each = PER_PIECE_FAT.exec(text)?.groups
    const own = each && gramsOf((each.amount ?? each.inside)!, food)
    if (own) return own * pieces * (each.side ? 2 : 1)
    const turned = TURNS_EACH.test(text)
      ? [...text.matchAll(TEASPOON_FAT)].flatMap(({ groups }) => gramsOf(groups!.amount!, food) ?? [])
      : []
    if (turned.length) return pieces * turned.reduce((sum, grams) => sum + grams, 0)
    const some = PER_SOME_FAT.exec(text)?.groups
    const ofSome = some && gramsOf(some.amount!, food)
    if (ofSome) return (ofSome * pieces) / (some.some === 'dozen' ? 12 : Number(some.some))
    const batch = PER_BATCH_FAT.exec(text)?.groups
    const ofBatch = batch && gramsOf((batch.amount ?? batch.some)!, food)
    // "2 tbsp oil per 2 breads", "per batch of 4".
    const together = batch?.of ?? (batch?.ofSome && String(readNumber(batch.ofSome)!.low))
    const batches = together ? Math.ceil(pieces / Number(together)) : Number(batch?.batches ?? 1)
    if (ofBatch) return ofBatch * batches
    const amount =
      /\b(?:oil|butter|ghee|lard|margarine)\s*\((?:about |~)?([^()]{1,20})\)/i.exec(text)?.[1] ??
      IN_SO_MUCH.exec(text)?.groups?.amount ??
      // "Pan: 1 T oil, flat side down": a spoon of it, and nothing more is said.
      /(?:^|:\s*|,\s*)(\d[\d./ ]*\s*(?:tbsp|tablespoons?|tsp|teaspoons?|T|t))\s+(?:of )?(?:\p{L}+ )?(?:oil|butter|ghee|lard)\b/u.exec(
        text,
      )?.[1]
    const grams = amount && gramsOf(amount, food)
    if (grams) return grams
  }
  return null
}

/** What a pan of 24 cm holds to a depth. Our own choice of the pan; oil weighs 0.92 g/ml, from memory. */
const PAN_CM2 = 450
const OIL_G_PER_ML = 0.92
const OIL_DEPTHS: ReadonlySet<string> = new Set<SizeName>(['oil', 'oilDeep', 'oilDepth'])

const SO_MUCH_WATER =
  /((?:\d[\d./ ]*|[¼½¾⅓⅔]|half an?|an?)\s*(?:cups?|c|ml|tbsp|tablespoons?)) (?:of )?(?:the )?(?:hot |cold |boiling )?water\b/i

/** "Fry in a little oil" is a film of it, as on a griddle, and less than the usual pan. */
function shallowGrams(clauses: readonly Clause[], lines: readonly ReadIngredient[], pieces: number): number {
  const depthCm = [...clauses.map(({ text }) => text), ...lines.map(({ line }) => line.raw)]
    .flatMap((text) => sizesKnown(text))
    .find(({ name }) => OIL_DEPTHS.has(name))?.measure
  if (depthCm) return Math.round((depthCm.high * PAN_CM2 * OIL_G_PER_ML) / 10) * 10
  const little = clauses.some(({ text, about }) => about === 'pieces' && LITTLE_OIL.test(text))
  const grams = Math.max(LEAST_LITTLE_OIL_GRAMS, Math.round(pieces * GRIDDLE_GRAMS_PER_PIECE))
  return little ? Math.min(SHALLOW_PAN_GRAMS, grams) : SHALLOW_PAN_GRAMS
}

/** "To cook: oil, water", and the method says how much water is poured on. */
function weighPouredWater(pan: Draft | undefined, clauses: readonly Clause[]): void {
  const water = pan?.lines.find(({ food, read }) => food?.id === 'water' && !read.measures.length)
  const poured = clauses.flatMap(({ text, about }) =>
    about === 'pieces' ? (SO_MUCH_WATER.exec(text)?.[1] ?? []) : [],
  )[0]
  const grams = water && poured ? gramsOf(poured, water.food!) : null
  if (!water || !grams) return
  Object.assign(water.line, { grams, gramsLow: grams, gramsHigh: grams })
  water.line.notes = [{ code: 'pan-water', level: 'note', text: 'The amount stands in the method' }]
}

/** Gives a pan's fat its weight; what may be taken for it weighs the same. */
function weighPanFat(line: Line, grams: number, gramsLow: number, gramsHigh: number): void {
  Object.assign(line, { grams, gramsLow, gramsHigh })
  line.choices = line.choices.map((choice) => ({ ...choice, grams, gramsLow, gramsHigh }))
}

/**
 * Gives a recipe whose pieces are fried or griddled the fat it needs: what the pan's lines state, or else the usual,
 * marked, so that it is counted and can be put right. Never nothing in silence.
 */
export function assumePanFat(
  drafts: Draft[],
  cooking: { way: CookingWay; andThen: Stage | null; fryUnclear: boolean },
  clauses: readonly Clause[],
  pieces: number,
  foods: Foods,
): void {
  const ways = [cooking.way, cooking.andThen?.way]
  // "On a dry griddle, then fry in a little oil": what takes fat decides.
  const way =
    ways.find((one) => one === 'deep-fry' || one === 'shallow-fry' || one === 'brown-and-steam') ??
    ways.find((one) => one === 'griddle')
  const pan = drafts.find((draft) => draft.kind === 'pan')
  const oils = pan?.lines.filter(({ food }) => isFat(food)) ?? []
  if (!way) return
  const sprayed = clauses.some(
    ({ text, about }) =>
      way !== 'deep-fry' &&
      SPRAYS.test(text) &&
      (about !== null || /\b(?:fry|brown|pan|griddle)\b/i.test(text)),
  )
  // "Oil for your hands": of it a film stays on the dough, and the griddle is dry.
  const isOfHands = way === 'griddle' && oils.some(({ line }) => OF_HANDS.test(line.raw))
  const usual = isOfHands
    ? HANDS_GRAMS
    : way === 'deep-fry'
      ? FRYING_POT_GRAMS
      : sprayed
        ? Math.max(1, Math.round(pieces * SPRAY_GRAMS_PER_PIECE))
        : way === 'shallow-fry'
          ? shallowGrams(clauses, oils, pieces)
          : Math.round(
              pieces *
                (way === 'griddle' && !clauses.some(({ text }) => LIGHTLY_OILED.test(text))
                  ? GRIDDLE_GRAMS_PER_PIECE
                  : BROWNING_GRAMS_PER_PIECE),
            )
  weighPouredWater(pan, clauses)
  // "Oil for frying, 2 inches": as deep as that, and nobody says of which pot.
  const open = oils.find(({ read, line }) => read.measures.length === 0 || line.grams === null)
  const said = open?.food && way !== 'deep-fry' ? fatWeighed(clauses, open.food, pieces) : null
  if (open && said !== null) {
    weighPanFat(open.line, said, said, said)
    open.line.notes = [{ code: 'pan-fat', level: 'note', text: 'The amount stands in the method' }]
    return
  }
  if (open) {
    weighPanFat(open.line, usual, usual / 2, usual * 2)
    open.line.notes = open.line.notes.filter(
      (note) => !/^(?:to-taste|as-required|no-amount|no-unit-weight)$/.test(note.code),
    )
    open.line.notes.push({
      code: 'pan-fat',
      level: way === 'deep-fry' ? 'note' : 'check',
      text: `No amount is given: ${usual} g in the pan is usual; common practice, no source`,
    })
    return
  }
  if (oils.length) return
  if (pan?.lines.some(({ line }) => /spray/i.test(line.raw))) return
  if (way === 'griddle' && clauses.some((clause) => clause.about === 'pieces' && DRY.test(clause.text)))
    return
  // "Then pan-fry in the butter with the onions": the pieces share what their topping, or what is served, is fried in.
  const toppings = drafts.filter(
    ({ kind, lines }) =>
      (kind === 'finish' || kind === 'dip') && lines.some(({ food: fat, line }) => isFat(fat) && line.grams),
  )
  // "Brush both sides with oil, griddle", "brush with butter" once they are done: nothing else is in the pan.
  const brushed = clauses.findIndex(({ text, closed }) => closed && BRUSHES_FAT.test(text))
  if (
    way === 'griddle' &&
    brushed >= 0 &&
    clauses.slice(brushed).some(({ text, about }) => about === 'pieces' && ON_GRIDDLE.test(text))
  )
    return
  const onTop = toppings.find(({ kind }) => kind === 'finish')?.lines.find(({ food }) => isFat(food))
  if (way === 'griddle' && brushed >= 0 && onTop) {
    onTop.line.notes.push({
      code: 'pan-fat',
      level: 'check',
      text: 'The text names no fat for the griddle and brushes what is done: the griddle was taken for dry. Add what goes into it',
    })
    return
  }
  const withTopping = clauses.some(
    ({ text, closed }) =>
      closed &&
      /\b(?:fry|fried|brown)\b/i.test(text) &&
      toppings.some(({ lines }) =>
        lines.some(
          ({ food: own, read }) =>
            !isFat(own) &&
            normaliseName(text).split(' ').includes(normaliseName(read.name).split(' ').at(-1)!),
        ),
      ),
  )
  if (withTopping && way !== 'deep-fry') return
  const food = fatNamed(clauses, foods) ?? foods.get('sunflower-oil')
  if (!food) return
  const told = fatWeighed(clauses, food, pieces)
  const line = newLine({
    raw: '',
    name: food.name,
    foodId: food.id,
    grams: told ?? usual,
    gramsLow: (told ?? usual) / (told ? 1 : 2),
    gramsHigh: (told ?? usual) * (told ? 1 : 2),
    notes:
      told !== null
        ? [{ code: 'pan-fat', level: 'note', text: 'The amount stands in the method' }]
        : [
            {
              code: 'pan-fat',
              level: 'check',
              text: `The text names no fat to ${way === 'griddle' ? 'griddle' : 'fry'} in with its amount: ${usual} g of ${food.name} is usual; common practice, no source`,
            },
          ],
  })
  const home = pan ?? newDraft('pan')
  home.lines.push({ line, read: readLine(''), food })
  if (!pan) drafts.push(home)
}

const BRUSHES_FAT = recalled(/\bbrush\w*\b[^.;]*\b(?:oil|butter|ghee)\b/i)
const ON_GRIDDLE = recalled(/\b(?:griddle|grill|tawa|pan|skillet)\b/i)
