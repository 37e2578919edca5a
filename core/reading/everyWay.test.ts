import { describe, expect, it } from 'vitest'
import { foods } from '../../test/helpers'
import type { Part, Recipe } from '../recipe/document'
import { readRecipe } from './readRecipe'

// What cooks say of one thing in many ways, each with every number, heat or mark that it may carry: the grammar is asked,
// and not a collection of cases. Each family is made by putting wordings and values together, and of all that is made the
// reading must be right; what is wrong is listed.

type Value = readonly [said: string, means: number]
const DOUGH = '300 g plain flour\n160 ml water\n1 tsp salt'
const FILLING = '300 g leeks, sliced\n1 onion\n100 g cheddar, grated'

const read = ({
  head = 'Leek pockets\nMakes 10',
  dough = 'Dough',
  filling = 'Filling',
  more = '',
  method,
}: {
  head?: string
  dough?: string
  filling?: string
  more?: string
  method: string
}): Recipe =>
  readRecipe(
    `${head}\n\n${dough}\n${DOUGH}\n\n${filling}\n${FILLING}\n${more ? `\n${more}\n` : ''}\nMethod\nMix the dough and rest 30 minutes. ${method}`,
    foods,
  ).recipe
const SHAPED = 'Divide the dough into 10, roll out, fill, fold over and seal.'
const BAKED = `${SHAPED} Bake at 200C for 20 minutes.`

/** The combinations of which something is read wrong, with what was read. */
const wrong = <T>(made: readonly T[], says: (one: T) => string, reads: (one: T) => string | null): string[] =>
  made.flatMap((one) => {
    const fault = reads(one)
    return fault === null ? [] : [`${says(one)} => ${fault}`]
  })
const pairs = <A, B>(all: readonly A[], others: readonly B[]): [A, B][] =>
  all.flatMap((one) => others.map((other): [A, B] => [one, other]))
const foodsOf = ({ kind, lines }: Part) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`

describe('headings, with every mark that may stand round them', () => {
  const MARKS: readonly ((name: string) => string)[] = [
    (name) => name,
    (name) => `${name}:`,
    (name) => name.toUpperCase(),
    (name) => name.toLowerCase(),
    (name) => `**${name}**`,
    (name) => `## ${name}`,
    (name) => `[${name}]`,
    (name) => `• ${name}`,
    (name) => `${name} -`,
    (name) => `${name}…`,
    (name) => `~ ${name} ~`,
    (name) => `Part 2: ${name}`,
    (name) => `B) ${name}`,
    (name) => `--- ${name} ---`,
  ]
  const SHELLS =
    'The dough|For the pastry|Pie crust|Wrappers|Outer layer|For the outer covering|The wrapping|Hot water crust|To make the dough|Ingredients for the pastry|The pastry part|My dough|For the outside'
  const FILLINGS =
    'The filling|For the stuffing|Inside|The inside bit|Leek and cheese filling|Filling ingredients|To make the filling|Leek mixture|For the filling mixture|What goes inside|To fill|Savoury filling'
  const FINISHES =
    'Egg wash|To glaze|For the top|To finish|To brush on top|Before baking|For the tops|Final touch|For egg washing|Toppings|Garnish'
  const DIPS =
    'Dipping sauce|To serve|Green chutney|On the side|To go with it|Served with|Dressing|For drizzling|To accompany|Dip for serving'
  const PANS =
    'For frying|To fry|Oil for frying|For deep frying|Frying oil|For frying the pockets|For the pan'
  const usual = ['shell: plain-flour water salt', 'filling: leek onion cheddar']

  it.each([
    ['the dough', SHELLS, (heading: string) => read({ dough: heading, method: BAKED }), usual],
    ['the filling', FILLINGS, (heading: string) => read({ filling: heading, method: BAKED }), usual],
    [
      'what goes on top',
      FINISHES,
      (heading: string) => read({ more: `${heading}\n1 egg, beaten\n1 tbsp sesame seeds`, method: BAKED }),
      [...usual, 'finish: egg sesame-seed'],
    ],
    [
      'what is served with it',
      DIPS,
      (heading: string) =>
        read({
          more: `${heading}\n150 g yogurt\n1 clove garlic, crushed\n1 tbsp mint, chopped`,
          method: `${BAKED} Mix the yogurt, garlic and mint and serve alongside.`,
        }),
      [...usual, 'dip: yogurt garlic mint'],
    ],
    [
      'the pan',
      PANS,
      (heading: string) =>
        read({
          more: `${heading}\n500 ml sunflower oil`,
          method: `${SHAPED} Deep fry at 180C for 4 minutes.`,
        }),
      [...usual, 'pan: sunflower-oil'],
    ],
  ])('%s', (_, names, reading, parts) => {
    const made = pairs(names.split('|'), MARKS).map(([name, mark]) => mark(name))
    expect(
      wrong(made, String, (heading) => {
        const { parts: got, method, pieces } = reading(heading)
        const said = got.map(foodsOf)
        const fine = said.join() === parts.join() && method.length === 1 && pieces === 10
        return fine ? null : `${said.join(' / ')}, ${pieces} pieces, ${method.length} steps`
      }),
    ).toEqual([])
  })
})

