import { foodOf } from '../recipe/lines'
import { orderApart } from '../tray/apart'
import type { CookedBatch, CookwareKind } from '../tray/batches'
import type { CookingWay } from '../recipe/vocabulary'
import { statedRises, type DoughReady } from './doughTasks'
import type { Equipment, TaskBook, TaskWait } from './tasks'
import { ovenMinutes, potMinutes } from './warmth'

/** From the eleventh piece on hands are quicker. Common practice, no source. */
const PRACTISED_AFTER = 10
/** Where the recipe says nothing. Common practice, no source. */
export const USUAL_OVEN_C = 190
const OIL_C = 175
const WATER_LITRES = 3
const STEAMER_LITRES = 1.5
const OIL_LITRES = 1.5
const TAP_C = 15

interface WayOfCooking {
  uses: Partial<Record<Equipment, number>>
  /** It is stood by all the time. */
  hands: boolean
  /** What has to be hot first. */
  hot: 'oven' | 'oil' | 'water' | 'pan'
  hold: 'hold-oven' | 'hold-cloth' | 'hold-baked'
  says: string
}

const WAYS: Readonly<Record<CookingWay, WayOfCooking>> = {
  bake: { uses: { oven: 1 }, hands: false, hot: 'oven', hold: 'hold-baked', says: 'Bake' },
  'deep-fry': { uses: { burner: 1 }, hands: true, hot: 'oil', hold: 'hold-oven', says: 'Fry' },
  'shallow-fry': { uses: { burner: 1 }, hands: true, hot: 'pan', hold: 'hold-oven', says: 'Fry' },
  griddle: { uses: { burner: 1 }, hands: true, hot: 'pan', hold: 'hold-cloth', says: 'Griddle' },
  steam: { uses: { burner: 1, steamer: 1 }, hands: false, hot: 'water', hold: 'hold-cloth', says: 'Steam' },
  boil: { uses: { burner: 1 }, hands: true, hot: 'water', hold: 'hold-cloth', says: 'Boil' },
  'brown-and-steam': {
    uses: { burner: 1 },
    hands: true,
    hot: 'pan',
    hold: 'hold-cloth',
    says: 'Brown and steam',
  },
}

const PAN_HOT_MINUTES = 4
/** How long what is hot may wait for its first batch. Common practice, no source. */
const HOT_WAITS: Readonly<Record<WayOfCooking['hot'], number>> = { oven: 30, oil: 10, water: 20, pan: 5 }
/** A second cooking where the recipe gives no minutes, and how long a piece may wait for it. Common practice, no source. */
const SECOND_MINUTES = 6
const SECOND_WAITS = 15
/** Between two batches the heat is kept, but not for ever. Common practice, no source. */
const BETWEEN_MOST = 20

/** Pieces of one filling that are shaped together, for one batch. */
interface Chunk {
  batch: number
  partId: string | null
  name: string
  pieces: number
}

/** Which pieces go into which batch: the fillings one after another, what holds least first. */
function chunksOf(book: TaskBook, perBatch: number): Chunk[] {
  const { planned } = book.dish
  const kinds = planned.fillings.length
    ? [...planned.fillings].sort((a, b) => a.turn - b.turn).map((one) => ({ ...one, pieces: one.planned }))
    : [{ partId: null, name: '', pieces: planned.pieces }]
  const chunks: Chunk[] = []
  let laid = 0
  for (const kind of kinds)
    for (let left = kind.pieces; left > 0;) {
      const batch = Math.floor(laid / perBatch)
      const pieces = Math.min(left, (batch + 1) * perBatch - laid)
      chunks.push({ batch, partId: kind.partId, name: kinds.length > 1 ? kind.name : '', pieces })
      laid += pieces
      left -= pieces
    }
  return chunks
}

/** A wait that may be so much longer for what comes later in its turn. */
const longer = (waits: readonly TaskWait[], minutes: number): TaskWait[] =>
  waits.map((wait) => ({ ...wait, maxMinutes: wait.maxMinutes === null ? null : wait.maxMinutes + minutes }))

