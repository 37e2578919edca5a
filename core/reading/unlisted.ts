import { recalled } from './matches'
import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { newLine } from '../recipe/document'
import { finishOf, isFat, type Draft } from './drafts'
import { matchFood } from './match'
import type { Clause } from './method'
import { readLine } from './readLine'
import { weighLine } from './weigh'

/** The fat that fries a filling's onions. Common practice, no source. */
const FAT_FOR_FILLING_GRAMS = 14
/** What is brushed over a piece of 80 g: an egg does some twenty, a film of oil is thinner. Common practice, no source. */
const WASH_GRAMS = 3
const FILM_GRAMS = 1.5
const BRUSHED_PIECE_GRAMS = 80
/** Pieces of which no weight is known. */
const UNKNOWN_PIECE_GRAMS = 60

/**
 * Grams that are brushed over one piece, to the half gram: a piece has as much to brush as it has surface, which grows
 * with the power two thirds of its weight.
 */
function brushedGrams(over: Food, drafts: readonly Draft[], pieces: number): number {
  const inside = drafts
    .filter(({ kind, into }) => (kind === 'shell' || kind === 'filling') && !into)
    .flatMap(({ lines }) => lines)
    .reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  const each = inside > 0 ? inside / pieces : UNKNOWN_PIECE_GRAMS
  const grams = (isFat(over) ? FILM_GRAMS : WASH_GRAMS) * (each / BRUSHED_PIECE_GRAMS) ** (2 / 3)
  return Math.max(0.5, Math.round(2 * grams) / 2)
}

// "With the egg", "the remaining oil" speaks of what is listed.
const SOME = String.raw`((?:(?:an?|a little|a bit of|some|more|beaten|melted|light|salted|unsalted|plain|whisked|warm|cold|garlic|herb|chilli|olive|sunflower|vegetable|sesame|coconut|plant|vegan|soya?|oat|almond|egg) )*(?:oil|butter|ghee|lard|margarine|milk|cream|egg(?: yolk| white|wash)?|drink))\b`
const AMOUNT = String.raw`(?:\d[\d./ ]*|[¼½¾⅓⅔])\s*(?:tbsp|tablespoons?|tsp|teaspoons?|g|ml)`
/** "Brush with 2 tbsp milk", "with 1 beaten egg": the amount stands in front of what is brushed on. */
const SO_MUCH = String.raw`(?:(?:about |~)?(?<amount>${AMOUNT}|\d(?=\s+(?:(?:large|small|medium|beaten|whisked) )*egg))\s+(?:of )?(?:(?:large|small|medium) )?)?`
/** "Butter on top when hot (20 g)": or in brackets behind it. */
const SO_MUCH_BEHIND = String.raw`(?:[^.;()]{0,16}\((?:about |~)?(?<amount>${AMOUNT})\))?`
const BRUSHED = recalled(
  new RegExp(
    String.raw`\b(?:(?:brush|glaze|paint|egg[- ]?wash)(?:e[sd]|ing)?(?:\b(?:(?!\bwith\b)[^.;]){0,30}?\bwith)?|(?:rub|smear|slather|drizzle)(?:bed|ed|d)?\b(?:(?!\bwith\b)[^.;]){0,30}?\bwith) ${SO_MUCH}${SOME}(?:[^.;()]{0,16}\((?:about |~)?(?<behind>${AMOUNT})(?:,? [^()]{2,24})?\))?`,
    'i',
  ),
)
/** "Toss in 40 g melted butter with sage": what they are turned in once they are cooked. */
const TOSSED = recalled(
  new RegExp(
    String.raw`\b(?:toss|turn|coat|dress|roll)(?:ed)?\b(?: (?:them|the [a-zß-öø-ɏ]+|gently|well|hot))* (?:in|with) (?:the )?(?<amount>(?:an? |one )?(?:${AMOUNT}|(?:tbsp|tablespoon|tsp|teaspoon)))\s+(?:of )?${SOME}`,
    'i',
  ),
)
/** "60 g butter melted with sage over the top": poured over what is cooked. */
const POURED = recalled(
  new RegExp(
    String.raw`(?:^\W*|[,;]\s+)(?:then )?(?<amount>${AMOUNT})\s+(?:of )?${SOME}[^.;,\d]{0,28}\b(?:over|on top|poured over|to finish)\b`,
    'i',
  ),
)
/** "Brush with the beaten egg, another one": none of those that are listed. */
const THE_OTHER_EGG =
  /(?<=\b(?:with|the) )(?:the )?(?=(?:beaten )?egg\b[^.;\d]{0,10}\b(?:another|a second|an extra|a separate)(?: (?:one|egg|1))?\b)/i