describe('how many', () => {
  const MANY: readonly Value[] = [
    ['12', 12],
    ['about 20', 20],
    ['16-18', 16],
    ['a dozen', 12],
    ['twenty', 20],
  ]
  const EATERS: readonly Value[] = [
    ['4', 4],
    ['4-6', 4],
    ['four', 4],
  ]
  const PLACES: readonly ((row: string) => string)[] = [
    (row) => `Leek pockets\n${row}`,
    (row) => `Leek pockets (${row.replace(/[()]/g, '')})`,
    (row) => `Leek pockets - ${row}`,
    (row) => `Leek pockets\n\nWe love them.\n${row}`,
  ]
  const wordless = 'Roll out, cut rounds, fill, fold over and seal. Bake at 200C for 20 minutes.'

  it.each([
    [
      'pieces',
      'Makes %|Makes % pockets|Yield: %|Yields % pieces|% pockets|Quantity: %|No. of pieces: %|Number of pockets: %|Amount: % pockets|Batch: % pockets|For % pockets|Recipe makes % pockets|Gives % small pockets|Makes % large ones',
    ],
    [
      'eaters',
      'Serves #|Serves: #|Servings: #|For # people|# servings|Feeds #|Serves # as a main|Persons: #|Dinner for #|Serves # hungry people|Yield: # servings',
    ],
    [
      'both',
      'Makes %, serves #|Serves # (makes %)|% pockets for #|Makes % to serve # people|Makes % / serves #|% pockets, # servings',
    ],
  ])('%s in a row or a title', (_, rows) => {
    const made = pairs(
      pairs(rows.split('|'), MANY).flatMap(([row, many]) =>
        (row.includes('#') ? EATERS : EATERS.slice(0, 1)).map((few) => ({ row, many, few })),
      ),
      PLACES,
    )
    expect(
      wrong(
        made,
        ([{ row, many, few }, place]) => place(row.replace('%', many[0]).replace('#', few[0])),
        ([{ row, many, few }, place]) => {
          const head = place(row.replace('%', many[0]).replace('#', few[0]))
          const got = read({ head, method: wordless })
          const fine =
            (!row.includes('%') || (got.pieces === many[1] && got.piecesStated)) &&
            (!row.includes('#') || (got.servings === few[1] && got.servingsStated)) &&
            got.parts.every(({ lines }) => lines.length === 3) &&
            got.title === 'Leek pockets'
          return fine ? null : `"${got.title}" ${got.pieces} pieces for ${got.servings}`
        },
      ),
    ).toEqual([])
  })

  it('in the method', () => {
    const sentences =
      'Divide the dough into % equal pieces|Cut the dough in % pieces|Split the dough into % even portions|Make % balls out of the dough|Roll into a log and cut into % pieces|Roll out thinly and stamp out % rounds|Cut % 10 cm rounds|Cut out % circles (10 cm)|Cut out % discs, re-rolling the trimmings|Divide into % (40 g each)|Make golf ball-sized balls, you should get %|Make small balls of the dough, around %|Cut out as many rounds as you can; I get %|Weigh the dough, divide the weight by %, and shape balls|Divide dough and filling into % portions each|Roll out, cut rounds and put the % pockets on a tray|Roll out and fill until all % are filled'
    const numbers = MANY.filter(([said]) => !said.startsWith('about'))
    expect(
      wrong(
        pairs(sentences.split('|'), numbers),
        ([sentence, [said]]) => sentence.replace('%', said),
        ([sentence, [said, means]]) => {
          const { pieces, piecesStated } = read({
            head: 'Leek pockets',
            method: `${sentence.replace('%', said)}. Fill, fold over and seal. Bake at 200C for 20 minutes.`,
          })
          return pieces === means && piecesStated ? null : `${pieces}`
        },
      ),
    ).toEqual([])
  })
})