/** Divided into balls, or rolled and cut in passes: the task after which so many blanks are there. */
function blanks(book: TaskBook, dough: DoughReady): (pieces: number) => TaskWait[] {
  const { planned, recipe } = book.dish
  const partId = recipe.parts.find((part) => part.kind === 'shell')?.id ?? null
  const family = book.dish.evaluation.abilities.family
  const after = [
    ...book.after(dough.id, dough.row),
    // Powder works from when it is wet: it is divided or rolled by then.
    ...(dough.leavened
      ? longer(book.after(dough.leavened.from, 'leavened'), dough.leavened.restMinutes)
      : []),
  ]
  if (family === 'bought' && !planned.cuts.length) return () => book.after(dough.id, dough.row)
  if (!planned.cuts.length) {
    const id = book.add('Divide the dough', {
      id: 'divide',
      time: 'divide',
      times: planned.pieces,
      kind: 'divide',
      hands: true,
      uses: { board: 1 },
      after,
      partId,
    })
    if (family !== 'yeast' && family !== 'stretched' && family !== 'firm')
      return () => book.after(id, 'rest-balls')
    const rest = book.add('Balls rest under a damp cloth', {
      id: 'balls',
      time: 'rest-balls',
      kind: 'rest',
      after: [{ id, minMinutes: 0, maxMinutes: 5, why: book.time('rest-balls').why }],
      partId,
    })
    return () => book.after(rest, 'rest-balls')
  }
  const ends: { id: string; upTo: number }[] = []
  let upTo = 0
  for (const cut of planned.cuts) {
    const last = ends.at(-1)
    upTo += cut.pieces
    const roll = book.time('roll').minutes + book.time('cut').minutes * cut.pieces
    const id = book.add(last ? 'Roll the trimmings and cut' : 'Roll and cut', {
      id: `roll.${cut.pass}`,
      time: 'roll',
      kind: 'divide',
      hands: true,
      uses: { board: 1 },
      after: last ? book.after(last.id, 'rest-trimmings', book.time('rest-trimmings').minutes) : after,
      partId,
      minutes: Math.round(roll),
      highMinutes: Math.round(roll * 1.6),
      why: last
        ? `${cut.pieces} more, after the trimmings have rested ${book.time('rest-trimmings').minutes} min`
        : `${cut.pieces} of the first sheet`,
    })
    ends.push({ id, upTo })
  }
  return (pieces) => book.after((ends.find((end) => end.upTo >= pieces) ?? ends.at(-1)!).id)
}

/** Minutes of a batch as it cooks, and between it and the next. */
function minutesOf(batch: CookedBatch | undefined) {
  if (!batch) return { each: 20, between: 1 }
  const between = batch.batches > 1 ? batch.batches * batch.minutesEach - batch.totalMinutes : 0
  return { each: Math.max(1, batch.minutesEach - between), between: Math.max(0, between) }
}

function preheat(book: TaskBook, way: WayOfCooking, kind: CookwareKind | undefined, key: string): string {
  const { roomC, burnerW } = book.around
  const stated = book.dish.recipe.cooking.temperatureC
  const target = stated ?? (way.hot === 'oil' ? OIL_C : USUAL_OVEN_C)
  const litres = way.uses.steamer ? STEAMER_LITRES : WATER_LITRES
  const [name, minutes, why] = {
    oven: [
      `Heat the oven to ${Math.round(target)} °C`,
      ovenMinutes(target, roomC),
      'a home oven gains about 11 °C a minute',
    ],
    oil: [
      `Heat the oil to ${Math.round(target)} °C`,
      potMinutes('oil', OIL_LITRES, target, roomC, burnerW),
      `${OIL_LITRES} l of oil over ${burnerW} W, half of which goes into the pot; it is not left alone`,
    ],
    water: [
      'Bring the water to the boil',
      potMinutes('water', litres, 100, TAP_C, burnerW),
      `${litres} l of water over ${burnerW} W, half of which goes into the pot`,
    ],
    pan: [kind === 'griddle' ? 'Heat the griddle' : 'Heat the pan', PAN_HOT_MINUTES, 'over a medium flame'],
  }[way.hot] as [string, number, string]
  const rounded = Math.max(1, Math.round(minutes))
  return book.add(name, {
    id: `${key}.hot`,
    time: 'load',
    kind: 'preheat',
    uses: way.uses,
    minutes: rounded,
    lowMinutes: Math.max(1, Math.round(minutes * 0.7)),
    highMinutes: Math.round(minutes * 1.5),
    why,
    source: 'reckoned from heat and power; common practice for the power that arrives',
  })
}