/** "Butter the tops while hot." */
const BUTTERS_TOPS = recalled(
  /(?:^\W*|[,;.]\s*|\band )(?:then )?(?:(butter|oil) (?:all )?(?:the |their )?(?:hot |warm )?tops?\b|(?<well>butter|ghee) (?:generously|liberally|well|lightly)\b(?:\s*\((?<amount>[\d¼½¾][^()]{1,12}?)(?: (?:each|per)[^()]*)?\))?|apply (?:some |a little |plenty of |melted )*(?<applied>butter|ghee)(?: (?:on|over) (?:top|it|them))?(?=\W*$| (?:and|then) (?:serve|eat|enjoy))|(?<=\bmin\w*, ?)(?:then )?(?<last>butter|ghee)(?=\W*$)|^\W*(?<alone>butter|ghee)\W*$)/i,
)
/** "Second rise 20 mins, egg yolk on top." */
const ON_TOP = recalled(
  new RegExp(
    String.raw`(?:^|[.;]\s*)((?:beaten |some )?(?:egg(?: yolk| white)?|milk|cream|yolk)) to (?:glaze|brush|finish)\b|(?:^|[,;.]\s*)((?:beaten |some )?(?:egg(?: yolk| white)?|milk|cream|yolk|melted butter|butter))(?:\s*(?:\+|and|&)\s*[a-zß-öø-ɏ]+(?: seeds?)?)? on (?:top|the (?:rims?|borders?|tops))\b${SO_MUCH_BEHIND}|(?:^|[,;.]\s*)((?:(?:beaten|some|soya?|oat|almond|plant) )?(?:egg(?: yolk| white)?|milk|cream|yolk|drink)) brushed (?:on|over)\b|(?:^|[,;.]\s*)(egg) (?:again|all over)\b`,
    'i',
  ),
)
const WASH_OF = 'egg(?: yolk)?|milk|yolk'
/** "Egg wash.", "fill, lid, milk.", "plait over, egg, sesame seeds": what it is of stands before it, or alone. */
const WASHED = recalled(
  new RegExp(
    String.raw`(?:\b(?=(?:${WASH_OF})[ -]?(?:wash|glaze|brushing|brush(?=\W*(?:$|[,;.])))\b)|(?<=,\s)(?=(?:${WASH_OF})(?:\s*[.;]|\s*$))|(?<=\b(?:plait|crimp|seal|fold|fork|pinch|press|twist)\b[^.;]*,\s)(?=(?:${WASH_OF}),\s+(?:sesame|poppy|nigella|caraway|seeds|salt)\b))(${WASH_OF})`,
    'i',
  ),
)
/** "… fold to triangles. Egg. 200 fan 25 min": a wash, and nothing more is said. */
const WASH_BY_ITSELF = recalled(
  new RegExp(
    String.raw`^\W*(?:beaten )?(${WASH_OF})(?:\s*(?:,|\+|&|and)\s*(?:(?:sesame|poppy|nigella|caraway)(?: seeds?)?|seeds))?\W*(?:$|,\s*\d{3}\b)`,
    'i',
  ),
)
/** "Sesame seeds on top", "sprinkle with poppy seeds", "egg wash + coarse sugar": what is strewn over a closed piece. */
const STREWN = [
  /\b(?:sprinkl|scatter|strew|dust|top)\w*\b(?:(?!\bwith\b)[^.;]){0,24}?\bwith\b ([^.;]{3,60})/i,
  /\b(?:sprinkl|scatter|strew)\w* (?:over |on )?([^.;]{3,40}?)(?= (?:on|over)\b|[.;,]|$)/i,
  /(?:^|[.;,]\s*)([^.;,]{3,40}?) on top\b/i,
  /\b(?:wash(?:ed)?|(?:egg|milk|yolk) (?:on top|brush))\s*(?:\+|&|and|,)\s*([^.;,]{3,40})/i,
  /^\W*(?:beaten )?(?:egg|milk|yolk)\s*(?:\+|&|and|,)\s*((?:sesame|poppy|nigella|caraway)\b[^.;,]{0,16})/i,
]
/** What a piece is strewn with: seeds may be an allergen, and sugar is counted. Common practice, no source. */
const STREWN_GRAMS_PER_PIECE: Readonly<Record<string, number>> = { seed: 0.5, sweetener: 1, cheese: 3 }

