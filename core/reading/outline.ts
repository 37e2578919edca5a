import { foodIs } from '../food/groups'
import { isLiquid, isPassed } from './drafts'
import type { Foods } from '../food/food'
import { readHeading, startsLikeStep, type Heading } from './headings'
import { matchFood } from './match'
import { boastOf, isAboutKeeping, saysNothing, timeOfWhole, type TimeOfWhole } from './page'
import { readLine } from './readLine'
import {
  doneBehind,
  inlineList,
  isProse,
  isStep,
  looksLike,
  matchedIngredient,
  spokenPart,
  STARTS_WITH_AMOUNT,
  titleEnd,
  usualHeading,
  wordsOf,
} from './rows'
import { FOR_ALL, splitLine } from './splitLine'
import { MAX_ROW_CHARACTERS, sentencesOf, type Row } from './tidy'
import { isHeatOrTime } from './time'
import { PIECES, readYields, titleYields, withoutYields } from './servings'

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
  times: { kind: NonNullable<TimeOfWhole['kind']>; minutes: number; text: string }[]
  became: Map<number, Became>
}

const COUNT_IN_FRONT = /^\W*(?:\d{1,3}\s*(?:x\s+)?|(?:a|one|two|half a) dozen\s+)/i

/** "Pizza pockets, 31 g protein each": a title may boast of what the dish holds. */
const MACROS_BEHIND = /\s*[:(–—-]\s*(?:macros?|each|per (?:piece|serving|\p{L}+))\b[^:]*\d.*$/iu
const FIGURES_BEHIND = /\s*[-–—,;(|]\s*\d+\s*(?:g (?:of )?(?:protein|fat|carbs?|fib(?:re|er))|k?cals?)\b.*$/i

const METHOD_WORDS =
  /^(?:the )?(?:cooking |baking )?(?:method|instructions?|directions?|steps?|procedure|preparation(?: method)?|how to(?: (?:make|do|cook) (?:it|them))?|making (?:it|them)|what to do)$/i
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
  /** "Shortcrust: 500 g flour, 250 g lard, water" is whole on its row: beef on the next is not of it. */
  const isBehindDough = (row: Row, text: string): boolean => {
    if (section?.heading?.kind !== 'shell' || !section.items.length) return false
    // Under a heading of its own line a blank one has to part them.
    const { rest } = section.heading
    if (!rest && !row.blankBefore) return false
    const lines = rest ? splitLine(rest, foods).length + section.items.length - 1 : section.items.length
    if (lines < 3) return false
    if (section.items[0]!.at === row.at) return false
    const food = matchFood(readLine(text).name, foods)?.food
    return food !== undefined && !foodIs(food, 'of-dough') && !isPassed(food) && !isLiquid(food)
  }
  const item = (row: Row, text: string) => {
    if (isBehindDough(row, text)) section = null
    section ??= open(null)
    section.items.push({ text: text.replace(/\s*;$/, ''), at: row.at, blankBefore: row.blankBefore })
    is(row, 'ingredient')
    if (mode === 'start') mode = 'lines'
  }
  const remark = (row: Row, text: string) => {
    out.remarks.push({ text, at: row.at })
    is(row, 'remark')
  }
  const enter = (row: Row, heading: Heading) => {
    // "Pan: 1 T oil, flat side down 2 min, 80 ml water, lid on, 7 min" is work, whatever it lists.
    if (heading.kind === 'pan' && heading.rest.split(/,\s+/).some((one) => /\d\s*min/i.test(one))) {
      mode = 'method'
      return step(row, `${heading.name}: ${heading.rest}`)
    }
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
      if (heading.pieces) count(row, `makes ${heading.pieces}`)
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
    const served = SERVED_WITH.exec(text)
    if (
      served &&
      mode !== 'method' &&
      mode !== 'start' &&
      wordsOf(text) <= 9 &&
      !startsLikeStep(served[1]!)
    ) {
      const before: Section | null = section
      section = open({ kind: 'dip', name: 'To serve', rest: '', pieces: null })
      item(row, served[1]!.replace(/\.$/, ''))
      section = before
      return
    }
    // "… Proof 20 min. Yolk + milk.": behind the work of a row it is what is brushed on.
    if (mode !== 'method' && WASH_ALONE.test(text) && out.steps.at(-1)?.at === row.at) {
      const before: Section | null = section
      section = open({ kind: 'finish', name: 'To finish', rest: '', pieces: null })
      item(row, text.replace(/\.$/, ''))
      section = before
      return
    }
    if (AFTERTHOUGHT.test(text)) return remark(row, text)
    const found = readYields(text)
    // "1 packet filo (270 g)" is bought, "12 buns" are made.
    const bought =
      /^\W*\d/.test(text) &&
      !/^\W*\d+\s+(?:servings?|portions?|people)/i.test(text) &&
      matchFood(readLine(text).name, foods)?.how === 'exact'
    if (found?.whole && !bought) {
      count(row, text)
      // "12 pork buns" above everything is what the recipe is called.
      const named = text.replace(COUNT_IN_FRONT, '')
      if (named !== text && mode === 'start' && !out.title && !out.sections.length && wordsOf(named) >= 2)
        out.title = named.charAt(0).toUpperCase() + named.slice(1)
      if (/\p{L}{2}/u.test(found.rest)) {
        if (wordsOf(found.rest) > 2 && isStep(found.rest, foods)) step(row, text)
        else remark(row, text)
      }
      return
    }
    if (isAboutKeeping(text) || /^(?:no|without) \p{L}+(?: \p{L}+)?\W*$/iu.test(text))
      return remark(row, text)
    // "36 pcs, 7 cm, 14 g dough + 11 g filling each".
    const each = /^\W*(\d{1,3})\s*(?:pcs|pieces|nos)\b.*\b(?:dough|filling|each)\b/i.exec(text)
    if (each) {
      out.counts.push({ pieces: Number(each[1]), servings: null, perServing: null, text })
      return step(row, text)
    }
    if (saysNothing(text).nutrition === 'line' && !matchedIngredient(text, foods)) return is(row, 'left-out')
    // "I take 3 glasses of flour, half a glass of oil": told, and a list all the same.
    if (bare !== text && mode !== 'method' && /^(?:i|we|you)\b/i.test(text) && inlineList(bare, foods))
      return item(row, bare)
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

  /** "Sugar 40g" between "Cake flour 50g" and "Yeast 4g" goes into the bowl. */
  const amongLines = (row: Row, index: number): boolean =>
    mode === 'lines' &&
    rows[index - 1] !== undefined &&
    out.became.get(rows[index - 1]!.at) === 'ingredient' &&
    /\d/.test(rows[index - 1]!.text) &&
    matchFood(readLine(row.text).name, foods)?.how === 'exact'
  rows.forEach((row, index) => {
    let { text } = row
    // "plus 6 boiled eggs cut in halves" goes on with the list.
    const more =
      mode === 'lines' ? /^(?:plus|and|also|and also|along with|as well as)\s+(.*)$/i.exec(text)?.[1] : null
    if (more && matchedIngredient(more, foods)) return item(row, more)
    const boast = !out.title && mode === 'start' && !out.sections.length ? boastOf(text) : null
    if (boast) {
      out.title = boast
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
      !matchedIngredient(text, foods) &&
      !amongLines(row, index)
    )
      return is(row, 'left-out')
    if (nutrition === 'start') return is(row, 'left-out')
    const whole = timeOfWhole(text)
    if (whole?.isTold && out.sections.some((one) => one.items.length)) return step(row, text)
    if (whole && (mode !== 'method' || /^\W*(?:prep\w*|total|cook(?:ing)?)(?: time)?\s*:/i.test(text))) {
      if (whole.kind) out.times.push({ kind: whole.kind, minutes: whole.minutes, text })
      return is(row, 'left-out')
    }
    // "40 min" by itself above the work is how long all of it takes.
    const alone = /^\W*(\d{1,3})\s*min\w*\W*$/i.exec(text)
    if (alone && mode !== 'method' && !out.steps.length && !out.sections.some(({ items }) => items.length)) {
      out.times.push({ kind: 'total', minutes: Number(alone[1]), text })
      return is(row, 'left-out')
    }
    if (/^[([].*[)\]]$/.test(text) && text.length < 60 && mode !== 'method' && readYields(text))
      return void count(row, text)
    if (/^\W*(?:about |approx\.? |around |makes )?\d{1,3}\W*$/i.test(text) && mode === 'start' && out.title) {
      out.counts.push({ pieces: Number(/\d+/.exec(text)![0]), servings: null, perServing: null, text })
      return is(row, 'count')
    }
    // "Cheese turnovers | 4 large": how many, behind the name.
    const sized =
      /^\W*(?:about )?(\d{1,3}) (?:(?:extra )?(?:large|small|medium|big|mini|little)|nos?\.?)(?: ones)?\W*$/i.exec(
        text,
      )
    if (sized && mode === 'start' && out.title && !out.sections.length) {
      out.counts.push({ pieces: Number(sized[1]), servings: null, perServing: null, text })
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
            marked:
              row.marked ||
              (!row.bullet && next === 'amount' && rows[index + 1]!.bullet && !STARTS_WITH_AMOUNT.test(text)),
            next,
            foods,
          })
    if (heading && mode === 'method' && !['method', 'remarks', 'noise'].includes(heading.kind)) {
      // Inside the method a part's name leads its steps, unless lines with amounts follow.
      // A numbered step is a step, whatever it lists.
      const isNumbered = explicitMethod && row.number !== null
      const lines = isNumbered
        ? false
        : heading.rest
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
      const boasts =
        FIGURES_BEHIND.exec(text) ??
        (/\b(?:k?cals?|protein|carbs?)\b/i.test(text) ? MACROS_BEHIND.exec(text) : null)
      if (boasts && boasts.index > 3) {
        remark(row, boasts[0].replace(/^\W+/, ''))
        text = text.slice(0, boasts.index)
      }
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
      // "Makes 8 parathas" below the steps is a count and no work.
      const found = count(row, text)
      if (found?.whole && !/\p{L}{2}/u.test(found.rest) && row.number === null) return
      return step(row, text)
    }
    if (mode === 'noise') return is(row, 'left-out')
    if (mode === 'remarks') return remark(row, text)
    // Below a step, with no blank line between and no amount, the work goes on whatever the words are.
    if (
      !row.blankBefore &&
      !STARTS_WITH_AMOUNT.test(text) &&
      section !== null &&
      !readYields(text)?.whole &&
      rows[index - 1] !== undefined &&
      out.became.get(rows[index - 1]!.at) === 'step' &&
      !inlineList(text, foods)
    ) {
      count(row, text)
      return step(row, text)
    }
    const counted = /^\d{1,2}\s+(\p{Lu}.*)$/u.exec(text)?.[1]
    if (counted && startsLikeStep(counted) && counted.split(' ').length > 2) return step(row, counted)
    // "4. Eat warm" after three numbered steps is the fourth, whatever it says.
    const goesOn = numbering.run > 1 && row.number === numbering.last + 1
    if (row.number !== null && (goesOn || (!STARTS_WITH_AMOUNT.test(text) && isStep(text, foods)))) {
      count(row, text)
      return step(row, text)
    }
    if (out.sections.length === 0 && !explicitMethod && isProse(text, foods)) {
      const found = count(row, text)
      return found?.whole && !/\p{L}{2}/u.test(found.rest) ? undefined : remark(row, text)
    }
    const sentences = forAllOf(sentencesOf(text))
    if (sentences.length === 1) return readSentence(row, text)
    const steps = sentences.map((sentence) => isStep(sentence, foods))
    // "Makes 6. Rise 1h30. Bake 15 min. Butter on top.": below the lines, work in short words.
    const lists = sentences.some(
      (sentence) =>
        inlineList(sentence, foods) ||
        matchedIngredient(sentence, foods) ||
        readHeading(sentence, { foods, next: null }) !== null,
    )
    if (out.sections.length && steps.some(Boolean) && !lists) {
      const work = sentences.filter((sentence) => {
        const found = count(row, sentence)
        return !(found?.whole && !/\p{L}{2}/u.test(found.rest))
      })
      return step(row, work.join(' '))
    }
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
    // "Pasties? no, turnovers": a short row without a list is a name, whatever its marks.
    if (
      text.length < 70 &&
      wordsOf(text) <= 10 &&
      !/[.;]/.test(text.replace(/[.;]\s*$/, '')) &&
      /[?!]/.test(text) &&
      sentences.every((one) => !isStep(one, foods) && !inlineList(one, foods) && !readYields(one))
    )
      return null
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
    const behind = mode === 'method' ? null : doneBehind(sentence, foods)
    if (behind) {
      readSentence(row, behind.list)
      return step(row, behind.done)
    }
    const whole = mode === 'method' ? null : timeOfWhole(sentence)
    if (whole && !whole.isTold) {
      if (whole.kind) out.times.push({ kind: whole.kind, minutes: whole.minutes, text: sentence })
      return is(row, 'left-out')
    }
    // "I use my usual pizza dough (500g tipo 00, 325g water, 24h in the fridge)".
    const bracketed = mode === 'method' ? null : NAMED_LIST.exec(sentence)
    if (bracketed && inlineList(bracketed[2]!, foods)) {
      const list = bracketed[2]!.split(/,\s+/)
      count(row, sentence)
      enter(row, {
        kind: /filling|stuffing/i.test(bracketed[1]!) ? 'filling' : 'shell',
        name: bracketed[1]!,
        rest: list.filter((piece) => !isHeatOrTime(piece)).join(', '),
        pieces: null,
      })
      section = null
      return step(row, sentence)
    }
    const spoken = mode === 'method' ? null : spokenPart(sentence, foods)
    if (spoken) return readSentence(row, spoken)
    // "Paneer parcels: for the dough 2 cups atta …".
    const leads =
      !out.title && mode === 'start'
        ? /^([^:.\d]{3,50}):\s+((?:for|the) (?:the )?(?:dough|pastry|filling)\b.+)$/iu.exec(sentence)
        : null
    if (leads) {
      out.title = leads[1]!
      return readSentence(row, leads[2]!)
    }
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
  // "Fish turnovers. Makes 6. Poach the fish …" below a table: the first words of the work are its name.
  const first = out.steps[0] && sentencesOf(out.steps[0].text)[0]!.replace(/[.:]$/, '')
  const spoken = SPOKEN_TITLE.exec(rows[0]?.text.slice(0, 120) ?? '')?.[1]
  if (!out.title && spoken) out.title = spoken.charAt(0).toUpperCase() + spoken.slice(1)
  if (!out.title && first && wordsOf(first) <= 7 && PIECE_NAME.test(first) && !isStep(first, foods))
    out.title = first
  // "Hand pies - 10 servings" below a table: what is counted is named, and nothing else has named the dish.
  if (!out.title) {
    const named = out.counts.map(
      ({ text }) => /^(.{3,60}?)\s*[-–—:|(,]\s*(?=.*\d)/u.exec(text)?.[1]?.trim() ?? '',
    )
    out.title = named.find((name) => PIECE_NAME.test(name) && !/\d|makes|serves|yield/i.test(name)) ?? ''
  }
  return out
}

/** "1 yolk + 1 tbsp milk; nigella seeds to finish": what a row says last that it is for holds for all of it. */
function forAllOf(sentences: readonly string[]): readonly string[] {
  const purpose = sentences.length > 1 ? FOR_ALL.exec(sentences.at(-1)!.replace(/[.;]$/, ''))?.[1] : undefined
  if (
    !purpose ||
    !sentences.slice(0, -1).every((one) => one.endsWith(';') && !FOR_ALL.test(one.slice(0, -1)))
  )
    return sentences
  return sentences.map((one, at) =>
    at < sentences.length - 1 ? `${one.replace(/;$/, '')}, ${purpose}` : one,
  )
}

/** A part named in a sentence, with its list behind it in brackets. */
const NAMED_LIST = /\b((?:pizza |bread |bun )?(?:dough|pastry|filling|stuffing))\s*\(([^()]{12,200})\)/i
/** "Serve with soured cream" in a list is what stands beside the dish. */
const SERVED_WITH = /^(?:serve|serving|eat)(?: (?:it|them|hot|warm|cold))* with (.+)$/i
/** Nothing but what a wash is of. */
const WASH_ALONE =
  /^(?:beaten )?(?:egg|yolk|egg yolk|milk)(?:\s*(?:\+|and|&|,)\s*(?:\d \p{L}+ )?(?:milk|cream|water|salt|sugar|oil|seeds|sesame|yolk))*\.?$/iu
/** What a cook says between the lines and what buys nothing. */
const AFTERTHOUGHT =
  /^(?:that'?s (?:it|all)|that is all|easy|done|so good|yum(?:my)?|enjoy|you can'?t go wrong|nothing else|as simple as that)\W*$/i

/** "So for the empanadas i do three cups of flour …": what is made, said in passing. */
const SPOKEN_TITLE =
  /^(?:(?:so|okay|ok|right|well|and|now|um|hi|this is how i make|how i make|when i make),?\s+)*(?:for|to make|making) (?:the |my |these |our |some )?(?!dough\b|filling\b|pastry\b|(?:\p{L}+ )?(?:dough|filling|pastry)\b)(\p{L}+(?: \p{L}+){0,3}?)\s+(?:i|you|we)\b/iu
const PIECE_NAME = new RegExp(String.raw`\b${PIECES}$`, 'iu')
