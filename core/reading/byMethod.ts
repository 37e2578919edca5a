import { forAllMatches, recalled } from './matches'
import { foodIs } from '../food/groups'
import type { Stage } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'
import { withoutExcepted } from './asides'
import { brushMixture, brushParts } from './brushedParts'
import { BRUSHES, BRUSHES_WITH, brushingsOf, MIXES } from './brushing'
import { finishOf, isFat, MOST_SEEDS_ON_TOP_GRAMS, THINS_GRAMS, type Draft, type Placed } from './drafts'
import { normaliseName, plainWords } from './match'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'

// What the method says of lines that the list says otherwise, or not at all.

/** Oil of at most this weight may be what a filling is fried in. Common practice, no source. */
const SPOONS_GRAMS = 60

/** Oil "for frying" in a recipe that fries no pieces is for what goes in. */
export function leaveInFilling(
  { drafts, moved }: Placed,
  { way, andThen }: { way: CookingWay; andThen: Stage | null },
): void {
  const pan = drafts.find((draft) => draft.kind === 'pan')
  // Two spoons among the filling's lines are the filling's where the pieces have a pot of their own.
  for (const item of pan && pan.lines.filter(({ food }) => isFat(food)).length > 1 ? [...pan.lines] : []) {
    const from = moved.get(item)
    if (from?.kind !== 'filling' || !item.read.measures.length || (item.line.grams ?? 0) > SPOONS_GRAMS)
      continue
    pan!.lines = pan!.lines.filter((one) => one !== item)
    from.lines.push(item)
    from.lines.sort((a, b) => Number(b === item) - Number(a === item))
  }
  const fries = [way, andThen?.way].some(
    (one) => one === 'deep-fry' || one === 'shallow-fry' || one === 'griddle' || one === 'brown-and-steam',
  )
  if (fries) return
  const filling = drafts.find((draft) => draft.kind === 'filling' && !draft.into)
  if (!filling || !pan) return
  const back = pan.lines.filter(
    ({ read, line }) =>
      read.purpose === 'pan' && /\b(?:for|to) (?:shallow[- ]?|pan[- ]?)?(?:fry|cook|saut)/i.test(line.raw),
  )
  if (!back.length || back.length < pan.lines.length) return
  filling.lines.push(...back)
  pan.lines = []
}

/** Whether the method says what goes into a dough: of at least two of its foods. */
const isToldWhole = (draft: Draft, clauses: readonly Clause[]) =>
  clauses.some(
    ({ text, closed, about }) =>
      !closed &&
      (about === draft || about === null) &&
      draft.lines.filter(({ read }) => {
        const word = normaliseName(read.name).split(' ').at(-1)
        return word !== undefined && word.length > 2 && normaliseName(text).split(' ').includes(word)
      }).length >= 2,
  )

const EDGES = recalled(/\b(?:edges?|rims?|borders?)\b/i)
/** Nobody brushes more than two eggs or half a cup of fat on a batch. Common practice, no source. */
const MOST_BRUSHED_GRAMS = 125
/** Between all the sheets of a pack goes more. Common practice, no source. */
const MOST_BETWEEN_SHEETS_GRAMS = 260
/** Crumbs that are strewn on; more of them are in a filling. Common practice, no source. */
const MOST_CRUMBS_GRAMS = 40
/** One egg, whatever its size. */
const ONE_EGG_GRAMS = 60

const EGG_WORDS: Readonly<Record<string, string>> = {
  egg: '\\beggs?\\b(?![ -]?wash)',
  'egg-yolk': '\\byolks?\\b',
  'egg-white': '\\bwhites?\\b',
}

const COARSE = /\b(?:coarse|flak[ey]+|pretzel|sea|rock)\b/i
/** The few seeds that follow a line. */
function seedsBehind(draft: Draft, item: ReadIngredient): ReadIngredient[] {
  const after = draft.lines.slice(draft.lines.indexOf(item) + 1)
  const end = after.findIndex(
    ({ food, line, read }) =>
      !(food?.group === 'seed' && (line.grams ?? 0) <= MOST_SEEDS_ON_TOP_GRAMS) &&
      // "Coarse salt", without an amount.
      !(food?.group === 'salt' && !read.measures.length && COARSE.test(read.name)),
  )
  return end < 0 ? after : after.slice(0, end)
}

const MORE_OF_IT = /^(?:some |a little )?(?:extra|more)\b/i
const isSugar = ({ food, read }: ReadIngredient): boolean =>
  food?.group === 'sweetener' && /\bsugar\b/i.test(read.name)