const STREWN_AMOUNT = new RegExp(String.raw`^\W*(?:about |~)?${AMOUNT}(?= )`, 'i')

const FRIED_IN = recalled(
  new RegExp(
    String.raw`\b(?:fry|saut[eé]|sweat|soften|brown|cook|heat|melt)\b[^.;]{0,40}?(?:\b(?:in|with)\s+)?((?:a )?(?:little|splash|drizzle|knob|bit|glug|spoon(?:ful)?)(?: of)? )${SOME}`,
    'i',
  ),
)
/** "Brown the meat in dripping": how much, nobody says. */
const FRIED_IN_SOME = recalled(
  new RegExp(
    String.raw`^\W*(?:then )?(?:(?:i|we|you) )?(?:fry|saut[eé]|sweat|soften|brown)\b[^.;,]{0,48}?\bin (?:the |some |hot )*(?<fat>[a-zß-öø-ɏ]*dripping|lard|(?:olive |vegetable |sunflower )?oil|butter|ghee)\b(?! (?:from|left|of|in))`,
    'i',
  ),
)
/** "Fry the onion in 1 tbsp oil": the amount stands in the method alone. */
const FRIED_IN_SO_MUCH = recalled(
  new RegExp(
    String.raw`\b(?:fry|saut[eé]|sweat|soften|brown|cook|heat|melt|scramble)\b[^.;]{0,60}?\b(?:in|with)?\s*(?<amount>(?:about |~)?(?:\d[\d./ ]*|[¼½¾⅓⅔]|an?|one|two|three|half an?)\s*(?:tbsp|tablespoons?|tsp|teaspoons?|g|oz|ml|cups?)) (?:of )?(?:the )?(?<fat>${SOME})`,
    'i',
  ),
)
/** "Brown in dripping (1 oz)": the amount stands behind. */
const FRIED_IN_BRACKET = recalled(
  new RegExp(
    String.raw`\b(?:fry|saut[eé]|sweat|soften|brown|cook|heat|melt|scramble)\b[^.;(]{0,60}?\b(?:in|with)?\s*(?:the |some |hot )?(?<fat>[a-zß-öø-ɏ]*(?:dripping|lard|oil|butter|ghee|margarine|fat))\s*\(\s*(?<amount>(?:about |~)?[\d¼½¾⅓⅔][\d./ ]*\s*(?:tbsp|tablespoons?|tsp|teaspoons?|g|oz|ml|cups?))\s*\)`,
    'i',
  ),
)
const SO_MUCH_WATER = String.raw`(?<amount>(?:about |~)?(?:[\d¼½¾⅓⅔][\d./½¼¾ ]*|an?|one|two|three|half an?|a quarter)\s*(?:tbsp|tablespoons?|tsp|teaspoons?|g|ml|dl|cups?|oz)) (?:of )?(?:[a-zß-öø-ɏ]+ )?water\b`
/** "The cornflour mixed with 2 tbsp water": no starch thickens dry. What is poured in to boil away is no such water. */
const SLURRY = recalled(
  new RegExp(
    String.raw`\b(?:starch|corn ?starch|corn ?flour|arrowroot)\b[^.;]{0,24}?\b(?:with|in|into|and) ${SO_MUCH_WATER}`,
    'i',
  ),
)
/** Right behind an amount: " oil each", " of butter per paratha". */
const OF_EACH =
  /^\s*(?:(?:of )?(?:[a-zß-öø-ɏ]+ ){0,2}[a-zß-öø-ɏ]+ )?(?:(?:on |for |over )?each\b(?! side)|per (?!batch)[a-zß-öø-ɏ]+)/i
