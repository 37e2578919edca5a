import { countBeforeDough, countBehindList, dipInRow } from './dipInRow'
import { kindOf } from './headingKinds'
import { isMacros } from './nutritionRow'
import { withPastTold } from './pastTold'
import { pastedLines } from './pasted'
import { remember } from './remember'
import { oneBelowTheOther } from './sideBySide'
import { startsLikeStep } from './stepWords'
import { UNIT_PATTERN } from './units'

/** One row of a pasted text, cleaned of marks that carry no words. */
export interface Row {
  /** Which line of the text it stands on, from 0. Several rows may come from one line. */
  at: number
  text: string
  /** An empty line, or a rule, stood above it. */
  blankBefore: boolean
  bullet: boolean
  /** The number it was given ("3." or "Step 3"), or null. */
  number: number | null
  /** Marked as a heading: "## Dough", "**Dough**", "== Dough ==". */
  marked: boolean
  /** "02:10 folding": where in a film something is shown, and no word of the dish. */
  chapter?: true
  /** How it was said, where it is told afterwards and `text` tells it as work. */
  said?: string
}

/** A longer row is never searched for amounts as a whole: it is taken apart into sentences first. */
export const MAX_ROW_CHARACTERS = 500

const BULLET = /^(?:[-→»›❯▸▹▶*•·–—▢☐□◦‣✓✔➤►▪●○>+]|\[[ xX]?\])\s*(?=\S)/u
const NUMBERED = /^(?:step\s*)?\(?(\d{1,2})\s*(?:\.-|[.):]|\s-)\s+(?=[a-zß-öø-ɏ])/i
/** What numbers the parts of a recipe, in figures or letters. */
const PART_NUMBER = /^(?:part\s*(?:\d|[a-d]|one|two|three|four)\s*[-–—.):]+|[A-D][.)])\s+(?=[a-zß-öø-ɏ]{2})/i
const STEP_WORD = /^step\s*(\d{1,2})\s*[-.):]?\s*(?=\S)/i

/** "Prep 30 min | Cook 25 min": a row of figures, and no table. */
const HEAD_LINE = /^\W*(?:prep|cook|total|time|serves|servings|makes|yields?|level|difficulty|calories)\b/i

const HEAD_LABEL =
  /^(?:prep(?:aration)?|cook(?:ing)?|total|active|serves|servings?|makes|yields?|portions)(?: time)?$/i

/** "Onion kachori | Crisp tea-time snack | Makes 12": what it is called first, with what counts; the rest is kept as a note. */
function titleOfStrokes(line: string): string[] {
  const [name = '', ...cells] = line.split(/\s*\|\s*/).filter(Boolean)
  const says = (cell: string) => /\d|\b(?:serves|makes|dozen)\b/i.test(cell)
  const [count, ...more] = cells.filter(says)
  const talk = cells.filter((cell) => !says(cell))
  return [count ? `${name} – ${count}` : name, ...more, ...(talk.length ? [`Note: ${talk.join(', ')}`] : [])]
}

const STARTS_WITH_AMOUNT =
  /^(?:(?:scant|heaped|generous|about|level) )?(?:[\d¼½¾⅓⅔⅛~]|an? |half |one |two |three |pinch|to taste|as (?:required|needed))/i

const AMOUNT_ALONE = new RegExp(String.raw`^(?:about |~)?[\d¼½¾⅓⅔⅛./ –-]+\s*(?:${UNIT_PATTERN})?\.?$`, 'i')

/** "Sauce: 200 g passata": the name of a list and its first line. */
const LEADS_AMOUNT = /^[a-zß-öø-ɏ][^:\d]{1,30}:\s*(?:[\d¼½¾⅓⅔⅛~]|an? |half |pinch )\S*\s*[a-zß-öø-ɏ]/i