describe('how hot and how long', () => {
  const OVENS: readonly Value[] = [
    ['200C', 200],
    ['200 degrees', 200],
    ['400°F', 204],
    ['gas mark 6', 200],
    ['200C (fan 180C)', 200],
    ['220°C/425°F/gas 7', 220],
    ['180-190C', 185],
    ['425', 218],
  ]
  const OILS: readonly Value[] = [
    ['180C', 180],
    ['350F', 177],
    ['170-180C', 175],
    ['350', 177],
  ]
  const LONG: readonly Value[] = [
    ['20 minutes', 20],
    ['20-25 mins', 22.5],
    ['about 20 minutes', 20],
    ['half an hour', 30],
    ["25'", 25],
    ['a good 20 minutes', 20],
  ]
  const SHORT: readonly Value[] = [
    ['4 minutes', 4],
    ['3-4 min', 3.5],
    ['about five minutes', 5],
    ['a couple of minutes', 2],
  ]
  const NONE: readonly Value[] = [['', 0]]

  it.each([
    [
      'bake',
      OVENS,
      LONG,
      1,
      'Bake at @ for #|Bake for # at @|Preheat the oven to @. Bake # until golden|Oven @, #|Put in the oven at @ and bake for #|Set the oven to @. Bake until golden, #|Pop them in the oven, @, for #|They need # in the oven at @|Bake in a @ oven for #|Brush with milk and bake at @ for #|Air fry at @ for #|Cook in the air fryer at @ for #',
    ],
    [
      'deep-fry',
      OILS,
      SHORT,
      1,
      'Deep fry at @ for # until golden|Fry in hot oil (@) for #|Heat oil to @. Fry in batches for #|Heat oil in a deep pan to @; fry the pockets for #, turning|Fry them a few at a time in @ oil for #|Deep fry (@) until golden, #|Drop into the hot oil (@) and fry for #',
    ],
    [
      'steam',
      NONE,
      SHORT,
      1,
      'Steam for #|Steam over boiling water for #|Place in a steamer and steam for #|Put the lid on and steam for #|Set the steamer over simmering water and cook for #',
    ],
    [
      'boil',
      NONE,
      SHORT,
      1,
      'Boil for # in salted water|Drop into boiling water and cook for #|Cook in a large pan of simmering salted water for #|Bring a pot of water to the boil, add the pockets and cook for #',
    ],
    [
      'griddle',
      NONE,
      SHORT,
      2,
      'Cook on a hot tawa for # on each side|Cook in a dry frying pan for # per side|Brown in a dry pan, # per side|Toast in a hot dry skillet for # on each side',
    ],
  ] as const)('%s', (way, heats, times, sides, sentences) => {
    expect(
      wrong(
        pairs(pairs(sentences.split('|'), heats), times),
        ([[sentence, [heat]], [time]]) => sentence.replace('@', heat).replace('#', time),
        ([[sentence, [heat, celsius]], [time, minutes]]) => {
          const { cooking } = read({
            method: `${SHAPED} ${sentence.replace('@', heat).replace('#', time)}.`,
          })
          const fine =
            cooking.way === way &&
            !cooking.andThen &&
            (!celsius || Math.abs((cooking.temperatureC ?? 0) - celsius) <= 3) &&
            // Half minutes are rounded.
            Math.abs((cooking.minutes ?? 0) - minutes * sides) <= 0.5
          return fine ? null : `${cooking.way} ${cooking.temperatureC} ${cooking.minutes}`
        },
      ),
    ).toEqual([])
  })

  it.each([
    [
      'bake 220 10, bake 180 20',
      'Bake at 220C for 10 minutes, then reduce to 180C and bake for 20 minutes more',
    ],
    ['bake 220 10, bake 180 20', 'Oven 220C for the first 10 minutes, 180C for 20 more'],
    [
      'bake 220 10, bake 180 20',
      'Put in at 220C; after 10 minutes turn down to 180C and cook for 20 minutes',
    ],
    ['bake 220 10, bake 180 20', '10 minutes at 220C, then 20 minutes at 180C'],
    ['bake 220 10, bake 180 20', 'Bake in a 220C oven for 10 minutes; lower to 180C, bake 20 minutes longer'],
    ['boil - 5, shallow-fry - 4', 'Boil for 5 minutes, drain, then fry in butter for 4 minutes until golden'],
    ['boil - 1, bake 220 15', 'Simmer 1 minute in the soda bath, drain, bake at 220C 15 min'],
    ['griddle - 4, bake 180 10', 'Brown in a dry pan 2 min per side, then bake at 180C for 10 min'],
    ['deep-fry 160 5, deep-fry 190 2', 'Deep fry at 160C for 5 minutes, then again at 190C for 2 minutes'],
    [
      'deep-fry 160 5, deep-fry 190 2',
      'Fry at 160C for 5 minutes, drain, raise the oil to 190C and fry for 2 minutes more',
    ],
    [
      'brown-and-steam - 8',
      'Heat oil in a pan, fry 2 minutes, pour in 80 ml water, put on the lid and cook for 6 minutes',
    ],
  ])('%s: %s', (wanted, sentence) => {
    const { cooking } = read({ method: `${SHAPED} ${sentence}.` })
    const stage = ({ way, temperatureC, minutes }: NonNullable<typeof cooking.andThen> | typeof cooking) =>
      `${way} ${temperatureC ?? '-'} ${minutes}`
    expect([cooking, cooking.andThen].flatMap((one) => (one ? [stage(one)] : [])).join(', ')).toBe(wanted)
  })
})