/** The edges are wetted so that they stick: that is nearly nothing. */
const ONLY_EDGES = recalled(/\b(?:edges?|rims?|borders?|seams?(?! (?:side )?down))\b/i)
/** "Crimp the edges, brush with oil": the edges are closed, and it is the pieces that are brushed. */
const EDGES_CLOSED =
  /\b(?:crimp|press|pinch|seal|fold|pleat|trim|tuck|roll)\w*\b[^,.;]*\b(?:edges?|rims?|borders?|seams?)\b[^,.;]*(?:[,;]| and(?= (?:brush|glaze|paint)))/gi

const named = (text: string, foods: Foods): Food | null => {
  const match = matchFood(
    readLine(text.replace(/\b(?:some|more|a little|a bit of)\b/gi, '').trim()).name,
    foods,
  )
  return match?.how === 'exact' ? match.food : null
}
const has = (drafts: readonly Draft[], wanted: (food: Food) => boolean) =>
  drafts.some(({ lines }) => lines.some(({ food }) => food !== null && wanted(food)))

function add(draft: Draft, food: Food, grams: number, says: string, isTold = false): void {
  draft.lines.push({
    line: newLine({
      raw: '',
      name: food.name,
      foodId: food.id,
      grams,
      gramsLow: isTold ? grams : grams / 2,
      gramsHigh: isTold ? grams : grams * 2,
      notes: [
        isTold
          ? { code: 'unlisted', level: 'note', text: says }
          : { code: 'unlisted', level: 'check', text: `${says}; common practice, no source` },
      ],
    }),
    read: readLine(''),
    food,
  })
}

/** Grams of an amount that a text gives of a food; "1 tsp oil each" is for one piece. Null where it cannot be weighed. */
function gramsTold(amount: string, food: Food, text: string, pieces: number): number | null {
  const { grams } = weighLine(readLine(`${amount} ${food.name}`), food)
  const isOfEach = OF_EACH.test(text.slice(text.indexOf(amount) + amount.length))
  return grams === null ? null : grams * (isOfEach ? pieces : 1)
}

/** The one oil of a recipe that fries in none. */
const listedOil = (drafts: readonly Draft[]): Food | null => {
  const oils = drafts
    .filter(({ kind }) => kind !== 'pan' && kind !== 'dip')
    .flatMap(({ lines }) => lines.flatMap(({ food }) => (food?.group === 'oil' ? [food] : [])))
  return new Set(oils).size === 1 ? oils[0]! : null
}

/** What is strewn over, each with the amount that the words give of it. */
function strewnIn(text: string, foods: Foods): Map<Food, string | null> {
  const found = new Map<Food, string | null>()
  for (const pattern of STREWN)
    for (const word of pattern.exec(text)?.[1]?.split(/\s+(?:and|or|&|\+)\s+|,/i) ?? []) {
      const food = named(word.replace(/^(?:the|a pinch of|plenty of|lots of|a few) /i, ''), foods)
      const said = STREWN_AMOUNT.exec(word)?.[0] ?? null
      if (food && food.group in STREWN_GRAMS_PER_PIECE && !found.get(food)) found.set(food, said)
    }
  return found
}

/** "1 tbsp oil + extra to brush" is used, and what is brushed on comes on top. */
const KEPT_FOR_IT = recalled(/\bdivided\b|(?<!\b(?:extra|more|some) (?:for|to) )\b(?:brush|glaze)/i)

/** "Topping: 1/2 cup flour, 1/4 cup sugar, 2 tbsp butter": crumbs, whose butter brushes nothing. */
const isCrumb = (lines: Draft['lines']) =>
  lines.some(({ food, line }) => foodIs(food, 'flour') && (line.grams ?? 0) >= LEAST_CRUMB_GRAMS)