/** A line with more numbers in it is no list of steps. Our own choice. */
const MOST_STEPS_OF_LINE = 30
const LEAST_STEPS_OF_LINE = 3
/** "1) Mix the dough. 2) Fry the onion. 3) Bake": steps on one line, each with its number, are a row each. */
function stepsOfLine(line: string): string[] {
  const first =
    /^\W*(?:(?:the )?(?:method|steps|directions|instructions|how to|preparation)\s*[:–-]\s*)?(?=1[).] ?[a-zß-öø-ɏ])/i.exec(
      line,
    )
  if (!first) return [line]
  const starts = [first[0].length]
  while (starts.length < MOST_STEPS_OF_LINE) {
    const next = new RegExp(String.raw`[\s.;,!)](?=${starts.length + 1}[).] ?(?:\p{L}|\d{2,3}\s?°))`, 'u')
    const from = starts.at(-1)! + 2
    const found = next.exec(line.slice(from))
    if (!found) break
    starts.push(from + found.index + 1)
  }
  if (starts.length < LEAST_STEPS_OF_LINE) return [line]
  const lead = line.slice(0, starts[0])
  const steps = starts.map((start, at) =>
    line
      .slice(start, starts[at + 1])
      .replace(/^(\d{1,2}[).])(?=\p{L})/u, '$1 ')
      .trim(),
  )
  return /\p{L}/u.test(lead) ? [lead, ...steps] : steps
}

/** "Plain flour | 500 g | 4 cups" is one ingredient; "Prep 30 min | Serves 4" are two remarks. */
function rowsOfTable(line: string, table: { gramsColumn: number; isAlone: boolean }): string[] {
  const cells = line
    .replace(/^\s*\||\|\s*$/g, '')
    .split(/\s*[|\t]\s*/)
    .map((cell) => cell.trim())
  const filled = cells.filter((cell) => cell && !/^:?-{2,}:?$/.test(cell))
  if (!filled.length) return []
  if (/^(?:ingredients?|items?|name|amounts?|quantity|qty)$/i.test(filled[0]!)) {
    table.gramsColumn = cells.findIndex((cell) => /^(?:g|grams?|weight \(g\)|metric \(g\))$/i.test(cell))
    return []
  }
  if (filled.length < 2) return filled
  const named = cells
    .map((cell, at) => (at === table.gramsColumn && /^\d+(?:[.,]\d+)?$/.test(cell) ? `${cell} g` : cell))
    .filter((cell) => cell && !/^:?-{2,}:?$/.test(cell))
  const amounts = named.filter((cell) => STARTS_WITH_AMOUNT.test(cell))
  const [first, second] = named
  // "Dough | 2 cups flour, 1 tsp salt" and "Pastry: 375 g flour | 190 g butter" are lists behind a name.
  if (
    /:/.test(first!) &&
    (amounts.length === named.length - 1 || (LEADS_AMOUNT.test(first!) && !HEAD_LINE.test(first!)))
  )
    return [named.join(', ')]
  if (
    named.length === 2 &&
    !STARTS_WITH_AMOUNT.test(first!) &&
    /,/.test(second!) &&
    STARTS_WITH_AMOUNT.test(second!)
  )
    return [`${first}: ${second}`]
  // "Yield | 6 kulchas", "Prep | 25 min + 2 h rest": a label and what it says.
  if (named.length === 2 && HEAD_LABEL.test(first!)) return [named.join(': ')]
  // "16 units | 40 min", and a list with a word behind it, are rows of their own.
  if (
    named.some((cell) => /^\d{1,3}\s*(?:min\w*|h\w*)$/i.test(cell)) ||
    (/,/.test(first!) && STARTS_WITH_AMOUNT.test(first!) && !STARTS_WITH_AMOUNT.test(second!))
  )
    return named
  const counts = named.slice(1).some((cell) => /^(?:serves|makes|yields?)\b/i.test(cell))
  if (
    amounts.length &&
    named.length <= 4 &&
    !counts &&
    !/^(?:prep(?:aration)?|cook(?:ing)?|total|serves|makes|yields?)\b/i.test(first!)
  ) {
    // "24 wrappers | cooking spray" where no other row has a stroke: two of a list.
    if (
      table.isAlone &&
      named.length === amounts.length + 1 &&
      STARTS_WITH_AMOUNT.test(first!) &&
      !AMOUNT_ALONE.test(first!)
    )
      return named
    // Amount first: "500 g | plain flour", or "500 | g | flour".
    if (STARTS_WITH_AMOUNT.test(first!)) return [named.join(' ')]
    // "Ham, diced | 1 1/2 cups | 200 g": what else it measures stands with its amount.
    const [again, more] = [true, false].map((isAmount) =>
      named.slice(2).filter((cell) => STARTS_WITH_AMOUNT.test(cell) === isAmount),
    )
    const amount = [second, ...again!.map((cell) => `(${cell})`)].join(' ')
    return [[`${amount} ${first}`, ...more!].join(', ')]
  }
  return named
}