/** The words by which a method calls what it brushes or strews on. */
function calledOnTop(group: string, name: string, spare: boolean): RegExp {
  const words = normaliseName(name).split(' ')
  const said = words.includes('garlic')
    ? ['garlic']
    : /\bspray\b/i.test(name)
      ? ['spray(?:ed)?']
      : group === 'egg-white'
        ? ['eggs?', 'whites?']
        : group.startsWith('egg')
          ? ['eggs?', 'yolk', 'whites?']
          : /^(?:seed|nut|spice|herb)$/.test(group)
            ? [words[0]!, 'seeds', ...(/seasoning$/i.test(name) ? ['seasoning'] : [])]
            : group === 'sweetener'
              ? spare || /^(?:syrup|nectar|honey)$/.test(words.at(-1)!)
                ? [...new Set(words)]
                : [words[0]!]
              : [words.at(-1)!]
  return new RegExp(`\\b(?:${said.join('|')})(?:s|es)?\\b`, 'i')
}

/**
 * Fat, egg or milk that the method only brushes on finishes the pieces, wherever the list has it.
 */
export function brushByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  brushParts(drafts, clauses)
  brushMixture(drafts, clauses)
  brushFromParts(drafts, clauses)
  brushFromPan(drafts, clauses)
  dustByMethod(drafts, clauses)
}

