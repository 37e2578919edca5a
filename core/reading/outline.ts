import type { Foods } from '../food/food'
import { readHeading, startsLikeStep, VERB, type Heading } from './headings'
import { matchFood } from './match'
import { NUMBER_PATTERN } from './readNumber'
import { readLine } from './readLine'
import { MAX_ROW_CHARACTERS, sentencesOf, type Row } from './tidy'
import { remember } from './remember'
import { isHeatOrTime } from './time'
import { UNIT_PATTERN } from './units'
import { PIECES, readYields, titleYields, withoutYields } from './yields'

/** What a row of the text became. */
export type Became = 'title' | 'heading' | 'ingredient' | 'step' | 'remark' | 'count' | 'left-out'

/** An ingredient's text with where it stood. */
export interface OutlineItem {
  text: string
  at: number
  blankBefore: boolean
}

/** A run of ingredient lines under one heading, or under none. */
export interface Section {
  heading: Heading | null
  items: OutlineItem[]
}

export interface OutlineStep {
  text: string
  at: number
  /** The method's own heading above it: "Filling". '' without one. */
  under: string
  /** The part among whose lines it stands, with other parts still to come: its work is that part's. */
  within: string
}

export interface Outline {
  title: string
  /** Counts in the order they stand, each with its words. */
  counts: { pieces: number | null; servings: number | null; perServing: number | null; text: string }[]
  sections: Section[]
  steps: OutlineStep[]
  remarks: { text: string; at: number }[]
  /** "Prep 30 min": kept as facts. */
  times: { kind: 'prep' | 'cook' | 'total'; minutes: number; text: string }[]
  became: Map<number, Became>
}

const TIME = String.raw`(\d{1,3})\s*(?:-\s*\d{1,3}\s*)?(h(?:ou)?rs?|h|min(?:ute)?s?|m)\b(?:\s*(\d{1,2})\s*(?:m(?:in(?:ute)?s?)?)?)?`
const META = new RegExp(
  String.raw`^\W*(prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|takes|time|rest(?:ing)?|active|hands[- ]on|proving|chill(?:ing)?|inactive|ready in|additional)(?:\s*time)?\s*[:=–-]?\s*${TIME}\W*$`,
  'i',
)
const NOISE =
  /^\W*(?:(?:prep|cook|total|rest)(?: time)?\W*\d{1,3}\W*(?:prep|cook|total|rest)(?: time)?\W*\d{1,3}|[\d.]+\s*(?:from|out of|\/\s*5)\s*[\d,]*\s*(?:votes?|reviews?|ratings?)?\b.{0,20}|(?:\d\s*x\s*){2,}|did you (?:make|try)\b.*|(?:tag|follow) (?:us|me)\b.*|leave (?:a|us) (?:comment|rating).*|(?:difficulty|skill level|cuisine|course|author|by|source|rating|calories?|category|categories|keywords?|tags?|diet|published|updated|posted|servings? size|yield type)\s*:.*|(?:print|pin|save|share|jump to|rate|follow|subscribe|sign up|click|tap|watch|advertisements?|sponsored|ad\b|skip|photo|image|video|get the|buy now|shop)\b.{0,60}|[★☆\d./ ()]*(?:stars?|votes?|reviews?|ratings?|comments?)\b.{0,30}|[★☆]{2,}.*|(?:\d\s*x\s*){2,}|us customary.*|metric.{0,20}|copyright.*|(?:vegan|vegetarian|gluten[- ]free|dairy[- ]free|nut[- ]free|keto|halal|kosher|healthy|family|freezer[- ]friendly|budget|quick)|https?:\S*|www\.\S*|easy|medium|hard)\W*$/i
const NUTRITION_LINE =
  /^\W*(?:(?:calories|energy|kcal|protein|fat|saturated fat|saturates|carb(?:ohydrate)?s?|net carbs|sugars?|fib(?:re|er)|salt|sodium|cholesterol)\s*:?\s*<?[\d.,]+\s*(?:g|mg|kcal|kj|cal|%)?[\s|,;/·•-]*)+$/i
const NUTRITION_START =
  /^\W*(?:nutrition|macros?\b|[^:\d]{0,30}:?\s*\d{2,4}\s*k?cals?\b|per \p{L}+\s*:?.*\b(?:k?cals?|calories)\b|calories\s*:?\s*\d)/iu