/** What stands in a cell without its marks, and which marks those were. */
const unmarked = remember((cell: string) => {
  let own = cell.trim().replace(/\s+/g, ' ')
  let marked = false
  let bullet = false
  if (/^>+ /.test(own)) own = own.replace(/^[> ]+/, '')
  if (/^#{1,6}\s/.test(own)) {
    marked = true
    own = own.replace(/^#{1,6}\s+/, '').replace(/\s*#+$/, '')
  }
  // "*Dough*" and "_Dip_: 3 tomatoes": what stands between single marks.
  const leant = /^([*_])([^*_\s][^*_]{0,60})\1(?=\s*:|\s*$)/.exec(own)
  if (leant) {
    own = leant[2]! + own.slice(leant[0].length)
    marked = /^[^:]*:?\s*$/.test(own)
  }
  // "~ Dough ~", "Part 1: Dough", "B) Filling".
  const waved = /^~\s*(\p{L}[^~]{1,40}?)\s*~$/u.exec(own)
  if (waved) {
    marked = true
    own = waved[1]!
  }
  own = own.replace(PART_NUMBER, '')
  for (let match = BULLET.exec(own); match && !/^[-+]\d/.test(own); match = BULLET.exec(own)) {
    // "**Dough**" is a heading, not a line behind a star.
    if (/^\*\*/.test(own)) break
    bullet = true
    own = own.slice(match[0].length)
  }
  const bold = /^(?:\*\*|__)([^*_]{1,80})(?:\*\*|__)(\s*:?)$/.exec(own)
  if (bold) {
    marked = true
    own = `${bold[1]}${bold[2]}`
  }
  // "[Dough]", "[ HOW TO MAKE ]": what stands between brackets by itself.
  const bracketed = /^\[\s*(\p{L}[^[\]]{1,40}?)\s*\](\s*:?)$/u.exec(own)
  if (bracketed) {
    marked = true
    own = `${bracketed[1]}${bracketed[2]}`
  }
  // "1. *Make the crust.* Pulse flour": what is set off within a line.
  own = own.replace(/(?<=^|\s)[*_](\p{L}[^*_]{1,60}?[.:]?)[*_](?=\s|$)/gu, '$1')
  own = own.replace(/\*\*|__/g, '').replace(/^[=~]{2,}\s*|\s*[=~]{2,}$/g, '')
  // "**250 g flour**" is set off, and heads nothing.
  marked &&= !STARTS_WITH_AMOUNT.test(own)
  return { own: withoutTailMarks(own), marked, bullet }
})

/** "250 g flour*", "1 egg [2]", "a pinch of salt...": marks that point elsewhere or trail off. */
const TAIL_MARKS =
  /(?:\s*(?:\*+|[¹²³⁴⁵⁶⁷⁸⁹†‡§]+|\[\d{1,2}\]|\((?:see )?(?:foot)?notes?(?: \d{1,2})?(?: below)?\)|[-–] see (?:foot)?notes?(?: \d)?(?: below)?|\.{2,}|…))+$/i
/** "1 cauliflower (£1.20)": what it cost. */
const TAIL_PRICE =
  /\s*\((?:about |~)?(?:[£$€₹]\s?\d{1,3}(?:[.,]\d{1,2})?|\d{1,3}(?:[.,]\d{1,2})?\s?(?:€|p|Rs\.?))\)$/i
/** "2 tbsp oil (240 kcal)": what a line of a list has; "1 serving (310 kcal)" says it of the whole. */
const TAIL_ENERGY = /\s*(?:\(|[-–—]\s+)(?:about |~)?\d{1,4}(?:\.\d)? ?(?:k?cals?|calories|kj)\)?$/i
const BRACKETED_ENERGY = /(?<=[a-zß-öø-ɏ])\s*\((?:about |~)?\d{1,4} ?(?:k?cals?|calories|kj)\)$/i
const OF_THE_WHOLE = /\b(?:serv[a-zß-öø-ɏ]*|portions?|per|each|pieces?|total|pcs)\b/i
const withoutTailMarks = (text: string): string => {
  const plain = text.replace(TAIL_MARKS, '').replace(TAIL_PRICE, '')
  if (OF_THE_WHOLE.test(plain) || !/\d/.test(plain)) return plain
  return plain.replace(STARTS_WITH_AMOUNT.test(plain) ? TAIL_ENERGY : BRACKETED_ENERGY, '')
}

/** What a list goes over to within a row. */
const PARTS: ReadonlySet<string> = new Set(['shell', 'filling', 'finish', 'dip', 'pan'])
const SHORT_TIMES =
  /\b((?:knead|rest|chill|rise|prove|proof|fry|bake|boil|steam|simmer|cook)(?:s|ed|ing)? (?:for )?\d{1,2}) ?(m|h)(?=\s*(?:$|[,.;]))/gi
const withUnit = (_: string, work: string, unit: string): string =>
  `${work} ${/m/i.test(unit) ? 'min' : 'hour'}`
/** A label that is said in other words, in the usual ones. */
const labelled = remember((text: string) =>
  text
    // "Dip of soy, vinegar and oil", "Ingredients are: …".
    .replace(/^((?:for|to make)(?: the)? (?:pastry|dough|filling|crust|stuffing|sauce|dip))\s*;\s/i, '$1: ')
    .replace(/^(?:a |the |with a )?(dip|dipping sauce|dressing|egg ?wash) of (?=[a-zß-öø-ɏ]|\d)/i, '$1: ')
    // "Filling. 1 sweet potato, 1 can beans".
    .replace(
      /^((?:for )?(?:the )?(?:(?:pie |suet |yeast )?(?:dough|pastry|crust)|filling|stuffing|method|assembly|(?:topping|glaze|sauce|dip)(?=\. (?:\d|[¼½¾]))))\.\s+(?=\S)/i,
      '$1: ',
    )
    // "• Finish • plant milk", the first mark taken off before.
    .replace(/^(\p{L}[\p{L} ]{2,20}?)\s+[•·∙]\s+(?=\S)/u, '$1: ')
    // "Veg ... 1 courgette, 1 pepper".
    .replace(/^(\p{L}[\p{L} ]{2,20}?)\s*(?:\.{2,}|…)\s+(?=[\d¼½¾⅓⅔])/u, '$1: ')
    // "Wrappers: 2 c flour, 3/4 c water, knead 5m, rest 1h".
    .replace(/^[\p{L} ]{3,20}:\s.*$/u, (row) => row.replace(SHORT_TIMES, withUnit))
    // "Filling wise, two cups of …".
    .replace(
      /(?<=^|[.!?]\s)(?:the )?(dough|pastry|filling|sauce|topping)[- ]wise,?\s+(?=[a-zß-öø-ɏ]|\d)/gi,
      '$1: ',
    )
    // "Chicken (500 g thigh, 2 tbsp yogurt, 1 tbsp oil)": a list in brackets behind its name.
    .replace(/^(\p{L}[\p{L} ]{2,30}?)\s*\(((?:[\d¼½¾⅓⅔][^(),]*,\s*){2,}[\d¼½¾⅓⅔][^()]*)\)$/u, '$1: $2')
    // "Egg wash (1 yolk + 1 tsp water)".
    .replace(
      /^((?:egg ?)?wash|glaze|dip|dipping sauce|sauce|topping|(?:garlic|herb|chill?i|spiced|honey) (?:butter|oil))\s*\(((?:\d|[¼½¾]|an? )[^()]*(?:\+|,|&|\band\b|\bwith\b)\s*(?:\d|[¼½¾]|an? |pinch|some)[^()]*)\)(?: (?:to|for) (?:brush(?:ing)?|finish|the tops?))?$/i,
      '$1: $2',
    )
    // "…, 1 tsp salt, Filling: 300 g potato": what comes next in a row.
    .replace(/,\s+(?=([a-zß-öø-ɏ ]{3,24}):\s+\S)/gi, (comma, label: string, at: number, row: string) =>
      /\d/.test(row.slice(0, at)) && PARTS.has(kindOf(label.toLowerCase()) ?? '') ? '. ' : comma,
    )
    .replace(/^(?:the )?ingredients (?:are|required|needed)\s*[:–-]\s*/i, 'Ingredients: ')
    .trim(),
)

const TIME_STAMP =
  /^\s*(?:\[\d{1,2}:\d{2}(?::\d{2})?\]|\(\d{1,2}:\d{2}(?::\d{2})?\)|\d{1,2}:\d{2}(?::\d{2})?(?=\s))\s*[-–—]?\s*/
const LEAST_STAMPED = 2
const CHAPTER = /^(?:\p{L}[\p{L}'’&+-]*\s*){1,5}\W*$/u
/** "o 250 g flour": the round mark of a list, as it comes out of a document. */
const CIRCLE = /^\s*o\s+(?=\S)/
/** A number, a tab, and words to the end of the line. */
const TABBED = /^(\s*\d{1,2})\s*\t\s*(?=\p{L}[^\t|]*$)/u
/** So many rows that begin with a dash and a figure are a list. */
const LEAST_DASHED = 2

/**
 * Takes a pasted text apart into rows: bullets, numbering, pictures, rules and table lines are taken off and
 * remembered, words are left as they are. Linear in the length of the text.
 *
 * @param text as pasted, any line endings
 */
export function tidy(text: string): Row[] {
  const rows: Row[] = []
  let lastNumber: number | null = null
  const indents: number[] = []
  const isCounted = /^\W*1[.)]\s+\S/m.test(text) && /^\W*2[.)]\s+\S/m.test(text)
  const lines = oneBelowTheOther(pastedLines(text))
  const barred = lines.flatMap((line) =>
    /\S\s*\|\s*\S/.test(line.text.slice(0, MAX_ROW_CHARACTERS)) ? [line.text] : [],
  )
  const state = { gramsColumn: -1, isAlone: barred.length === 1 }
  // "[00:12] Take two cups of flour": when it was said, from the beginning on; "10:00 mix the dough" is a plan.
  const stamped = lines.filter(({ text: line }) => TIME_STAMP.test(line))
  const isStamped = stamped.length >= LEAST_STAMPED && /^\W*0{1,2}:/.test(stamped[0]!.text)
  // Where every one has a word or two behind it, they are what a film is cut in.
  const chapters = new Set(
    isStamped && stamped.every(({ text: line }) => CHAPTER.test(line.replace(TIME_STAMP, '')))
      ? stamped.map(({ at }) => at)
      : [],
  )
  if (isStamped) for (const line of lines) line.text = line.text.replace(TIME_STAMP, '')
  // "-150 g flour" above "-salt": a row of dashes lists, and takes nothing away.
  const isDashed = lines.filter((line) => /^\s*[-–]\d/.test(line.text)).length >= LEAST_DASHED
  // "1⇥Heat the oven" is numbered, and no row of a table.
  const tabbed = lines.flatMap(({ text: line }) => (TABBED.test(line) ? [line.replace(TABBED, '')] : []))
  const isTabbed = 2 * tabbed.filter((rest) => startsLikeStep(rest)).length > tabbed.length
  const isCircled = lines.filter((line) => CIRCLE.test(line.text)).length >= LEAST_DASHED
  for (const { at, text: typed, apart } of lines) {
    const listed = isDashed ? typed.replace(/^(\s*)[-–](?=\d)/, '$1- ') : typed
    const pointed = isCircled ? listed.replace(CIRCLE, '• ') : listed
    const raw = state.gramsColumn < 0 ? pointed.replace(TABBED, isTabbed ? '$1. ' : '$1 ') : pointed
    let blankBefore = apart
    // "LAMB PIES | 24 pieces" above a text without a table is a title.
    const isTitle =
      rows.every(({ chapter }) => chapter) &&
      barred[0] === raw &&
      barred.every((one) => one === raw || HEAD_LINE.test(one))
    const dotted = raw.length <= 4 * MAX_ROW_CHARACTERS ? raw.trim().split(/\s+[·•∙]\s+/) : []
    const table =
      dotted.length > 2 && !/\|/.test(raw)
        ? // "500 g flour · 300 g water · 7 g yeast": a list on one line.
          dotted
        : !isTitle &&
            raw.length <= MAX_ROW_CHARACTERS &&
            /\t|\S\s*\|\s*\S|^\s*\||\|\s*$/.test(raw) &&
            !isMacros(raw)
          ? rowsOfTable(raw, state)
          : isTitle
            ? titleOfStrokes(raw)
            : stepsOfLine(raw).flatMap(dipInRow).flatMap(countBeforeDough).flatMap(countBehindList)
    for (const cell of table) {
      const { marked, bullet, own: plain } = unmarked(cell)
      let own = plain
      let number: number | null = null
      // "3. 8 balls, fill": a step that begins with a number is seen by the count that goes on.
      const next = /^(\d{1,2})[.)]\s+(?=\S)/.exec(own)
      const goesOn: boolean =
        next !== null &&
        (lastNumber !== null
          ? Number(next[1]) === lastNumber + 1
          : // "1) 500 g flour" above "2) 300 g water" is the first of a list.
            next[1] === '1' && isCounted)
      const numbered: RegExpExecArray | null = goesOn ? next : (NUMBERED.exec(own) ?? STEP_WORD.exec(own))
      if (numbered && numbered[0].length < own.length) {
        number = Number(numbered[1])
        own = own.slice(numbered[0].length)
        lastNumber = number
      }
      own = labelled(own)
      if (!own) continue
      rows.push({ at, text: own, blankBefore, bullet, number, marked })
      if (chapters.has(at)) rows.at(-1)!.chapter = true
      indents.push(table.length === 1 ? indentOf(raw) : 0)
      blankBefore = false
    }
  }
  // A row that stands out over rows that are drawn in leads them: "Pickle" over its cucumber.
  rows.forEach((row, at) => {
    const leads =
      at > 0 &&
      indents[at] === 0 &&
      (indents[at + 1] ?? 0) >= 2 &&
      !row.bullet &&
      row.number === null &&
      row.text.length < 40 &&
      !STARTS_WITH_AMOUNT.test(row.text)
    if (leads) row.marked = true
  })
  // Where most rows are set off, none of them stands out.
  if (rows.filter(({ marked }) => marked).length > MOST_MARKED * rows.length)
    for (const row of rows) row.marked &&= row.text.trimEnd().endsWith(':')
  return withPastTold(numberedBare(rows))
}

