import type { PartKind } from '../recipe/vocabulary'
import { withoutExcepted, withoutVents } from './asides'
import { foodIs } from '../food/groups'
import { closingsIn, mayClose, WEAK_CLOSING } from './closing'
import { CALLED, isFat, wordsOfDraft, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'
import type { OutlineStep } from './outlineState'
import { recalled, type Recalled } from './matches'
import { clausesOf, sentencesOfStep } from './sentences'
import { MAX_ROW_CHARACTERS } from './tidy'

/** A clause of the method, with what it speaks of. */
export interface Clause {
  text: string
  /** The sentence it stands in. */
  sentence: string
  /** Number of the step, from 0. */
  step: number
  /** The part it speaks of, or 'pieces' once they are closed; null when that cannot be told. */
  about: Draft | 'pieces' | null
  /** The words before it have filled and closed the pieces. */
  closed: boolean
}

const PIECE_WORDS = recalled(
  /\b(?:turnovers?|buns?|pies?|pockets?|parcels?|dumplings?|(?<!\bin (?:[a-zß-öø-ɏ]+ )?)pieces|pasties|samosas?|cones?|empanadas?|pierogi|momos?|breads?|rolls|coils?|half[- ]moons?|patties|parathas?|cakes|triangles?|wontons?|envelopes|packets|kachoris?|modaks?|gujiyas?|kulchas?|kolaches?|puffs|each (?:one|side)|ones|both sides|a side|per side|they float|in batches|batches of|top(?:s)? (?:is|are)|the lid)\b/i,
)
/** "Put it on a hot tava": nothing but a piece is laid there. */
const LAID_ON_GRIDDLE = recalled(
  /\b(?:put|place|slap|lay|throw|slide|pop|transfer) (?:it|this|them|each(?: one)?|one) (?:gently |carefully |straight )?(?:on|onto|over) (?:an? |the |your )?(?:[a-zß-öø-ɏ]+ ){0,2}(?:tava|tawa|griddle|comal|saj)\b/i,
)
const BAKED_BY_SIDE = recalled(
  /\b(?:(?:dry|hot|frying|non-?stick) (?:pan|skillet)|griddle|tawa|tava|comal)\b[^.;]*\b(?:per|a|each|both|every) sides?\b/i,
)
const WRAPPED_IN_FOIL = recalled(
  /\bwrap(?:ped)?\b(?: [a-zß-öø-ɏ]+){0,3} in (?:(?:tin|kitchen|aluminium) )?(?:foil|cling ?film|plastic|muslin|cheesecloth)\b[^.;]*\b(?:steam|simmer|boil|poach|cook)/i,
)
const FILLS = recalled(
  /\b(?:fill|(?<!\b(?:filling|the|dry|wet|other|this|that|same|dough|green|of) )stuff)\b|\b(?:put|place|spoon|divide|lay|spread)\b[^.]{0,40}\b(?:filling|stuffing|mixture)\b|\b(?:put|place|keep|lay|spoon)\b[^.;]{0,40}\b(?:inside(?! the (?:oven|pan|tin|fridge))|in(?:to|side)? the (?:middle|cent(?:re|er)))\b/i,
)
const SHAPING = recalled(
  /\b(?:cut|stamp)\b[^.]{0,30}\b(?:\d+ )?(?:rounds|circles|dis[ck]s|squares|strips)\b|\b(?:divide|portion|form|make|shape|pinch off)\b[^.]{0,40}\b(?:\d+|balls|pieces|portions)\b/i,
)

/** "Filling: cook until dry. 18 portions, flatten": it is dough again. */
const DOUGH_PORTIONED = recalled(
  /^\W*\d{1,3} (?:equal )?(?:pieces|pcs)\b[^.;]{0,16}\b(?:flatten|roll|press|pat)\b/i,
)

/** "Roll thin, 3.5 inch, 1 tbsp filling": pieces are on their way, whatever part's lines it stands among. */
const SHAPES_PIECES = recalled(
  /\b(?:roll|cut|press|pat|stretch)\b[^.;]{0,40}\d\s*(?:cm|mm|inch|in\b|")|\b(?:tbsp|tablespoons?|tsp|teaspoons?|spoons?) (?:of )?(?:the )?filling\b/i,
)

/** Words before a colon that say which part a step is for: "Dough: ...", "For the filling, ...". */
const LABEL = recalled(
  /^(?:(?:to make |make |making |prepare |preparing |for )?(?:the |your )?([a-zß-öø-ɏ '-]{3,40}?)\s*(?::|\s-)\s|(?:for|to make) (?:the |your )?([a-zß-öø-ɏ '-]{3,30}?),?\s+(?=[a-zß-öø-ɏ]+))/i,
)

const KIND_WORDS: readonly [PartKind, Recalled][] = [
  ['dip', recalled(/\b(?:dip|dipping|sauce|chutney|salsa|relish|raita|to serve)\b/i)],
  [
    'shell',
    recalled(
      /\b(?:dough|pastry|crust|wrappers|knead|kneading|yeast|rub(?=, (?:and )?(?:bind|chill|rest)\b)|rub (?:in|(?:the |your )?(?:[a-zß-öø-ɏ]+ )?(?:butter|fats?|lard|marg[a-zß-öø-ɏ]*|oil|ghee|shortening|suet|flour|ingredients))|foams?|tangzhong|yudane|doubled?|rise|rises|prove|proof|gluten|(?:like|to|into|fine|resembl\w+) (?:fine |coarse |bread ?)*crumbs|crumbly)\b/i,
    ),
  ],
  ['filling', recalled(/\b(?:filling|stuffing|mixture|farce)\b/i)],
  ['marinade', recalled(/\b(?:marinade|marinate|brine)\b/i)],
  ['finish', recalled(/\b(?:glaze|egg ?wash|topping)\b/i)],
]

/** Water or milk that is brought to the boil, and flour in it. */
export const SCALDS =
  /\b(?:boil|heat|bring)\b[^.;]*\b(?:water|milk)\b[^.;]*\b(?:stir|mix|tip|add|beat|dump|pour)\w*\b[^.;]*\bflours?\b/i

function draftByLabel(label: string, drafts: readonly Draft[]): Draft | null {
  const plain = normaliseName(label)
  if (!plain) return null
  for (const draft of drafts) {
    const name = normaliseName(draft.name).replace(/^(?:for |the |to make )+/, '')
    if (name && (plain === name || plain.endsWith(name) || name.endsWith(plain))) return draft
  }
  const kind = KIND_WORDS.find(([, pattern]) => pattern.test(label))?.[0]
  if (kind) return drafts.find((draft) => draft.kind === kind && !draft.into) ?? null
  // "Keema: brown the onions …" where the part is called otherwise and its mince is so called.
  const named = drafts.filter((draft) => !draft.into && wordsOfDraft(draft).has(plain))
  return named.length === 1 ? named[0]! : null
}

/**
 * Takes the method apart into clauses and says of each what it speaks of: a part of the recipe, by its name, its
 * foods or its kind of work, or the closed pieces. Everything else that is read from the method starts here.
 *
 * @param steps the method's steps in order
 * @param drafts the parts, with their lines
 */
export function clausesOfMethod(steps: readonly OutlineStep[], drafts: readonly Draft[]): Clause[] {
  const words = new Map(drafts.map((draft) => [draft, wordsOfDraft(draft)]))
  const cut = new Map(drafts.map((draft) => [draft, cutSo(draft)]))
  const clauses: Clause[] = []
  let closed = false
  let last: Draft | 'pieces' | null = null
  const willClose = steps.some(({ text }) => text.length < 2000 && mayClose(text))
  const lastFilling = steps.findLastIndex(({ text }) => text.length < 2000 && FILLS.test(text))
  /** What closes a piece in a clause; "roll up, turn, roll again" before anything is filled does not. */
  const closingIn = (text: string, step: number, rest: string): RegExpExecArray | null => {
    if (!mayClose(text)) return null
    for (const found of closingsIn(text)) {
      const [before, after] = [text.slice(0, found.index), text.slice(found.index + found[0].length)]
      const later = step < lastFilling || FILLS.test(`${after} ${rest}`)
      if (!WEAK_CLOSING.test(found[0]) || !later || /\b(?:fill\w*|stuff\w*)\b/i.test(before)) return found
    }
    return null
  }
  // Steps that stand among the lines of a part are its own, unless they go on to close the pieces.
  const goesOn = new Set(
    steps
      .filter(
        ({ text, within }) =>
          within && (mayClose(text) || SHAPES_PIECES.test(text) || /\bthey float\b/i.test(text)),
      )
      .map(({ within }) => within),
  )
  steps.forEach((step, index) => {
    const over = step.under || (goesOn.has(step.within) ? '' : step.within)
    let label: Draft | null = over ? draftByLabel(over, drafts) : null
    if (step.under && /\b(?:assembl|shap|cook|bak|fry|steam|boil|finish)/i.test(step.under) && !label)
      label = null
    const sentences = step.text.length > 4 * MAX_ROW_CHARACTERS ? [] : sentencesOfStep(step.text)
    for (const [at, sentence] of sentences.entries()) {
      if (sentence.length > MAX_ROW_CHARACTERS) continue
      const named = LABEL.exec(sentence)
      const name = named ? (named[1] ?? named[2]!) : ''
      const own = name ? draftByLabel(name, drafts) : null
      if (own) label = own
      else if (/\b(?:assembl|shap|cook|bake|fry|steam|boil)/i.test(name)) label = null
      for (const text of clausesOf(sentence)) {
        if (!closed && label?.kind === 'filling' && DOUGH_PORTIONED.test(text)) label = null
        const closing = closingIn(text, index, sentences.slice(at + 1).join(' '))
        const shaping = SHAPING.test(text)
        const aboutFilling =
          /\b(?:fold|stir|mix) (?:in|into|through)\b(?! (?:the |both |all )*(?:four |4 |two |2 )?(?:sides|ends|corners)\b| (?:an? )?(?:neat |small )?(?:squares?|triangles?|half|thirds|quarters|parcels?|packets?|envelopes?|cones?|rectangles?)\b)/i.test(
            text,
          ) && !PIECE_WORDS.test(text)
        // "Shape the seitan into two, wrap in foil and steam": what foil holds is no piece.
        const inFoil = !closed && WRAPPED_IN_FOIL.test(text)
        if (closing && !aboutFilling && !inFoil) {
          const before = text.slice(0, closing.index).trim()
          if (before)
            clauses.push({ text: before, sentence, step: index, about: aboutOf(before, label), closed })
          closed = true
          label = null
          const after = text.slice(closing.index)
          clauses.push({ text: after, sentence, step: index, about: 'pieces', closed })
          last = 'pieces'
          continue
        }
        const about = aboutOf(text, label)
        if (shaping && !closed && about !== null && about !== 'pieces' && about.kind === 'shell') label = null
        clauses.push({ text, sentence, step: index, about, closed })
        last = about ?? last
      }
    }
  })

  /** "Boil the lard and water, pour on the flour": words that many parts may have, and one has all of. */
  function namesOfBase(text: string): Draft | null {
    const plain = plainWords(text)
    const said = BASE_WORDS.filter((word) => plain.has(word))
    if (said.length < 2 || !said.some((word) => word !== 'water' && word !== 'salt')) return null
    const having = drafts.filter(({ lines }) =>
      said.every((word) =>
        lines.some(({ read, food }) =>
          word === 'fat' ? isFat(food) : normaliseName(read.name).split(' ').includes(word),
        ),
      ),
    )
    return having.length === 1 && /^(?:shell|filling)$/.test(having[0]!.kind) ? having[0]! : null
  }

  function called(draft: Draft, plain: ReadonlySet<string>): boolean {
    if (draft.kind === 'pan') return false
    // "Microwave the cheeses": those of a dough that is made of them, and of no other dough.
    const isMelted = ['microwave', 'melt', 'melted'].some((word) => plain.has(word))
    if (draft.kind === 'shell' && !(isMelted && plain.has('cheese'))) return false
    return CALLED.some(
      ([word, trait]) =>
        trait !== 'egg' && plain.has(word) && draft.lines.some(({ food }) => foodIs(food, trait)),
    )
  }

  function aboutOf(said: string, label: Draft | null): Draft | 'pieces' | null {
    // "Mix with everything except the pastry" speaks of no pastry.
    const text = withoutExcepted(said)
    // "Boil the water with salt, stir in the flour, cover 5 minutes": the dough is scalded.
    if (!closed && SCALDS.test(text))
      return drafts.find(({ kind, into }) => kind === 'shell' && !into) ?? null
    // "Fry the breadcrumbs in butter": what is cooked is named, and it is no piece.
    const cooked = COOKS_SOMETHING.exec(text)?.[1]
    // "Fry beef in batches" before anything is closed is the filling's.
    const inBatches = !closed && !label && /\bin batches\b/i.test(text)
    const object =
      (closed || inBatches) && cooked && !PIECE_WORDS.test(text.slice(0, inBatches ? 12 : 24))
        ? // "For the chutney boil the chillies": the part that is named comes first.
          (label ? [label, ...drafts] : closed ? [...drafts].sort(onTheSideFirst) : drafts).find(
            (draft) =>
              draft.kind !== 'pan' &&
              draft.kind !== 'shell' &&
              (words.get(draft)!.has(normaliseName(cooked)) ||
                // "Boil the syrup, pour round the dumplings": what a heading calls so.
                normaliseName(draft.name) === normaliseName(cooked) ||
                (draft.kind === 'filling' && !draft.into && /^(?:filling|stuffing)$/i.test(cooked))),
          )
        : undefined
    if (object) return object
    // "Fry 6 min each side, chop": what is chopped behind it is no piece.
    const fillings = drafts.filter((draft) => draft.kind === 'filling' && !draft.into)
    if (!closed && willClose && !label && fillings.length === 1 && CUT_UP_AFTER.test(text))
      return fillings[0]!
    if (!label && LAID_ON_GRIDDLE.test(text)) return 'pieces'
    // "5 discs. Dry pan 4 min per side. Split, fill": bread that is baked before it is filled.
    if (!closed && last && last !== 'pieces' && last.kind === 'shell' && BAKED_BY_SIDE.test(text))
      return 'pieces'
    if (
      PIECE_WORDS.test(text) &&
      (closed || /\b(?:bake|fry|steam|boil|cook|griddle|toast)\b/i.test(text)) &&
      !label
    )
      return 'pieces'
    // "Squeeze the courgettes. Sauté 5 min in a little oil": what was spoken of is cooked, whatever the oil is of.
    if (
      !closed &&
      willClose &&
      !label &&
      last &&
      last !== 'pieces' &&
      last.kind === 'filling' &&
      GOES_ON_COOKING.test(text)
    )
      return last
    // "Whisk the milk into the roux and cook until thick": no dough is thickened, though it has flour and milk as well.
    if (!closed && !label && fillings.length === 1 && THICKENS.test(text) && isSauceOf(fillings[0]!, text))
      return fillings[0]!
    const plain = plainWords(text.replace(WATER_THAT_GOES, ' '))
    const kinds = plainWords(text.replace(VEGETABLE_OF, ' '))
    // "Mix the sausage ingredients" is of the part that is called so, though it is kneaded.
    const whose = WHOSE_INGREDIENTS.exec(text)?.groups
    const owner = whose && normaliseName(whose.before ?? whose.behind!)
    let best: Draft | null = null
    let bestScore = 0
    const scores = new Map<Draft, number>()
    for (const draft of drafts) {
      let score = label === draft ? 3 : 0
      for (const word of words.get(draft)!) if (plain.has(word)) score += 1
      if (owner && normaliseName(draft.name).split(' ').includes(owner)) score += 3
      // "The cheese", "the meat": what is called so is in one part and no other.
      if (called(draft, kinds)) score += 1
      if (KIND_WORDS.some(([kind, pattern]) => kind === draft.kind && pattern.test(text)) && !draft.into)
        score += 1.5
      const name = normaliseName(draft.name).replace(/^(?:for |the |to make )+/, '')
      if (
        name.length > 2 &&
        !/^(?:filling|dough)$/.test(name) &&
        ` ${normaliseName(text)} `.includes(` ${name} `)
      )
        score += 1.5
      // "Grind the achar things": the last word of "Jhol achar" calls it.
      else if (
        draft.kind === 'dip' &&
        (name.split(' ').at(-1) ?? '').length > 3 &&
        plain.has(name.split(' ').at(-1)!)
      )
        score += 1.5
      // "Cook the sliced onions" are those that its list has sliced, where another part has them minced.
      if (cut.get(draft)!.some((called) => ` ${normaliseName(text)} `.includes(` ${called} `))) score += 1.5
      // What is brushed on or fried in is named beside the piece and does not decide.
      if (draft.kind === 'pan' || draft.kind === 'finish') score *= 0.6
      scores.set(draft, score)
      // "Stir in flour, then milk" where both have milk goes on with what was last spoken of.
      // "Boil the barley" is no barley flour.
      const isCooked =
        score > 0 &&
        score === bestScore &&
        draft.kind === 'filling' &&
        best?.kind === 'shell' &&
        BOILS_FOOD.test(text)
      if (score > bestScore || isCooked || (score > 0 && score === bestScore && draft === last)) {
        best = draft
        bestScore = score
      }
    }
    if (
      closed &&
      (!best || bestScore < 2 || best.kind === 'pan' || best.kind === 'finish') &&
      !(label && best === label)
    )
      return 'pieces'
    // "Cut the butter into the flour and salt, add the egg" where both have eggs is the dough's.
    const base = closed || label ? null : namesOfBase(text)
    if (best) return base && scores.get(base) === bestScore ? base : best
    // "2 pounds of potatoes, boil and mash them": the foods that were named just before.
    if (!closed && !label && last && last !== 'pieces' && last.kind === 'filling' && BOILS_THEM.test(text))
      return last
    if (base) return base
    // "Steam the roots 10 minutes" before anything is closed: something that goes in.
    if (
      !closed &&
      willClose &&
      !label &&
      fillings.length === 1 &&
      !drafts.some(
        (draft) => draft.kind === 'shell' && draft.lines.some(({ food }) => food?.group === 'vegetable'),
      ) &&
      COOKS_WHAT_GOES_IN.test(withoutVents(text)) &&
      !/\b(?:oven(?! for \d+ hours)|pieces|them|float|side|flat)\b/i.test(text)
    )
      return fillings[0]!
    return closed
      ? 'pieces'
      : (label ??
          (/^(?:(?:then )?(?:chill|fridge|refrigerate|(?:(?:pop|put|stick|keep|place|back)(?: it)? )?(?:in|into|to) the (?:fridge|refrigerator)|wrap|dis[ck](?=,| and))|\d{1,3} (?:[a-zß-öø-ɏ]+ )?balls of \d+ ?g(?:rams)?|cover|keep(?! (?:the|some|a|about|back|half)\b)|(?:set|put) (?:it |this )?aside|stand|relax|rest|leave|knead|let|cool|finish|transfer|return|season|drain|squeeze|bind|add|mix|stir|simmer|stew|braise|reduce|bring (?:it |this )?(?:back )?to (?:a|the) (?:boil|simmer))\b/i.test(
            text,
          )
            ? last
            : null))
  }
  return clauses
}

/** "Squeeze out all the water", "until the water has gone": no water that a part is made with. */
const WATER_THAT_GOES =
  /\b(?:out|off|away|rid of|excess|released?)\b[^.,;]{0,20}\b(?:water|liquid)\b|\b(?:the|all|most of the) (?:water|liquid) (?:is|has|have|evaporates?|dries|comes|runs)\b/gi

const WHOSE_INGREDIENTS = recalled(
  /\b(?<before>(?!all\b|the\b|other\b|dry\b|wet\b|remaining\b)[a-zß-öø-ɏ]{3,}) (?:ingredients|things|bits|stuff)\b|\bingredients (?:for|of) (?:the |your )?(?<behind>[a-zß-öø-ɏ]{3,})/i,
)

/** What doughs are made of and fillings cooked in: one of them says nothing of whose it is. */
const BASE_WORDS = ['flour', 'water', 'salt', 'lard', 'butter', 'margarine', 'ghee', 'oil', 'fat', 'milk']

const CUT = /\b(sliced|minced|chopped|diced|grated|shredded|cubed|crushed|mashed|whole)\b/i
/** What the lines of a part are called by how they are cut: "sliced onion". */
const cutSo = ({ lines }: Draft): string[] =>
  lines.flatMap(({ read }) => {
    const how = CUT.exec(read.prep.join(' '))?.[1]
    return how ? [`${how.toLowerCase()} ${normaliseName(read.name).split(' ').at(-1)!}`] : []
  })

/** "Cook until thick", "whisk in the milk": a sauce with flour in it. */
const THICKENS = recalled(
  /\b(?:until|till) (?:it (?:is |gets )?|it's )?(?:thick|thickens|thickened|smooth and thick)\b|\bto (?:a )?thick(?:en)?\b|\bwhisk in the (?:milk|stock|cream)\b/i,
)
/** Whether a part has a liquid that a text names, and flour or starch to thicken it. */
const isSauceOf = ({ lines }: Draft, text: string): boolean =>
  lines.some(({ food }) => foodIs(food, 'flour')) &&
  lines.some(
    ({ food, read }) =>
      foodIs(food, 'pours') && plainWords(text).has(normaliseName(read.name).split(' ').at(-1)!),
  )

/** Once the pieces are closed, onions that both parts have are those that are served with them. */
const onTheSideFirst = (a: Draft, b: Draft) => Number(b.kind === 'dip') - Number(a.kind === 'dip')
/** "Fry the breadcrumbs": what is named behind the verb. */
const COOKS_SOMETHING = recalled(
  /\b(?:fry|toast|melt|brown|char|boil|simmer|cook|roast|reduce|blend)\s+(?:the |some )?(?:(?:other|remaining|rest of the|sliced|chopped|diced|grated|crushed) )?([a-zß-öø-ɏ]{3,})/i,
)
const COOKS_WHAT_GOES_IN = recalled(
  /\b(?:steam|boil|fry|roast|simmer|blanch|saut[eé]|soften|brown) (?:the )?[a-zß-öø-ɏ]+|\b(?:cook|stew|braise|microwave|sweat|poach) (?:the )?(?!(?:in|on|for|until|till|both|each|over|under|with|and|or|to|through|about|covered|uncovered|gently|slowly)\b)[a-zß-öø-ɏ]+|\bslow[- ]cooker\b/i,
)
/** "Vegetable oil" is no vegetable. */
const VEGETABLE_OF = /\bveg(?:etable)? (?:oil|stock|broth|fat|shortening)\b/gi
/** Cooked, and cut up afterwards. */
const CUT_UP_AFTER = recalled(
  /\b(?:fry|grill|roast|sear|bake|poach)\b[^.;]*\b(?:then|,|and)\s*(?:chop|shred|slice|dice|flake)\b/i,
)
/** What is done to no dough; its cheese is microwaved as well. */
const BOILS_FOOD = recalled(
  /^\W*(?:boil|simmer|fry|roast|soak|drain|steam|cook|blanch|saut[eé]) (?:the )?[a-zß-öø-ɏ]+/i,
)
/** "Sauté 5 min in a little oil": a verb, how, and no word of what. */
const GOES_ON_COOKING = recalled(
  /^\W*(?:then )?(?:pressure[- ]cook|boil|simmer|steam)(?= (?:with|in|for|until|till|\d))(?![^.;]*\b(?:float|pieces|batches)\b)|^\W*(?:then )?(?:cook|fry|saut[eé]|sweat|stir[- ]?fry|grill|broil|griddle|air[- ]?fry|roast)(?: or (?:fry|grill|roast|bake))?(?= (?:in|on|over|under|for|about|around|roughly|until|till|gently|slowly|down|it|them|\d[\d-]* ?min\w*)\b)(?![^.;]*\b(?:oven|each side|per side|a side|both sides|turning)\b)/i,
)
const BOILS_THEM = recalled(
  /^\W*(?:and )?(?:then )?(?:boil|fry|steam|roast|simmer|saut[eé]|cook|microwave|blanch)\b[^.;]*\b(?:(?:them|it|these|those)\b|in (?:the same|the soaking|its|their)\b)/i,
)