/** Less flour than this is a paste that seals. Our own choice. */
const LEAST_CRUMB_GRAMS = 25

/** Whether some of it is listed to be brushed on, or more of it than its own part needs. */
const isKeptFor = (drafts: readonly Draft[], over: Food) =>
  drafts.some(({ kind, name, lines }) =>
    lines.some(
      ({ food, line }) =>
        // "Brush with milk" takes the plant milk that is listed, "egg wash" the yolk.
        (food?.group === over.group ||
          (over.group === 'milk' && food?.group === 'plant-milk') ||
          (over.group === 'egg' && food?.group.startsWith('egg'))) &&
        ((kind === 'finish' &&
          !(isCrumb(lines) && lines.filter((one) => one.food?.group === over.group).length < 2)) ||
          kind === 'pan' ||
          KEPT_FOR_IT.test(line.raw) ||
          // "Butter for serving", or butter and nothing else beside the dish: the one that is applied.
          (kind === 'dip' &&
            food.id === over.id &&
            (lines.length === 1 || /\bserv/i.test(`${name} ${line.raw}`)))),
    ),
  )

/**
 * What the method uses though no line lists it: a wash of milk, the oil that onions are fried in. It is counted at
 * the usual amount, marked, and can be put right; a wash in silence would leave an egg out of a vegan's figures.
 */