const MOST_MARKED = 0.5
/** How far a line is drawn in; a tab is as good as some blanks. */
const indentOf = (raw: string): number => /^\s*/.exec(raw)![0].replace(/\t/g, '    ').length

/** Fewer than this in a row are amounts: "1 onion", "2 carrots". */
const MIN_NUMBERED = 3

/** In small letters only in front of work: "1 rub the butter in", not "1 large onion". */
const NUMBER_BARE = /^(\d{1,2}) (?=\p{L}|\d{2,3}\s*°)/u
const isLedByWork = (rest: string): boolean =>
  !/^\p{Ll}/u.test(rest) || (rest.includes(' ') && startsLikeStep(rest))

/** "1 Unroll the pastry", "2 Mix …": numbers without a mark, one after the other, before what reads as told. */
function numberedBare(rows: Row[]): Row[] {
  const bare = rows.map((row) => (row.number === null ? NUMBER_BARE.exec(row.text) : null))
  const restOf = (at: number) => rows[at]!.text.slice(bare[at]![0].length)
  for (let from = 0; from < rows.length; from++) {
    if (Number(bare[from]?.[1]) !== 1) continue
    let end = from
    while (bare[end] && Number(bare[end]![1]) === end - from + 1 && isLedByWork(restOf(end))) end++
    const run = rows.slice(from, end)
    // What begins with work in small letters is told, however short.
    const told = run.filter((_, at) => {
      const rest = restOf(from + at)
      return rest.split(' ').length >= 5 || /^\p{Ll}/u.test(rest)
    })
    if (run.length < MIN_NUMBERED || told.length < run.length * 0.7) continue
    run.forEach((row, at) => {
      row.number = at + 1
      row.text = restOf(from + at)
    })
  }
  return rows
}