/** All whole grain steams half as long again, half of it a fifth to a quarter. Common practice, no source. */
const WHOLE_GRAIN_STEAMS = 0.5

/** How much longer a steamed dough takes than the recipe says, where its refined flour was swapped for whole grain. */
function branFactor({ dish: { recipe, evaluation }, reference }: TaskBook): number {
  if (recipe.cooking.way !== 'steam') return 1
  const swapped = recipe.parts
    .filter((part) => part.kind === 'shell')
    .flatMap((part) => part.lines)
    .some(
      (line) =>
        foodOf(line, reference.foods)?.grain === 'whole' &&
        reference.foods.get(line.cameFrom?.foodId ?? '')?.grain === 'refined',
    )
  return swapped ? 1 + (WHOLE_GRAIN_STEAMS * (evaluation.dough.wholeGrainPct ?? 0)) / 100 : 1
}

/** How long finished pieces may stand, and why. */
export interface Holding {
  id: string
  mostMinutes: number
  why: string
}

/**
 * Shaping and cooking, batch by batch.
 *
 * @returns what is ready at the end, each with how long it may stand
 */
export function shapingTasks(
  book: TaskBook,
  dough: DoughReady,
  fillings: ReadonlyMap<string, string>,
): Holding[] {
  const { planned, recipe, stage, evaluation } = book.dish
  const ware = planned.batches[0]
  const perBatch = Math.max(1, ware?.perBatch ?? planned.pieces)
  const chunks = chunksOf(book, perBatch)
  const batches = Math.max(1, ...chunks.map(({ batch }) => batch + 1))
  const family = evaluation.abilities.family
  const cold = family === 'short' || family === 'flaky'
  const shaped = new Map<number, string[]>()
  if (stage !== 'from-frozen') {
    const blanksFor = blanks(book, dough)
    const apart = orderApart(
      recipe,
      planned.fillings.map((one) => one.partId),
      book.reference.foods,
    )
    let before: string | null = null
    let lastPart: string | null = null
    let made = 0
    // Later pieces wait their turn, under a cloth: as long as those before them take by hand.
    let turn = 0
    const cookedByHand = WAYS[recipe.cooking.way].hands ? minutesOf(ware).each + minutesOf(ware).between : 0
    for (const [at, chunk] of chunks.entries()) {
      const quick = Math.max(0, Math.min(chunk.pieces, made + chunk.pieces - PRACTISED_AFTER))
      const equal = chunk.pieces - quick + quick * book.time('practice').minutes
      made += chunk.pieces
      // What brings something that the filling before does not hold comes after it, on board and in the pan.
      const follows =
        at > 0 &&
        chunk.partId !== lastPart &&
        apart.some((one) => one.partId === chunk.partId && one.brings.length)
      const fillingReady = chunk.partId === null ? null : (fillings.get(chunk.partId) ?? null)
      const filledBy = stage === 'night-before' ? 'wait-filling-cold' : 'wait-filling'
      const id = book.add(
        `Fill and close ${chunk.pieces}${chunk.name ? ` ${chunk.name.toLowerCase()}` : ''}${batches > 1 ? `, batch ${chunk.batch + 1}` : ''}`,
        {
          id: `shape.${at + 1}`,
          time: `shape-${planned.closing}`,
          times: equal,
          kind: 'shape',
          hands: true,
          uses: { board: 1 },
          partId: chunk.partId,
          batch: chunk.batch,
          after: [
            ...longer(blanksFor(made), turn),
            ...book.after(fillingReady, filledBy),
            ...(before === null
              ? []
              : follows
                ? book.after(before)
                : // In their order, though two pairs of hands may be at it.
                  book.after(before, undefined, -book.get(before).minutes)),
          ],
        },
      )
      turn += Math.ceil(1.3 * (book.get(id).minutes + cookedByHand)) + 2
      shaped.set(chunk.batch, [...(shaped.get(chunk.batch) ?? []), id])
      before = id
      lastPart = chunk.partId
    }
  }
  if (stage === 'freeze') return frozen(book, shaped)
  return cookedBatches(book, { shaped, batches, perBatch, cold })
}

