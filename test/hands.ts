import type { Became } from '../core/reading/outlineState'

/** A text with what each of its rows became: what a hand may change of it. */
export interface Written {
  rows: readonly string[]
  became: (row: number) => Became
}

const rowsThat = (what: Became, change: (row: string) => string) => (text: Written) =>
  text.rows.map((row, at) => (text.became(at) === what ? change(row) : row))
const lines = (change: (row: string) => string) => rowsThat('ingredient', change)
const steps = (change: (row: string) => string) => rowsThat('step', change)
const all =
  (change: (text: string) => string) =>
  ({ rows }: Written) =>
    change(rows.join('\n')).split('\n')
const inFront = (more: readonly string[]) => (text: Written) => [
  text.rows[0]!,
  ...more,
  ...text.rows.slice(1),
]
/** A row between the first two that are of a kind and stand below one another. */
const between = (what: Became, more: string) => (text: Written) => {
  const at = text.rows.findIndex(
    (_, row) => row > 0 && text.became(row - 1) === what && text.became(row) === what,
  )
  return at < 0 ? [...text.rows] : [...text.rows.slice(0, at), more, ...text.rows.slice(at)]
}
const behind = (more: readonly string[]) => (text: Written) => [...text.rows, '', ...more]

/** In capitals T and t are the same letter: whoever writes so has to say which spoon is meant. */
const inCapitals = (text: string) =>
  text
    .replace(/(?<=[\d¼½¾⅓⅔⅛]\s?(?:(?:heaped|heaping|level)\s)?)T\b(?!-)/g, 'tbsp')
    .replace(/(?<=[\d¼½¾⅓⅔⅛]\s?(?:(?:heaped|heaping|level)\s)?)t\b(?!-)/g, 'tsp')
    .toUpperCase()