describe('a filling that is cooked first', () => {
  const TIMES = ['10 minutes', 'about 10 minutes', '10 mins', 'a good 10 min']
  const SENTENCES =
    'Melt the butter, add the leeks and onion and cook gently for # until soft. Cool, then stir in the cheese|Sweat leeks and onion in butter #, cool, mix with cheese|Cook the leeks and onion in the butter over a low heat, #. When cold, add cheese|In a pan, melt the butter. Add the onion and leek. Cook #. Let cool and mix in the grated cheese|Heat the butter in a pan and gently fry the vegetables for #; set aside to cool before mixing in the cheese'
  it('the minutes are of what is in the pan', () => {
    expect(
      wrong(
        pairs(SENTENCES.split('|'), TIMES),
        ([sentence, time]) => sentence.replace('#', time),
        ([sentence, time]) => {
          const { parts } = readRecipe(
            `Leek pockets\nMakes 10\n\nDough\n${DOUGH}\n\nFilling\n${FILLING}\n1 tbsp butter\n\nMethod\nMix the dough and rest 30 minutes. ${sentence.replace('#', time)}. ${BAKED}`,
            foods,
          ).recipe
          const part = parts.find(({ kind }) => kind === 'filling')!
          const ways = part.lines.map(({ cookedBy }) => cookedBy ?? part.cookedBy)
          const fine = part.cookedMinutes === 10 && ways.slice(0, 3).join() === 'fry,fry,raw'
          return fine ? null : `${part.cookedMinutes} ${ways.join()}`
        },
      ),
    ).toEqual([])
  })
})