const SPRAYS = /\bspray/i
function brushFromParts(drafts: Draft[], clauses: readonly Clause[]): void {
  const sheets = drafts.some(
    (draft) => draft.kind === 'shell' && draft.lines.some(({ food }) => food?.group === 'pastry'),
  )
  const anyClosed = clauses.some(({ closed }) => closed)
  // Inside a dough that is rolled up, oil is part of the layers; on thin sheets it is brushed as one goes.
  const brushing = brushingsOf(clauses).filter(
    // "Beat egg with water and brush edges" comes before the pieces are closed.
    ({ text, closed, mixed }) =>
      BRUSHES.test(text) &&
      (closed ||
        // Where nobody says that anything is closed, a wash is named once the pieces are there all the same.
        (!anyClosed && WASHES.test(text) && /\b(?:egg|yolk)/i.test(text)) ||
        (sheets && !MIXES.test(text)) ||
        (mixed && EDGES.test(text))),
  )
  if (!brushing.length) return
  const finished = new Set(
    drafts
      .filter(({ kind }) => kind === 'finish')
      // "100 ml oil, extra for brushing": what is only more of it is not what the method brushes with.
      .flatMap(({ lines }) =>
        lines.filter(({ line }) => !MORE_OF_IT.test(line.raw)).map(({ food }) => food?.group),
      ),
  )
  for (const draft of [...drafts]) {
    const dough = draft.kind === 'shell'
    if ((draft.kind !== 'filling' && !dough) || draft.lines.length < 2) continue
    // "Jelly: 300 ml stock, 4 leaves gelatine / + 1 egg": the egg that ends the last list is of no jelly.
    const last = draft.lines.at(-1)!
    if (draft.into && !(last.food?.group === 'egg' && (last.line.grams ?? 0) <= ONE_EGG_GRAMS)) continue
    const whole = !dough || isToldWhole(draft, clauses)
    for (const item of [...draft.lines]) {
      const { food, read } = item
      if (draft.into && item !== last) continue
      // "Beaten egg", last in a dough's list and without a number or behind its water, waits for the wash.
      const wetted = draft.lines.some((one) => one !== item && one.food && foodIs(one.food, 'pours'))
      const waits =
        item === draft.lines.at(-1) &&
        (!read.measures.length || (dough && wetted && (item.line.grams ?? 0) <= ONE_EGG_GRAMS)) &&
        read.prep.some((one) => /beaten/i.test(one)) &&
        clauses.some(({ text, closed }) => closed && WASHES.test(text))
      // "A little milk", last in the list of a dough that has its water.
      const isDropOfMilk =
        dough &&
        wetted &&
        /^(?:milk|plant-milk)$/.test(food?.group ?? '') &&
        item === draft.lines.at(-1) &&
        (!read.measures.length || (item.line.grams ?? 0) <= THINS_GRAMS)
      if (!whole && !waits && !isDropOfMilk) continue
      const fat = isFat(food)
      if (
        !draft.lines.includes(item) ||
        !food ||
        // Six eggs are what is eaten; of them a little is brushed on.
        (item.line.grams ?? 0) > (sheets && fat ? MOST_BETWEEN_SHEETS_GRAMS : MOST_BRUSHED_GRAMS) ||
        (dough && food.group !== 'egg' && !isDropOfMilk) ||
        !(
          fat ||
          /^(?:egg|egg-yolk|egg-white|milk|plant-milk|seed|sweetener)$/.test(food.group) ||
          (food.group === 'nut' && !read.measures.length) ||
          (food.id === 'desiccated-coconut' && (item.line.grams ?? 0) <= MOST_SEEDS_ON_TOP_GRAMS) ||
          // "Egg wash, panko on top".
          (food.group === 'bread' && (item.line.grams ?? 0) <= MOST_CRUMBS_GRAMS) ||
          ((/^(?:spice|herb)$/.test(food.group) || food.id === 'garlic') &&
            brushing.some(
              ({ mixed, text }) =>
                mixed ||
                BRUSHES_MIXED.test(text) ||
                (/\bseeds$/i.test(read.name) &&
                  strewnOver(text).has(normaliseName(read.name).split(' ')[0]!)) ||
                strewnOnWash(text).has(normaliseName(read.name).split(' ')[0]!) ||
                (/seasoning$/i.test(read.name) && strewnOnWash(text).has('seasoning')) ||
                (/\bseeds?$/i.test(read.name) && strewnOnWash(text).has(normaliseName('seeds'))),
            )) ||
          // "Sprinkle with parmesan".
          (foodIs(food, 'cheese') && (item.line.grams ?? 0) <= MOST_CRUMBS_GRAMS)
        ) ||
        // "Cook the filling … cinnamon sugar on top": what sweetens fruit is not what is strewn.
        (isSugar(item) &&
          (item.line.grams ?? 0) > MOST_STREWN_SUGAR_GRAMS &&
          draft.lines.some((one) => one.food?.group === 'fruit')) ||
        draft.lines.length < 2
      )
        continue
      // "2 tbsp caster sugar … granulated sugar": the second, without an amount, is not the one that was used.
      // "1 egg, extra, beaten": nor is the second egg.
      // "4 eggs … 1 egg, beaten": nor is one that is beaten behind those.
      const isBeaten = food.group === 'egg' && read.prep.some((one) => /beaten/i.test(one))
      const spare =
        (!read.measures.length || isBeaten || read.prep.some((one) => /^extra\b/i.test(one))) &&
        draft.lines.some(
          (one, at) =>
            one !== item &&
            one.food?.group === food.group &&
            one.read.measures.length > 0 &&
            (!isBeaten || at < draft.lines.indexOf(item)),
        )
      // The yolk is used where a yolk is named, not where an egg is.
      const own = new RegExp(EGG_WORDS[food.group] ?? '', 'i')
      // The egg that is listed for the brush is the one that is meant, unless a yolk or white is named.
      const isListed = food.group.startsWith('egg') && [...finished].some((group) => group?.startsWith('egg'))
      if (isListed && !brushing.some(({ text }) => own.test(text))) continue
      // "Sprinkle with sugar" where the list has no other than demerara.
      const isOnlySugar =
        food.group === 'sweetener' && drafts.flatMap(({ lines }) => lines).filter(isSugar).length === 1
      const word = calledOnTop(food.group, read.name, spare || isOnlySugar)
      // The yolk that is listed is the one that is meant.
      const yolks = drafts.some(({ lines }) => lines.some((one) => one.food?.group === 'egg-yolk'))
      const named =
        waits ||
        brushing.some(({ text, mixed, closed }) => {
          // Crumbs between sheets that are still to be rolled up take up juice, and nobody sees them.
          if (food.group === 'bread' && anyClosed && !closed) return false
          const near =
            mixed ||
            [...text.matchAll(forAllMatches(BRUSHES_WITH))]
              .map(({ index }) => text.slice(index, index + 60))
              .join(' ')
          if (
            yolks &&
            food.group !== 'egg-yolk' &&
            food.group.startsWith('egg') &&
            !/\beggs?\b(?! yolk)/i.test(near)
          )
            return false
          // "Brush.", and one egg or yolk of the list waits for it.
          const waitsAlone =
            !dough &&
            food.group.startsWith('egg') &&
            ![...finished].some((group) => group?.startsWith('egg')) &&
            (item.line.grams ?? 0) <= ONE_EGG_GRAMS
          return word.test(near) || ((isBeaten || waitsAlone) && GLAZES.test(text))
        })
      if (!named) continue
      // "Spray with oil" takes the spray that is listed, and not the sesame oil.
      const hasSpray = drafts.some(({ lines }) => lines.some((one) => one.food?.id === 'oil-spray'))
      if (fat && hasSpray && food.id !== 'oil-spray' && brushing.every(({ text }) => SPRAYS.test(text)))
        continue
      // Where boiled eggs go in, an egg that goes in is one of these.
      const isBoiled = food.group === 'egg' && draft.lines.some((one) => one.food?.id === 'boiled-egg')
      const used = clauses.some(
        ({ about, text }) =>
          about === draft &&
          (!isBoiled || /\b(?:beaten|raw|bind|whisk)/i.test(text)) &&
          word.test(withoutExcepted(text.replace(/\bboiled eggs?\b/gi, ''))) &&
          own.test(withoutExcepted(text)) &&
          !BRUSHES.test(text) &&
          !brushing.some(({ mixed }) => mixed === text),
      )
      // The one fat of a filling that is fried is what it is fried in; "brush with a little oil" takes other oil.
      const isOneFat =
        fat && draft.kind === 'filling' && draft.lines.filter((one) => isFat(one.food)).length === 1
      // "1 onion, fried in 2 tbsp butter" says so on its line.
      const saysSo = draft.lines.some((one) => one !== item && FRIED_SO.test(one.line.raw))
      const fries =
        isOneFat &&
        (saysSo ||
          (clauses.some(({ about, text }) => about === draft && FRIES.test(text)) &&
            brushing.every(
              ({ text }) =>
                !word.test(text) ||
                SOME_FAT.test(text) ||
                (food.group === 'oil' && food.id !== 'oil-spray' && BARE_FAT.test(text)),
            )))
      // "Mix the chard with the rest of the filling": the three spoons of its list are in it.
      const isMixedIn =
        fat &&
        (item.line.grams ?? 0) > SPOON_GRAMS &&
        clauses.some(({ about, text, closed }) => !closed && about === draft && MIXES_REST.test(text))
      const there = fries || isMixedIn || isAmongOthers(item, draft, clauses) || finished.has(food.group)
      if ((used && !spare) || there || /\bplus (?:some )?(?:extra|more)\b/i.test(item.line.raw)) continue
      // "1 egg yolk + 1 tsp water": what thins the wash goes with it.
      const behind = draft.lines[draft.lines.indexOf(item) + 1]
      const thins =
        food.group.startsWith('egg') &&
        /^(?:liquid|milk|plant-milk|cream)$/.test(behind?.food?.group ?? '') &&
        (behind!.line.grams ?? 0) <= THINS_GRAMS
      // "1 yolk / sesame, nigella": seeds listed behind what is brushed on are strewn on it.
      const strewn = food.group.startsWith('egg') ? seedsBehind(draft, thins ? behind! : item) : []
      // "150 g butter melted with 2 tbsp oil": the fat that it is melted with.
      const isMeltedWith =
        fat &&
        sheets &&
        isFat(behind?.food ?? null) &&
        !clauses.some(
          ({ about, text }) =>
            about === draft && calledOnTop(behind!.food!.group, behind!.read.name, false).test(text),
        )
      const moved = [item, ...(thins || isMeltedWith ? [behind!] : []), ...strewn]
      draft.lines = draft.lines.filter((one) => !moved.includes(one))
      finishOf(drafts).lines.push(...moved)
    }
  }
}