/** "250 g plain flour" in another order: `$1` the mark in front, `$2` the amount, `$3` the name. */
const reordered = (to: string) => lines((row) => row.replace(/^(\W*)(\d+ ?(?:g|kg|ml)) ([a-zA-Z' ]+)$/, to))

const numbered = (mark: (number: number) => string) => (text: Written) => {
  let number = 0
  return text.rows.map((row, at) =>
    text.became(at) === 'step' && !/^\s*(?:\d|step|[-•*])/i.test(row) ? `${mark(++number)}${row}` : row,
  )
}

/** The sentences of a step that begin with a verb, each told in other words. */
const told = (change: (work: string) => string) =>
  steps((row) =>
    row
      .split(/(?<=[.!;])\s+(?=[A-Z])/)
      .map((sentence) =>
        /^(?:Add|Bake|Boil|Brush|Chill|Chop|Cool|Cut|Divide|Drain|Fill|Flatten|Fold|Fry|Knead|Mash|Mix|Press|Put|Roast|Roll|Simmer|Squeeze|Steam|Stir|Wrap)\b/.test(
          sentence,
        )
          ? change(sentence.charAt(0).toLowerCase() + sentence.slice(1))
          : sentence,
      )
      .join(' '),
  )
/** Work that is told of afterwards: "fried the onion, added the mince". */
const PAST: Readonly<Record<string, string>> = {
  Make: 'made',
  Put: 'put',
  Let: 'let',
  Cut: 'cut',
  Fry: 'fried',
  Chop: 'chopped',
  Stir: 'stirred',
  Rub: 'rubbed',
  Top: 'topped',
  ...Object.fromEntries(
    'Add Bake Boil Brush Chill Cook Cool Divide Drain Fill Flatten Fold Knead Mash Mix Press Roast Roll Seal Simmer Squeeze Steam Wrap Heat Rest Crimp Soften Pinch Sprinkle Combine Place Spoon Brown Whisk Cover Shape Turn Season'
      .split(' ')
      .map((verb) => [verb, `${verb.toLowerCase()}${verb.endsWith('e') ? 'd' : 'ed'}`] as const),
  ),
}
const done = (tell: (past: string) => string) =>
  steps((row) =>
    row.replace(
      /(^|(?<=[.!;])\s+|(?<=,)\s|(?<=\band)\s|(?<=\bthen)\s)([A-Z]?[a-z]+)\b(?=\s)/g,
      (whole, before: string, verb: string) => {
        const past = PAST[verb.charAt(0).toUpperCase() + verb.slice(1)]
        return past ? before + tell(past) : whole
      },
    ),
  )

const ONES =
  ' one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  )
const TENS = '  twenty thirty forty fifty sixty seventy eighty ninety'.split(' ')
/** A number below a hundred. */
const inWords = (number: number): string =>
  number < 20 ? ONES[number]! : [TENS[Math.floor(number / 10)], ONES[number % 10]].filter(Boolean).join(' ')

/** A mark behind every line that is short and lists one thing. */
const marked = (mark: string) =>
  lines((row) => (row.trim() && row.length < 60 && !/[:;/,]/.test(row) ? `${row.trimEnd()}${mark}` : row))

/** Lines of one list that have no comma of their own, on one row. */
function joined({ rows, became }: Written): string[] {
  const out: { row: string; what: Became }[] = []
  rows.forEach((row, at) => {
    const what = became(at)
    const last = out.at(-1)
    const isPlain = (one: string) => !/[:.|\t]|^\s*[-•*▢●]/.test(one)
    if (
      what === 'ingredient' &&
      last?.what === 'ingredient' &&
      isPlain(last.row + row) &&
      !/,| and | or /.test(`${last.row.split(', ').at(-1)}${row}`)
    )
      last.row += `, ${row}`
    else out.push({ row, what })
  })
  return out.map(({ row }) => row)
}

/**
 * What another hand, another page or another keyboard makes of a recipe that says the same. How many of a hundred
 * texts may be read otherwise stands beside it; that number may only fall. Common practice, no source.
 */
export const HANDS: readonly { name: string; write: (text: Written) => string[]; percent: number }[] = [
  { name: 'all in capitals', write: all((text) => inCapitals(text)), percent: 5 },
  { name: 'lines in capitals', write: lines(inCapitals), percent: 8 },
  {
    name: 'an empty line below every line',
    write: all((text) => text.replace(/\n(?!\n)/g, '\n\n')),
    percent: 2,
  },
  { name: 'steps that are numbered', write: numbered((number) => `${number}. `), percent: 3 },
  {
    name: 'numbers of steps on lines of their own',
    write: numbered((number) => `${number}\n`),
    percent: 4,
  },
  { name: '"Step 1" above each step', write: numbered((number) => `Step ${number}\n`), percent: 3 },
  {
    name: 'a line for each sentence',
    write: steps((row) => row.replace(/(?<=[a-z)]|\d\d)\. (?=[A-Z])/g, '.\n')),
    percent: 4,
  },
  { name: 'a method without commas', write: steps((row) => row.replace(/[,;]/g, '')), percent: 8 },
  { name: 'gms', write: lines((row) => row.replace(/(\d) ?g\b/g, '$1 gms')), percent: 3 },
  { name: '250 g.', write: lines((row) => row.replace(/(\d) ?g\b/g, '$1 g.')), percent: 3 },
  {
    name: 'teaspoons in full',
    write: lines((row) => row.replace(/\btsps?\b/gi, 'teaspoon').replace(/\btbsps?\b/gi, 'tablespoons')),
    percent: 3,
  },
  {
    name: 'spoons misspelt',
    write: lines((row) => row.replace(/\btsps?\b/gi, 'teasp').replace(/\btbsps?\b/gi, 'tbls')),
    percent: 3,
  },
  { name: 'the name in front', write: reordered('$1$3 $2'), percent: 3 },
  { name: 'the amount in brackets', write: reordered('$1$3 ($2)'), percent: 3 },
  { name: 'the amount behind dots', write: reordered('$1$3 ..... $2'), percent: 3 },
  { name: 'lines of a list on one row', write: joined, percent: 9 },
  {
    name: 'lines that end in commas',
    write: lines((row) => (/[,.:;]$/.test(row) ? row : `${row},`)),
    percent: 3,
  },
  {
    name: 'lines that end in full stops',
    write: lines((row) => (/[,.:;]$/.test(row) ? row : `${row}.`)),
    percent: 4,
  },
  {
    name: 'degrees celsius',
    write: all((text) => text.replace(/(\d{2,3}) ?°? ?C\b/g, '$1 celsius')),
    percent: 3,
  },
  {
    name: 'a 20-minute bake',
    write: all((text) => text.replace(/(\d+) ?(?:minutes?|mins?)\b/gi, '$1-minute')),
    percent: 3,
  },
  {
    name: 'ranges with "to"',
    write: all((text) => text.replace(/(\d)\s?[-–]\s?(\d)/g, '$1 to $2')),
    percent: 3,
  },
  {
    name: 'a page round it',
    write: inFront([
      'Jump to Recipe · Print Recipe',
      '★★★★★ 4.8 from 231 votes',
      'Metric | US cups',
      'Prep Time: 30 minutes',
      'Calories: 230kcal',
    ]),
    percent: 3,
  },
  {
    name: 'a story above it',
    write: inFront([
      '',
      'I have been making these since my grandmother taught me on a rainy Sunday. They never last long in our house, and the smell brings everybody to the kitchen.',
      '',
    ]),
    percent: 3,
  },
  {
    name: 'notes below it',
    write: behind([
      'Notes',
      '- These keep for 3 days and freeze well for up to 2 months.',
      '- You can swap the filling for spinach and feta if you like.',
      '- Reheat in a 180C oven for 8 minutes.',
    ]),
    percent: 3,
  },
  {
    name: 'questions below it',
    write: behind([
      'Can I freeze them?',
      'Yes, freeze them raw on a tray and bake from frozen for 35 minutes.',
      '',
      'Can I use shop-bought dough?',
      'You can, use about 500 g.',
    ]),
    percent: 3,
  },
  {
    name: 'what others say below it',
    write: behind([
      'Comments',
      'A reader says: made these with 200g lamb, lovely!',
      'Another says: I baked mine for 40 minutes at 160, needed more salt.',
    ]),
    percent: 3,
  },
  { name: 'told in the first person', write: told((work) => `Then I ${work}`), percent: 2 },
  { name: 'told to somebody', write: told((work) => `Next, you want to ${work}`), percent: 2 },
  { name: 'called out', write: steps((row) => row.replace(/\.(?=\s|$)/g, '!')), percent: 4 },
  {
    name: 'minutes cut short',
    write: steps((row) => row.replace(/(\d)\s*(?:mins?|minutes?)\b\.?/g, '$1 min.')),
    percent: 4,
  },
  {
    name: 'dashes between the sentences',
    write: steps((row) =>
      row.replace(/[.;]\s+([A-Z])(?=[a-z])/g, (_, letter: string) => ` - ${letter.toLowerCase()}`),
    ),
    percent: 16,
  },
  { name: 'told afterwards', write: done((past) => past), percent: 12 },
  { name: 'told afterwards by who did it', write: done((past) => `I ${past}`), percent: 5 },
  { name: 'round marks out of a document', write: lines((row) => `o ${row}`), percent: 4 },
  { name: 'steps in brackets', write: numbered((number) => `(${number}) `), percent: 3 },
  { name: 'steps with numbers on keys', write: numbered((number) => `${number}\ufe0f\u20e3 `), percent: 3 },
  { name: 'steps behind tabs', write: numbered((number) => `${number}\t`), percent: 6 },
  {
    name: 'strokes that stand close',
    write: all((text) => text.replace(/(?<=[a-z]) - (?=[a-z\d])/g, '—')),
    percent: 4,
  },
  {
    name: 'no blank behind a mark',
    write: all((text) => text.replace(/([a-z]), (?=[a-z])/g, '$1,').replace(/([a-z])\. (?=[A-Z])/g, '$1.')),
    percent: 5,
  },
  {
    name: 'minutes in words',
    write: steps((row) =>
      row.replace(
        /(?<![-–\d./:]|to |or )\b(\d{1,2}) ?min(?:ute)?s?\b/g,
        (_, many: string) => `${inWords(Number(many))} minutes`,
      ),
    ),
    percent: 4,
  },
  {
    name: 'messages, each with who sent it',
    write: ({ rows }) => rows.map((row) => (row.trim() ? `[21/11/26, 18:04] Mum: ${row}` : row)),
    percent: 3,
  },
  {
    name: 'remarks behind the amounts',
    write: lines((row) => (/^\d[^,()+&]*[a-z]$/.test(row) ? `${row} (I sometimes use a bit more)` : row)),
    percent: 4,
  },
  {
    name: 'a method without articles',
    write: steps((row) => row.replace(/\b(?:the|an?) (?=[a-z])/g, '')),
    percent: 8,
  },
  {
    name: 'commas for full stops',
    write: steps((row) =>
      row.replace(/\.\s+([A-Z])(?=[a-z])/g, (_, letter: string) => `, ${letter.toLowerCase()}`),
    ),
    percent: 11,
  },
  { name: 'footnotes', write: marked('*'), percent: 2 },
  { name: 'lines that trail off', write: marked('...'), percent: 3 },
  { name: 'numbers of notes', write: marked(' [1]'), percent: 2 },
  { name: 'a date below the title', write: inFront(['12 March 2024']), percent: 2 },
  {
    name: 'a row of times and how hard it is',
    write: inFront(['Prep: 20 min | Cook: 30 min | Level: easy']),
    percent: 3,
  },
  { name: 'an advert in the list', write: between('ingredient', 'ADVERTISEMENT'), percent: 2 },
  { name: 'an advert among the steps', write: between('step', 'Advertisement'), percent: 2 },
  {
    name: 'what else there is to read among the steps',
    write: between('step', 'Related: ten ways with leftovers'),
    percent: 4,
  },
  {
    name: 'a tip in the list',
    write: between('ingredient', 'Tip: use good quality ingredients'),
    percent: 3,
  },
  {
    name: 'a tip among the steps',
    write: between('step', 'Tip: keep the rest covered with a damp cloth.'),
    percent: 4,
  },
  {
    name: 'a note in brackets in the list',
    write: between('ingredient', '(Note: everything at room temperature)'),
    percent: 3,
  },
  {
    name: 'what each thing cost',
    write: lines((row) => (/^\d[^,()+&]*[a-z]$/.test(row) ? `${row} (£1.20)` : row)),
    percent: 3,
  },
  {
    name: 'fractions with a stroke of their own',
    write: all((text) =>
      text
        .replace(/½/g, '1⁄2')
        .replace(/¼/g, '1⁄4')
        .replace(/(\d)\/(\d)/g, '$1⁄$2'),
    ),
    percent: 4,
  },
  {
    name: 'two blanks, and spoons with a capital',
    write: all((text) =>
      text
        .replace(/\btbsp\b/g, 'Tbsp')
        .replace(/\btsp\b/g, 'Tsp')
        .replace(/(?<=\S) (?=\S)/g, '  '),
    ),
    percent: 4,
  },
  { name: 'allergens below the title', write: inFront(['Allergens: gluten, milk, egg']), percent: 2 },
  {
    name: 'other recipes below it',
    write: behind(['You might also like', 'Spinach pie with 300 g feta', '12 sausage rolls', 'Lamb samosas']),
    percent: 4,
  },
  {
    name: 'comments that are counted',
    write: behind(['3 comments', 'A reader: I used 300 g beef and baked 40 min', 'Another: lovely']),
    percent: 2,
  },
  { name: 'a goodbye below it', write: behind(['Love, Anna x']), percent: 5 },
  {
    name: 'a question to readers below it',
    write: behind(['Would you try this? Tell me in the comments! 👇']),
    percent: 5,
  },
  {
    name: 'figures of 100 g below it',
    write: behind(['Per 100 g: 250 kcal, 8 g protein, 30 g carbs']),
    percent: 3,
  },
  {
    name: 'a row of the list that points to the notes',
    write: between('ingredient', '*see notes for substitutions'),
    percent: 3,
  },
  {
    name: 'a sentence in the list',
    write: between('ingredient', 'All weights are approximate.'),
    percent: 3,
  },
  { name: 'an edit in the list', write: between('ingredient', 'Edit: works with oat milk too'), percent: 3 },
]