/** Into the freezer instead of the heat. */
function frozen(book: TaskBook, shaped: ReadonlyMap<number, string[]>): Holding[] {
  const id = book.add('Freeze apart on a lined tray', {
    id: 'freeze',
    time: 'freeze',
    kind: 'freeze',
    uses: { freezer: 1 },
    after: [...shaped.values()].flat().flatMap((one) => book.after(one, 'wait-raw-cold')),
  })
  const bag = book.add('Bag, press the air out, date', {
    id: 'bag',
    time: 'bag',
    kind: 'freeze',
    hands: true,
    after: book.after(id, 'freeze'),
  })
  return [{ id: bag, mostMinutes: 10_000, why: '' }]
}

function cookedBatches(
  book: TaskBook,
  {
    shaped,
    batches,
    perBatch,
    cold,
  }: { shaped: ReadonlyMap<number, string[]>; batches: number; perBatch: number; cold: boolean },
): Holding[] {
  const { planned, recipe, stage, evaluation } = book.dish
  const ware = planned.batches[0]
  const way = WAYS[recipe.cooking.way]
  const { each: stated, between } = minutesOf(ware)
  // Hotter first and cooler after is one cooking; boiled and then fried are two.
  const bran = branFactor(book)
  const each = stated * bran
  const finish = recipe.parts.find((part) => part.kind === 'finish' && part.lines.length)
  const hot = preheat(book, way, ware?.kind, 'cook')
  const wash = finish
    ? book.add('Stir the wash', { id: 'wash', time: 'wash', kind: 'coat', hands: true, partId: finish.id })
    : null
  const second = recipe.cooking.andThen?.way === recipe.cooking.way ? null : recipe.cooking.andThen
  const hotAgain = second ? preheat(book, WAYS[second.way], undefined, 'second') : null
  const holdings: Holding[] = []
  const lastEach = second ? (second.minutes ?? SECOND_MINUTES) : each + between
  /** Minutes that hands are at the batches behind one, where cooking leaves none free for closing. */
  const closing = (from: number) =>
    [...shaped]
      .filter(([batch]) => batch > from)
      .flatMap(([, ids]) => ids)
      .reduce((sum, id) => sum + book.get(id).minutes, 0)
  let before: string | null = null
  for (let batch = 0; batch < batches; batch++) {
    const pieces = Math.min(perBatch, planned.pieces - batch * perBatch)
    const number = batches > 1 ? `, batch ${batch + 1}` : ''
    let waits: TaskWait[] = (shaped.get(batch) ?? []).flatMap((id) =>
      book.after(
        id,
        evaluation.abilities.family === 'yeast' ? undefined : cold ? 'wait-raw-cold' : 'wait-raw',
      ),
    )
    if (evaluation.abilities.family === 'yeast' && stage !== 'from-frozen') {
      const proof = book.add(`Second proof${number}`, {
        id: `proof.${batch + 1}`,
        time: 'proof',
        stated: statedRises(book).proof,
        kind: 'proof',
        batch,
        after: waits.map((wait) => ({ ...wait, maxMinutes: 5, why: 'they begin to rise at once' })),
      })
      waits = book.after(proof, 'proof')
    }
    const setDown =
      book.time('load').minutes +
      pieces * (book.time('load-piece').minutes + (wash ? book.time('brush').minutes : 0))
    const load = way.hands
      ? null
      : book.add(`${wash ? 'Brush and put in' : 'Put in'}${number}`, {
          id: `load.${batch + 1}`,
          time: 'load',
          kind: 'load',
          hands: true,
          batch,
          after: [...waits, ...book.after(wash, 'wash')],
          minutes: Math.max(1, Math.round(setDown)),
          highMinutes: Math.max(2, Math.round(setDown * 1.6)),
          why: `${pieces} pieces to set down with room around them${wash ? ' and to brush' : ''}`,
        })
    const cook = book.add(`${way.says}${number}${stage === 'from-frozen' ? ', from frozen' : ''}`, {
      id: `cook.${batch + 1}`,
      time: 'load',
      kind: 'cook',
      hands: way.hands,
      uses: way.uses,
      batch,
      minutes: Math.max(1, Math.round(each)),
      lowMinutes: Math.max(1, Math.round(each * 0.85)),
      highMinutes: Math.round(each * 1.2) + 1,
      why: `${ware ? `${pieces} of ${planned.pieces} pieces in the ${ware.kind}` : `${pieces} pieces`}${bran > 1 ? '; the whole grain that stands in for refined flour steams longer' : ''}`,
      source: recipe.cooking.minutes === null ? 'common practice, no source' : 'the recipe',
      after: [
        ...(load ? [{ id: load, minMinutes: 0, maxMinutes: 0, why: 'in at once' }] : waits),
        {
          id: before ?? hot,
          minMinutes: before ? Math.round(between) : 0,
          maxMinutes: before ? BETWEEN_MOST : HOT_WAITS[way.hot],
          why: before ? 'what is hot is kept hot between batches' : 'what is hot is not left to burn',
        },
      ],
    })
    before = cook
    let end = cook
    let hold = way.hold
    if (second) {
      const then = WAYS[second.way]
      hold = then.hold
      end = book.add(`${then.says}${number}, after`, {
        id: `second.${batch + 1}`,
        time: 'load',
        kind: 'cook',
        hands: then.hands,
        uses: then.uses,
        batch,
        minutes: Math.max(1, Math.round(second.minutes ?? SECOND_MINUTES)),
        why: 'the second cooking',
        source: second.minutes === null ? 'common practice, no source' : 'the recipe',
        after: [
          {
            id: cook,
            minMinutes: 0,
            // All of them may be boiled first, and fried one batch after another.
            maxMinutes: SECOND_WAITS + Math.ceil((batches - 1) * (each + between)),
            why: 'oiled, so that they do not stick, and not left to go cold',
          },
          ...(hotAgain ? book.after(hotAgain) : []),
        ],
      })
    }
    const row = book.time(hold)
    // What is made before the last batch waits for it: longer than it should, where there are many.
    const needed = (batches - 1 - batch) * lastEach
    const stands = Math.round(needed) + book.time('rest-eating').minutes
    if (stands > row.minutes && batch === 0)
      book.warnings.push(
        `${recipe.title}: the first batch stands ${stands} min until all are done, longer than the ${row.minutes} min it keeps well; bring them to the table as they come, or keep them above 57 °C`,
      )
    const byHand = WAYS[second?.way ?? recipe.cooking.way].hands
    holdings.push({
      id: end,
      mostMinutes: Math.max(
        row.mostWait ?? row.minutes,
        Math.ceil(needed + (byHand ? closing(batch) : 0)) + 20,
      ),
      why: row.why,
    })
  }
  return holdings
}