/** "Mix all the filling stuff together … egg wash": an egg that is listed among what goes in is no wash. */
const MIXES_ALL =
  /\b(?:mix|combine|stir|beat|whisk|blend|mash)\b[^.;]{0,20}\b(?:all|everything)\b|\ball (?:the )?filling\b[^.;]*\btogether\b/i
const ANY_WASH = /\begg[- ]?wash\b|\bbrush(?:ed)? with (?:an?|some|more|extra|another) /i
const SECOND_EGG = recalled(/\begg\b[^.;\d]{0,10}\b(?:another|a second|an extra|a separate) (?:one|egg|1)\b/i)
function isAmongOthers(item: ReadIngredient, draft: Draft, clauses: readonly Clause[]): boolean {
  if (item.food?.group !== 'egg' || draft.kind !== 'filling') return false
  // "Brush with egg (use a second one)".
  if ((item.line.grams ?? 0) <= ONE_EGG_GRAMS && clauses.some(({ text }) => SECOND_EGG.test(text)))
    return true
  const behind = draft.lines.slice(draft.lines.indexOf(item) + 1)
  return (
    behind.some(({ food }) => food !== null && !foodIs(food, 'seasons')) &&
    clauses.some(({ about, text }) => about === draft && MIXES_ALL.test(text)) &&
    clauses.some(({ text }) => ANY_WASH.test(text))
  )
}