/** What of a page says nothing of the dish: adverts, links, stars, tables of nutrients. */
const saysNothing = remember((text: string) => ({
  noise:
    NOISE.test(text) &&
    (!STARTS_WITH_AMOUNT.test(text) ||
      /^\W*(?:\d\s*x\s*){2,}\W*$|\b(?:votes?|reviews?|ratings?)\b/i.test(text)),
  nutrition: NUTRITION_LINE.test(text)
    ? ('line' as const)
    : NUTRITION_START.test(text)
      ? ('start' as const)
      : null,
}))

const STARTS_WITH_AMOUNT = new RegExp(
  String.raw`^(?:about |approx\.? |around |roughly |~|≈)?(?:${NUMBER_PATTERN})(?=[\s\d(x×–-]|${UNIT_PATTERN}|\p{L})`,
  'iu',
)
const DOING =
  /\b(?:add|mix|cook|fry|bake|knead|steam|boil|stir|fold|seal|roll|cut|fill|brush|heat|cool|rest|serve|divide|simmer|squeeze|drain|freezes?|keep|wrap|take|leave|place|put|make|use|prepare|toast|let|chill|shape|sprinkle)\b/i

/** "12 squares of 12 cm, fill, fold": how many, of what size, and what is done with them. */
const COUNT_AND_DO =
  /^\W*(?:about )?\d+\s+(?:x\s*\d+\s*(?:cm|mm|g)\s+)?(?:\p{L}+\s+)?(?:balls|pieces|rounds|circles|dis[ck]s|portions|squares|saucers|buns)\b[^,.]{0,24}(?:,|->|$)/iu

/** What is said of keeping it is no ingredient and no step. */
const KEEPING =
  /^\W*(?:suitable for|can be (?:frozen|made ahead|kept)|freezes? well|keeps? (?:for|well)|best (?:served|eaten)|not suitable)\b/i

const METHOD_WORDS =
  /^(?:the )?(?:cooking |baking )?(?:method|instructions?|directions?|steps?|procedure|preparation(?: method)?|how to(?: (?:make|do|cook) (?:it|them))?|making (?:it|them)|what to do)$/i