export function addUnlisted(drafts: Draft[], clauses: readonly Clause[], pieces: number, foods: Foods): void {
  // What goes in, with what is made for it.
  const inside = drafts.filter((draft) => draft.kind === 'filling')
  // Where nobody says that anything is closed, a wash is named once the pieces are there all the same.
  const anyClosed = clauses.some(({ closed }) => closed)
  for (const { text: clause, closed: isClosed, about } of clauses) {
    const text = clause.replace(THE_OTHER_EGG, 'an ')
    const closed = isClosed || (!anyClosed && WASHED.test(text))
    const wash = closed ? (BRUSHED.exec(text) ?? TOSSED.exec(text) ?? POURED.exec(text)) : null
    const onTop =
      wash || (about !== null && about !== 'pieces' && about.kind === 'filling') ? null : ON_TOP.exec(text)
    const washed =
      closed && !wash ? (WASHED.exec(text) ?? (isClosed ? WASH_BY_ITSELF.exec(text) : null) ?? onTop) : onTop
    const tops = isClosed ? BUTTERS_TOPS.exec(text) : null
    const buttered =
      tops?.[1] ?? tops?.groups?.applied ?? tops?.groups?.last ?? tops?.groups?.alone ?? tops?.groups?.well
    const brushed = buttered
      ? named(buttered, foods)
      : washed
        ? named((washed[1] ?? washed[2] ?? washed[4] ?? washed[5])!, foods)
        : wash && !ONLY_EDGES.test(text.slice(0, wash.index + wash[0].length).replace(EDGES_CLOSED, ' '))
          ? named(wash[2]!, foods)
          : null
    // "Brush with oil" takes the oil that is on the table; "with more oil" the one that was brushed on before.
    const anyOil =
      brushed?.group === 'oil' && wash && /^(?:an? |a little |a bit of |some |more )*oil$/i.test(wash[2]!)
    const over = anyOil ? (listedOil(drafts) ?? brushed) : brushed
    const isThere =
      anyOil &&
      drafts.some(
        ({ kind, lines }) =>
          (kind === 'finish' || lines.some(({ food }) => foodIs(food, 'bought-dough'))) &&
          lines.some(({ food }) => isFat(food)),
      )
    if (over && !isThere && !isKeptFor(drafts, over)) {
      const said =
        tops?.groups?.amount ?? wash?.groups?.amount ?? wash?.groups?.behind ?? onTop?.groups?.amount
      const toldGrams = said ? gramsTold(said, over, text, pieces) : null
      const usual = brushedGrams(over, drafts, pieces)
      add(
        finishOf(drafts),
        over,
        toldGrams ?? usual * pieces,
        toldGrams
          ? `The method brushes with ${said!} of ${over.name}, which no line lists`
          : `The method brushes with ${over.name}, which no line lists: ${usual} g a piece is usual`,
        toldGrams !== null,
      )
    }
    if (closed)
      for (const [one, said] of strewnIn(text, foods)) {
        // "Scatter with the seeds" are those that are listed; the sugar of the dough is in the dough.
        // … and that of a filling that was cooked with it is in the filling.
        const listed =
          one.group === 'sweetener'
            ? drafts.filter((draft) => !/^(?:shell|dip)$/.test(draft.kind) && !isSweetened(draft, clauses))
            : drafts
        // … and icing sugar is none of the sugar that is listed.
        const isOwn = one.id === 'icing-sugar'
        if (has(listed, (food) => food.id === one.id || (!isOwn && food.group === one.group))) continue
        // "Egg wash, seeds" where caraway seeds are listed.
        const isMixed = one.id === 'mixed-seeds'
        if (isMixed && drafts.some(({ lines }) => lines.some(({ read }) => /\bseeds?$/i.test(read.name))))
          continue
        const told = said ? gramsTold(said, one, text, pieces) : null
        const usual = STREWN_GRAMS_PER_PIECE[one.group]!
        const says = told
          ? `The method strews ${said!.trim()} of ${one.name} over the pieces, which no line lists`
          : `The method strews ${one.name} over the pieces, which no line lists: ${usual} g a piece is usual`
        add(finishOf(drafts), one, told ?? usual * pieces, says, told !== null)
      }
    const filling = about !== null && about !== 'pieces' && about.kind === 'filling' ? about : null
    const cooks = !closed && filling !== null
    if (cooks) addSlurry(filling, text, foods)
    const told = cooks
      ? (FRIED_IN_BRACKET.exec(text)?.groups ?? FRIED_IN_SO_MUCH.exec(text)?.groups)
      : undefined
    const fried =
      told?.fat ?? (cooks ? (FRIED_IN.exec(text)?.[2] ?? FRIED_IN_SOME.exec(text)?.groups?.fat) : undefined)
    const fat = fried ? named(fried, foods) : null
    const toldGrams = told && fat ? weighLine(readLine(`${told.amount!} ${fat.name}`), fat).grams : null
    if (
      fat &&
      isFat(fat) &&
      // Sesame oil seasons, and cream fries nothing.
      !has(inside, (food) => /^(?:oil|solid-fat)$/.test(food.group) && food.id !== 'sesame-oil') &&
      // "Ghee for roasting", without an amount, is not the spoon that the method tells of.
      !drafts.some(
        ({ kind, lines }) =>
          kind === 'pan' &&
          lines.some(({ food, read }) => isFat(food) && (toldGrams === null || read.measures.length > 0)),
      )
    )
      add(
        filling!,
        fat,
        toldGrams ?? FAT_FOR_FILLING_GRAMS,
        toldGrams
          ? `The method fries in ${told!.amount!} of ${fat.name}, which no line lists`
          : `The method fries with ${fat.name}, which no line lists: a spoon, ${FAT_FOR_FILLING_GRAMS} g`,
        toldGrams !== null,
      )
  }
}

/** Water in which a step stirs the starch of a filling that lists none. */
function addSlurry(filling: Draft, text: string, foods: Foods): void {
  const amount = SLURRY.exec(text)?.groups?.amount
  const water = amount ? named('water', foods) : null
  const grams = water && weighLine(readLine(`${amount} water`), water).grams
  if (!water || !grams || filling.lines.some(({ food }) => food === water)) return
  add(filling, water, grams, `The method stirs the starch in ${amount} of water, which no line lists`, true)
}

/** "Cook the apples with the sugar": what sweetens a filling is in it. */
const isSweetened = (draft: Draft, clauses: readonly Clause[]): boolean =>
  draft.kind === 'filling' &&
  clauses.some(({ about, text, closed }) => !closed && about === draft && SWEETENS.test(text))
const SWEETENS = recalled(/\b(?:cook|simmer|boil|stew|heat|mix|stir|toss|fry)\b[^.;]*\bsugars?\b/i)