/** Butter that ends the list of what is baked and never fried is brushed on where the method says so. */
function brushFromPan(drafts: Draft[], clauses: readonly Clause[]): void {
  const pan = drafts.find(({ kind }) => kind === 'pan')
  if (!pan || clauses.some(({ text }) => USES_PAN.test(text))) return
  const brushed = pan.lines.filter(
    ({ food, read, line }) =>
      isFat(food) &&
      // What nobody has written is what the pieces are fried in.
      line.raw !== '' &&
      read.purpose === null &&
      !/\bspray\b/i.test(read.name) &&
      clauses.some(
        ({ text, closed }) =>
          closed && BRUSHES.test(text) && calledOnTop(food!.group, read.name, false).test(text),
      ),
  )
  if (!brushed.length) return
  pan.lines = pan.lines.filter((item) => !brushed.includes(item))
  finishOf(drafts).lines.push(...brushed)
}
const USES_PAN = recalled(
  /\b(?:pan|skillet|griddle|tawa|wok|deep[- ]?fr\w+|(?:grease|oil|butter) (?:the |a )?(?:tin|tray|dish))\b/i,
)

/** "Dust.", and icing sugar without an amount ends the list. */
function dustByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  if (!clauses.some(({ text, closed }) => closed && /\bdust\b/i.test(text))) return
  for (const draft of [...drafts]) {
    const last = draft.lines.at(-1)
    if (draft.kind !== 'filling' || draft.lines.length < 2) continue
    if (last?.food?.id !== 'icing-sugar' || last.read.measures.length) continue
    draft.lines.pop()
    finishOf(drafts).lines.push(last)
  }
}

/** More sugar than three spoons is not strewn on a batch. Common practice, no source. */
const MOST_STREWN_SUGAR_GRAMS = 36
/** More oil than a spoon is no wash where the rest of the list is mixed. Our own choice. */
const SPOON_GRAMS = 20
const MIXES_REST = recalled(
  /\b(?:mix|combine|stir|toss|blend)\b[^.;]*\b(?:the rest of the (?:filling|stuffing|ingredients)|(?:the )?(?:remaining|other) (?:filling )?ingredients|all (?:of )?the (?:filling|stuffing|ingredients)\b|all (?:filling|stuffing) ingredients|in (?:all )?(?:the rest|everything else)(?=\W*$))/i,
)
/** "Egg wash & caraway": the words of what is strewn on it. */
const strewnOnWash = (text: string): ReadonlySet<string> =>
  plainWords(
    /\b(?:egg ?wash|glaze)\s*(?:&|\+|and|,|then|with)\s*(?:a sprinkle of |sprinkle (?:with )?)?([a-zß-öø-ɏ ,&]+)/i.exec(
      text,
    )?.[1] ?? 'nothing',
  )
/** "Scatter over the fennel seeds": what is strewn on a piece, by its words. */
const strewnOver = (text: string): ReadonlySet<string> =>
  plainWords(
    /\b(?:scatter|sprinkle|strew)\w*(?: (?:with|over|on|on top|them|it|the tops?|liberally|generously))* ([a-zß-öø-ɏ' ,&]+)/i.exec(
      text,
    )?.[1] ?? 'nothing',
  )
/** "Brush with butter mixed with garlic". */
const BRUSHES_MIXED = recalled(/\bbrush\w*\b[^.;]*\b(?:mixed|melted|combined|infused|warmed) with\b/i)
/** "Glaze.", and the list has one beaten egg. */
const GLAZES = recalled(
  /(?:^\W*|, ?)(?:and |then )?(?:glaze|brush|egg ?wash)(?: (?:well|them|it|all|all over|the tops?))?(?=\W*$|,| and | then )/i,
)
const WASHES = recalled(
  /\begg[ -]?wash\b|\b(?:brush|glaze)\b|(?:^\W*|,\s*)(?:beaten )?(?:egg|yolks?)(?=\s*(?:[.,]|$))/i,
)
const FRIES = recalled(/\b(?:fry|saut[eé]|brown|sweat|soften)\b/i)
const FRIED_SO = recalled(/\b(?:fried|softened|saut[eé]ed|browned|sweated)\b/i)
/** "Brush oil": no oil that was spoken of. */
const BARE_FAT = recalled(
  /\b(?:brush|spray|drizzle)(?:ed|ing)?(?: (?:with|it|them|over|on|lightly|all over|both sides|tops?|the tops?))* oil\b/i,
)
const SOME_FAT = recalled(/\b(?:a little|a bit of|some|more|extra)\b[^.;]{0,20}\b(?:oil|butter|ghee)\b/i)