const BOAST =
  /^(\p{L}[^:\d]{3,60}?)[\s,;:(–-]+(?:(?:only|just|with)\s+)?(?:(?:per|each) \p{L}+\s*:?\s*)?\d{1,3}\s*(?:g|grams?)\s*(?:of )?(?:protein|fibre|fiber|net carbs|carbs)\b.{0,30}$/iu
const DONE_WITH_IT =
  /\s[-–—]\s(?=(?:knead|mix|rest|rub|stir|cook|fry|blend|combine|chill|blitz)\b)|\s(?:and |then )?(?:rub|mix|knead|blend|whisk|mash|stir|fry)(?:bed|ed)? (?:together|it|them|well|all|everything|like|till|until)\b/i
const SPOKEN_PART =
  /^(?:and |now |then |so )*(?:for (?:the )?|the )?(dough|pastry|filling|stuffing)\s+(?:(?:is|are|has|takes?|needs?|you need|i use|use)\s+)?(.+)$/i
const wordsOf = (text: string) => text.split(/\s+/).length

/** Whether a text is an instruction; ingredient lines that begin with a verb's word ("flour", "oil") are none. */
export function isStep(text: string, foods: Foods): boolean {
  if (isHeatOrTime(text) || /^\W*\d{1,3}\s*g (?:of )?(?:dough|filling)\b/i.test(text)) return true
  const words = wordsOf(text)
  if (
    STARTS_WITH_AMOUNT.test(text) &&
    !/^(?:one|two|a|half) (?:hour|minute|day|at a time|by one)|^(?:quarter|half) (?:of )?(?:the|each|it|them)\b/i.test(
      text,
    )
  )
    return (
      (words > 24 && /[.!]/.test(text) && DOING.test(text)) ||
      // "8 balls, roll, halve each, fill": a count of pieces and what is done with them.
      (COUNT_AND_DO.test(text) &&
        (DOING.test(text.slice(text.indexOf(',') + 1)) ||
          /->|crimp|pinch|pleat|press|sandwich|min/i.test(text)))
    )
  const labelled = /^[^:]{3,30}:\s*(.+)$/.exec(text)?.[1]
  if (labelled && startsLikeStep(labelled)) return true
  if (startsLikeStep(text)) {
    // "Flour 500 g", "Oil, 2 tbsp" begin with words that are verbs as well.
    if (
      words > 8 ||
      /^\p{L}+ (?:the|it|them|well|over|out|with)\b/iu.test(text) ||
      !/^(?:flour|oil|dip|brown|warm|cool|press|pan|set|line|grease|dust|trim|pinch|squeeze|drizzle|dash|splash|sprinkle|slice)\b/i.test(
        text,
      )
    )
      return true
    return matchFood(readLine(text).name, foods)?.how !== 'exact'
  }
  // "Apples in a pan with butter 8 min": ingredients do not take minutes, unless they soak.
  if (
    words >= 3 &&
    /\b\d{1,3}\s*(?:-\s*\d{1,3}\s*)?min(?:ute)?s?\b/i.test(text) &&
    !/\b(?:soak|rest|chill|drain|boiled|cooked)/i.test(text)
  )
    return true
  if (words >= 14) return DOING.test(text) || !/,/.test(text)
  if (words >= 6 && DOING.test(text) && !/^(?:oil|water|milk|butter|ghee|flour|salt|egg)\b/i.test(text)) {
    const read = readLine(text)
    return !read.purpose && !read.unmeasured && matchFood(read.name, foods)?.how !== 'exact'
  }
  return words >= 3 && /[.!]$/.test(text) && DOING.test(text) && !readLine(text).unmeasured
}

/** What a following row looks like, as far as a heading asks. */
function looksLike(row: Row | undefined, foods: Foods): 'amount' | 'step' | 'other' | null {
  if (!row) return null
  const text = row.text.slice(0, MAX_ROW_CHARACTERS)
  if (isHeatOrTime(text)) return 'step'
  if (STARTS_WITH_AMOUNT.test(text)) return 'amount'
  if (isStep(text, foods)) return 'step'
  const read = readLine(text)
  return read.measures.length || read.unmeasured || matchFood(read.name, foods)?.how === 'exact'
    ? 'amount'
    : 'other'
}

/**
 * Sorts the rows of a text: title, counts, headings with their ingredient lines, steps, remarks, and what is
 * left out because it says nothing of the dish. Linear in the number of rows.
 */
export function outlineOf(rows: readonly Row[], foods: Foods): Outline {
  const out: Outline = {
    title: '',
    counts: [],
    sections: [],
    steps: [],
    remarks: [],
    times: [],
    became: new Map(),
  }
  let mode: 'start' | 'lines' | 'method' | 'remarks' | 'noise' = 'start'
  let section: Section | null = null
  let under = ''
  let explicitMethod = false
  const is = (row: Row, what: Became) => {
    const known = out.became.get(row.at)
    // A line that became several things is shown as what weighs most in the recipe.
    if (!known || what === 'ingredient' || (known === 'count' && what !== 'left-out'))
      out.became.set(row.at, what)
  }
  /** A heading with nothing under it may be a line that looked like one: its words stay. */
  const emptyHeading = () => {
    const last = out.sections.at(-1)
    if (last?.heading && !last.items.length && !last.heading.rest)
      out.remarks.push({ text: last.heading.name, at: -1 })
    if (under && !out.steps.some((step) => step.under === under)) out.remarks.push({ text: under, at: -1 })
  }
  const open = (heading: Heading | null): Section => {
    emptyHeading()
    const before = out.sections.at(-1)
    if (heading && before?.heading && before.items.length)
      for (const one of out.steps)
        if (!one.within && !one.under && one.at > before.items.at(-1)!.at) one.within = before.heading.name
    const made: Section = { heading, items: [] }
    out.sections.push(made)
    return made
  }
  /** How many steps in a row were numbered one after the other, and the last of those numbers. */
  const numbering = { run: 0, last: 0 }
  const step = (row: Row, text: string) => {
    if (row.number !== null && row.number !== numbering.last) {
      numbering.run = row.number === numbering.last + 1 ? numbering.run + 1 : 1
      numbering.last = row.number
    }
    for (let from = 0; from < text.length; from += 2000)
      out.steps.push({ text: text.slice(from, from + 2000), at: row.at, under, within: '' })
    is(row, 'step')
  }
  const count = (row: Row, text: string) => {
    const found = readYields(text)
    if (found)
      out.counts.push({ pieces: found.pieces, servings: found.servings, perServing: found.perServing, text })
    if (found) is(row, 'count')
    return found
  }
  const item = (row: Row, text: string) => {
    section ??= open(null)
    section.items.push({ text, at: row.at, blankBefore: row.blankBefore })
    is(row, 'ingredient')
    if (mode === 'start') mode = 'lines'
  }
  const remark = (row: Row, text: string) => {
    out.remarks.push({ text, at: row.at })
    is(row, 'remark')
  }
  const enter = (row: Row, heading: Heading) => {
    is(row, 'heading')
    if (heading.kind === 'method') {
      mode = 'method'
      explicitMethod = true
      emptyHeading()
      under = METHOD_WORDS.test(heading.name) ? '' : heading.name
      section = null
      if (heading.rest) step(row, heading.rest)
    } else if (heading.kind === 'remarks' || heading.kind === 'noise') {
      mode = heading.kind
      section = null
      if (heading.rest && heading.kind === 'remarks') remark(row, row.text)
      else if (heading.rest) is(row, 'left-out')
    } else if (heading.kind === 'ingredients') {
      mode = 'lines'
      section = null
      if (heading.rest) readText(row, heading.rest)
    } else {
      mode = 'lines'
      section = open(heading)
      if (heading.rest) readText(row, heading.rest)
    }
  }

  /** One sentence or one line outside the method. */
  const readText = (row: Row, text: string) => {
    const bare = text
      .replace(
        /^(?:(?:so|well|okay|now|and|then),?\s+)*(?:(?:i|you|we)(?:'ll| will)? (?:use|take|need|want|add|have)\s+)?(?=\d|an? |about |half|some)/i,
        '',
      )
      .replace(/^(?:and|then)\s+/i, '')
      .replace(/(\p{L}{2})\.$/u, '$1')
    const over =
      /^(?:brush|glaze|gild|finish|top|sprinkle|dust|coat)(?: it| them)? with ((?:\d|an? |[¼½¾]).*)$/i.exec(
        text,
      )
    // "Brush with 1 egg" in a list of ingredients is what to finish with.
    if (over && mode !== 'method' && wordsOf(text) <= 9) {
      const before: Section | null = section
      section = open({ kind: 'finish', name: 'To finish', rest: '', pieces: null })
      item(row, over[1]!)
      section = before
      return
    }
    const found = readYields(text)
    // "1 packet filo (270 g)" is bought, "12 buns" are made.
    const bought =
      /^\W*\d/.test(text) &&
      !/^\W*\d+\s+(?:servings?|portions?|people)/i.test(text) &&
      matchFood(readLine(text).name, foods)?.how === 'exact'
    if (found?.whole && !bought) {
      count(row, text)
      if (/\p{L}{2}/u.test(found.rest)) {
        if (wordsOf(found.rest) > 2 && isStep(found.rest, foods)) step(row, text)
        else remark(row, text)
      }
      return
    }
    if (KEEPING.test(text) || /^takes (?:about |around |roughly )?(?:an?|\d+|one|two|half)\b/i.test(text))
      return remark(row, text)
    // "Egg wash." said again among the steps is done, not bought twice.
    if (
      out.sections.some(({ items }) => items.some((one) => one.text.toLowerCase() === bare.toLowerCase())) &&
      /\b(?:wash|glaze)\b/i.test(bare)
    )
      return step(row, text)
    if (isStep(text, foods)) return step(row, text)
    if (
      found &&
      !/\b(?:g|kg|cups?|tbsp|tsp|ml)\b/i.test(text) &&
      matchFood(readLine(text).name, foods)?.how !== 'exact'
    ) {
      count(row, text)
      return remark(row, text)
    }
    item(row, bare)
  }

  rows.forEach((row, index) => {
    let { text } = row
    // "Cheese buns, per bun: 18 g protein": what the dish boasts of is no list.
    const boast = !out.title && mode === 'start' && !out.sections.length ? BOAST.exec(text) : null
    if (boast) {
      out.title = boast[1]!.trim()
      return is(row, 'title')
    }
    const lead = titleSentence(text)
    if (lead !== null) {
      out.title = lead.replace(/[\s.:!-]+$/, '')
      is(row, 'title')
      text = text.slice(text.indexOf(lead) + lead.length).trim()
    }
    if (text.length > MAX_ROW_CHARACTERS) {
      if (mode === 'method' || mode === 'remarks')
        return mode === 'method' ? step(row, text) : remark(row, text)
      const sentences = text.length > 20_000 ? [text] : sentencesOf(text)
      if (sentences.some((sentence) => sentence.length > MAX_ROW_CHARACTERS)) return step(row, text)
      if (sentences.every((sentence) => !inlineList(sentence, foods))) {
        step(row, text)
        for (const sentence of sentences) count(row, sentence)
        return
      }
      for (const sentence of sentences) readSentence(row, sentence)
      return
    }
    const { noise, nutrition } = saysNothing(text)
    if (noise) return is(row, 'left-out')
    if (
      nutrition === 'line' &&
      (mode === 'noise' ||
        mode === 'method' ||
        /calories|kcal/i.test(text) ||
        !STARTS_WITH_AMOUNT.test(text)) &&
      !matchedIngredient(text, foods)
    )
      return is(row, 'left-out')
    if (nutrition === 'start') return is(row, 'left-out')
    const meta = META.exec(text)
    // "Bake 20 minutes" after the lines tells what to do; "Bake: 20 minutes" and "Cook time" tell of the whole.
    const told = meta && /^(?:bake|cook|rest|chill)$/i.test(meta[1]!) && !/time|[:=]/i.test(text)
    if (told && out.sections.some((one) => one.items.length)) return step(row, text)
    if (meta && mode !== 'method') {
      const value = Number(meta[2])
      const minutes = /^h/i.test(meta[3]!) ? value * 60 + Number(meta[4] ?? 0) : value
      const kind = /^prep|hands|active/i.test(meta[1]!)
        ? 'prep'
        : /^(?:cook|bak)/i.test(meta[1]!)
          ? 'cook'
          : /^(?:total|ready)/i.test(meta[1]!)
            ? 'total'
            : null
      if (kind) out.times.push({ kind, minutes, text })
      return is(row, 'left-out')
    }
    if (/^[([].*[)\]]$/.test(text) && text.length < 60 && mode !== 'method' && readYields(text))
      return void count(row, text)
    if (/^\W*(?:about |approx\.? |around |makes )?\d{1,3}\W*$/i.test(text) && mode === 'start' && out.title) {
      out.counts.push({ pieces: Number(/\d+/.exec(text)![0]), servings: null, perServing: null, text })
      return is(row, 'count')
    }
    if (/^step \d{1,2}\W*$/i.test(text)) {
      mode = 'method'
      explicitMethod = true
      section = null
      return is(row, 'heading')
    }

    if (/^(?:for|makes|serves)\s+\d/i.test(text) && text.length < 40 && mode !== 'method') {
      const found = readYields(text)
      if (found && !/\p{L}{2}/u.test(found.rest)) return void count(row, text)
    }
    const next = looksLike(rows[index + 1], foods)
    const several = mode === 'method' ? [text] : sentencesOf(text)
    if (
      several.length > 1 &&
      several
        .slice(1)
        .some((sentence) => readHeading(sentence, { foods, next: null })?.rest || inlineList(sentence, foods))
    ) {
      for (const sentence of several) readSentence(row, sentence)
      return
    }
    // "Filling: ... . Brush with ...": the heading's list ends with its sentence.
    if (several.length > 1 && readHeading(several[0]!, { foods, next: null })?.rest) {
      for (const sentence of several) readSentence(row, sentence)
      return
    }
    const first = !out.title && mode === 'start' && out.sections.length === 0
    const heading =
      first && !/:\s*-?$/.test(text)
        ? usualHeading(row, next, foods)
        : readHeading(text, {
            ...row,
            // "Wrappers" in front of a list with bullets, and itself without one.
            marked: row.marked || (!row.bullet && next === 'amount' && rows[index + 1]!.bullet),
            next,
            foods,
          })
    if (heading && mode === 'method' && !['method', 'remarks', 'noise'].includes(heading.kind)) {
      // Inside the method a part's name leads its steps, unless lines with amounts follow.
      const lines = heading.rest
        ? inlineList(heading.rest, foods)
        : next === 'amount' && !isStep(rows[index + 1]!.text, foods)
      if (!lines && !(heading.kind === 'ingredients')) {
        emptyHeading()
        under = heading.name
        if (heading.rest) return step(row, text)
        return is(row, 'heading')
      }
    }
    // "Egg wash" with nothing below it is what to brush with, not a heading.
    if (
      heading &&
      heading.kind === 'finish' &&
      !heading.rest &&
      next !== 'amount' &&
      (matchFood(text, foods)?.how === 'exact' || /^(?:\p{L}+ ){1,2}wash$/iu.test(text))
    )
      return item(row, text)
    if (heading) return enter(row, heading)
    if (first) {
      const listAt = titleEnd(text)
      if (listAt !== null) {
        if (listAt < text.length) {
          out.title = text.slice(0, listAt).replace(/[\s,.:;–-]+$/, '')
          is(row, 'title')
          for (const sentence of sentencesOf(text.slice(listAt).replace(/^[\s,.:;–-]+/, '')))
            readSentence(row, sentence)
          return
        }
        const yields = titleYields(text)
        if (yields)
          out.counts.push({
            pieces: yields.pieces,
            servings: yields.servings,
            perServing: yields.perServing,
            text,
          })
        out.title = (yields ? withoutYields(text) : text)
          .replace(/^(?:title|recipe)\s*:\s*/i, '')
          .replace(/\s*[:–-]+$/, '')
        out.became.set(row.at, 'title')
        return
      }
    }
    if (mode === 'method') {
      count(row, text)
      return step(row, text)
    }
    if (mode === 'noise') return is(row, 'left-out')
    if (mode === 'remarks') return remark(row, text)
    const counted = /^\d{1,2}\s+(\p{Lu}.*)$/u.exec(text)?.[1]
    if (counted && startsLikeStep(counted) && counted.split(' ').length > 2) return step(row, counted)
    // "4. Eat warm" after three numbered steps is the fourth, whatever it says.
    const goesOn = numbering.run > 1 && row.number === numbering.last + 1
    if (row.number !== null && !STARTS_WITH_AMOUNT.test(text) && (goesOn || isStep(text, foods))) {
      count(row, text)
      return step(row, text)
    }
    if (out.sections.length === 0 && !explicitMethod && isProse(text, foods)) {
      const found = count(row, text)
      return found?.whole && !/\p{L}{2}/u.test(found.rest) ? undefined : remark(row, text)
    }
    const sentences = sentencesOf(text)
    if (sentences.length === 1) return readSentence(row, text)
    const steps = sentences.map((sentence) => isStep(sentence, foods))
    if (steps.every(Boolean) || (steps[0] && !sentences.some((sentence) => inlineList(sentence, foods)))) {
      for (const sentence of sentences) count(row, sentence)
      return step(row, text)
    }
    for (const sentence of sentences) readSentence(row, sentence)
  })

  /** The first sentence of a recipe told in one breath, when it is what the dish is called. */
  function titleSentence(text: string): string | null {
    if (out.title || mode !== 'start' || out.sections.length || text.length > 20_000) return null
    const sentences = sentencesOf(text)
    const [lead] = sentences
    if (sentences.length < 2 || !lead || lead.length > 80 || wordsOf(lead) > 10) return null
    const plain =
      !isStep(lead, foods) &&
      !inlineList(lead, foods) &&
      !readHeading(lead, { foods }) &&
      !readYields(lead)?.whole
    return plain && titleEnd(lead) === lead.length && !/^(?:note|tip|serves|makes)\b/i.test(lead)
      ? lead
      : null
  }

  function readSentence(row: Row, sentence: string) {
    // "… half a teaspoon of salt rub together till it is like crumbs": what is done follows without a mark.
    const done = DONE_WITH_IT.exec(sentence)
    if (done && mode !== 'method' && inlineList(sentence.slice(0, done.index), foods)) {
      readSentence(row, sentence.slice(0, done.index))
      return step(row, sentence.slice(done.index).trim())
    }
    // "Filling four potatoes, half a cup of peas": speech has no colon.
    const part = SPOKEN_PART.exec(sentence)
    if (part && mode !== 'method' && STARTS_WITH_AMOUNT.test(part[2]!) && inlineList(part[2]!, foods))
      return readSentence(row, `${part[1]!}: ${part[2]!}`)
    const heading = readHeading(sentence, { foods, next: null })
    // "Pierogi: dough 300 g flour, …": what the dish is called, and its parts behind it.
    if (heading?.kind === 'unknown' && heading.rest && !out.title && mode === 'start') {
      out.title = heading.name
      return readSentence(row, heading.rest)
    }
    if (heading && heading.rest) {
      // "The filling is 500 g mushrooms fried in butter" says what and how at once.
      if (
        /\b(?:fried|cooked|saut[eé]ed|simmered|boiled|roasted|stirred)\s+(?:in|with|until|till|for)\b/i.test(
          heading.rest,
        )
      )
        step(row, sentence)
      return enter(row, heading)
    }
    if (heading && !startsLikeStep(sentence) && heading.kind !== 'unknown') return enter(row, heading)
    readText(row, sentence)
  }
  emptyHeading()
  // "Hand pies - 10 servings" below a table: what is counted is named, and nothing else has named the dish.
  if (!out.title) {
    const named = out.counts.map(
      ({ text }) => /^(.{3,60}?)\s*[-–—:|(,]\s*(?=.*\d)/u.exec(text)?.[1]?.trim() ?? '',
    )
    out.title = named.find((name) => PIECE_NAME.test(name) && !/\d|makes|serves|yield/i.test(name)) ?? ''
  }
  return out
}

const PIECE_NAME = new RegExp(String.raw`\b${PIECES}$`, 'iu')
const matchedIngredient = (text: string, foods: Foods) =>
  STARTS_WITH_AMOUNT.test(text) && matchFood(readLine(text).name, foods)?.how === 'exact'

/** Whether a text lists ingredients with amounts: "250 g mushrooms, 2 tbsp soy sauce". */
function inlineList(text: string, foods: Foods): boolean {
  if (text.length > MAX_ROW_CHARACTERS) return false
  const bare = text.replace(/^[^:]{2,40}:\s*/, '')
  if (startsLikeStep(bare)) return false
  const parts = bare.split(/,|;|\s\/\s/)
  const amounts = parts.filter((part) => STARTS_WITH_AMOUNT.test(part.trim()) && !isHeatOrTime(part.trim()))
  return (
    amounts.length >= 2 ||
    (amounts.length === 1 &&
      STARTS_WITH_AMOUNT.test(bare) &&
      matchFood(readLine(parts[0]!).name, foods) !== null)
  )
}

/** A few words of introduction above the ingredients. */
function isProse(text: string, foods: Foods): boolean {
  if (STARTS_WITH_AMOUNT.test(text)) return false
  if (inlineList(text, foods)) return false
  const words = wordsOf(text)
  const read = readLine(text)
  if (read.measures.some((measure) => measure.some((term) => term.unitId)) || read.unmeasured) return false
  if (matchFood(read.name, foods)?.how === 'exact') return false
  return words >= 5 && !VERB.test(text) && (words >= 9 || /[.!,]/.test(text) || !matchFood(read.name, foods))
}

/** A first line such as "Dough" or "Ingredients" is a heading although no title has been seen. */
function usualHeading(row: Row, next: 'amount' | 'step' | 'other' | null, foods: Foods): Heading | null {
  const heading = readHeading(row.text, { ...row, next, foods })
  if (!heading) return null
  if (heading.rest && heading.kind !== 'unknown') return heading
  return /^(?:for |the )*(?:dough|pastry|filling|ingredients|stuffing|wrappers?|outer|crust|base|method|you(?:'ll| will)? need)\b/i.test(
    heading.name,
  ) && heading.name.split(' ').length <= 3
    ? heading
    : null
}

/**
 * Where a title ends: at the end of the line, or before the first ingredient of a recipe written on one line.
 * Null when the line is no title at all.
 */
function titleEnd(text: string): number | null {
  if (/^(?:title|recipe)\s*:/i.test(text)) return text.length
  const cut = /[.,;:]\s+(?=(?:about )?(?:\d|[¼½¾⅓⅔⅛])[\d./ ]*\s*(?:\p{L}|%|"))/u.exec(text)
  const read = readLine(text)
  const leading = STARTS_WITH_AMOUNT.test(text) && read.measures.length > 0
  if (
    cut &&
    cut.index > 3 &&
    !leading &&
    cut.index < 90 &&
    readYields(text.slice(cut.index + 1, cut.index + 40))?.whole !== true
  )
    return cut.index
  if (text.length > 120) return null
  const amount = !readYields(text) && read.measures.some((measure) => measure.some((term) => term.unitId))
  if (amount) return null
  if (leading && wordsOf(text) <= 4 && !/^(?:two|three|four|five)\b/i.test(text)) return null
  return text.length
}
