import { foodOf } from '../recipe/lines'
import type { CookingWay } from '../recipe/vocabulary'
import { USUAL_MINUTES, type CookedBatch } from '../tray/batches'
import { statedRises } from './doughTasks'
import type { Equipment, Reckoned, TaskBook, TaskWait } from './tasks'
import { ovenMinutes, potMinutes } from './warmth'

/** Where the recipe says nothing. Common practice, no source. */
export const USUAL_OVEN_C = 190
const OIL_C = 175
/** In a pot of which the tray does not know how much it holds. Common practice, no source. */
const USUAL_LITRES = 1.5
const TAP_C = 15

/** What cooking in a way takes. */
interface WayOfCooking {
  uses: Partial<Record<Equipment, number>>
  /** It is stood by all the time. */
  hands: boolean
  /** What has to be hot first. */
  hot: 'oven' | 'oil' | 'water' | 'pan'
  hold: 'hold-oven' | 'hold-cloth' | 'hold-baked'
  says: string
}

export const WAYS: Readonly<Record<CookingWay, WayOfCooking>> = {
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
/** How long a piece may wait for its second cooking. Common practice, no source. */
const SECOND_WAITS = 15
/** Between two batches the heat is kept, but not for ever. Common practice, no source. */
const BETWEEN_MOST = 20

/** A cooking, its pot or tray, and how hot. */
interface Cooking {
  way: CookingWay
  temperatureC: number | null
  /** Stated; null where it is only usual. */
  minutes: number | null
  ware: CookedBatch | undefined
}

/** Minutes of some pieces in a cooking: as many rounds as they take there. */
function minutesFor({ way, minutes, ware }: Cooking, pieces: number): number {
  if (!ware) return minutes ?? USUAL_MINUTES[way]
  const rounds = Math.max(1, Math.ceil(pieces / ware.perBatch))
  return rounds * ware.cookMinutes + (rounds - 1) * ware.betweenMinutes
}

function preheat(book: TaskBook, { way, temperatureC, ware }: Cooking, key: string): string {
  const { roomC, burnerW } = book.around
  const { uses, hot } = WAYS[way]
  const target = Math.round(temperatureC ?? (hot === 'oil' ? OIL_C : USUAL_OVEN_C))
  const litres = ware?.litres ?? USUAL_LITRES
  const over = `over ${burnerW} W, half of which goes into the pot`
  const heats: Record<WayOfCooking['hot'], [name: string, minutes: number, why: string]> = {
    oven: [
      `Heat the oven to ${target} °C`,
      ovenMinutes(target, roomC),
      'a home oven gains about 11 °C a minute',
    ],
    oil: [
      `Heat the oil to ${target} °C`,
      potMinutes('oil', litres, target, roomC, burnerW),
      `${litres} l of oil ${over}; it is not left alone`,
    ],
    water: [
      'Bring the water to the boil',
      potMinutes('water', litres, 100, TAP_C, burnerW),
      `${litres} l of water ${over}`,
    ],
    pan: [way === 'griddle' ? 'Heat the griddle' : 'Heat the pan', PAN_HOT_MINUTES, 'over a medium flame'],
  }
  const [name, minutes, why] = heats[hot]
  const source = 'reckoned from heat and power; common practice for the power that arrives'
  return book.add(name, {
    id: `${key}.hot`,
    time: { minutes, low: 0.7, high: 1.5, why, source },
    kind: 'preheat',
    uses,
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
  /** Null for any time. */
  mostMinutes: number | null
  why: string
}

/** Which tasks close the pieces of each batch. */
interface Closed {
  shaped: ReadonlyMap<number, string[]>
  batches: number
  perBatch: number
  /** Raw pieces are chilled. */
  cold: boolean
}

/** Proof, brushing, cooking and a second cooking of every batch; what is ready then, and how long it may stand. */
export function cookingTasks(book: TaskBook, { shaped, batches, perBatch, cold }: Closed): Holding[] {
  const { planned, recipe, stage, evaluation } = book.dish
  const { cooking } = recipe
  const first: Cooking = { ...cooking, ware: planned.batches[0] }
  // Hotter first and cooler after is one cooking; boiled and then fried are two.
  const andThen = cooking.andThen && cooking.andThen.way !== cooking.way ? cooking.andThen : null
  const second: Cooking | null = andThen && { ...andThen, ware: planned.batches[1] }
  const way = WAYS[cooking.way]
  const yeast = evaluation.abilities.family === 'yeast'
  const bran = branFactor(book)
  const between = first.ware?.betweenMinutes ?? 1
  const each = minutesFor(first, 1) * bran
  const finish = recipe.parts.find((part) => part.kind === 'finish' && part.lines.length)
  const hot = preheat(book, first, 'cook')
  const wash = finish
    ? book.add('Stir the wash', { id: 'wash', time: 'wash', kind: 'coat', hands: true, partId: finish.id })
    : null
  const hotAgain = second && preheat(book, second, 'second')
  const source = (one: Cooking) => (one.minutes === null ? 'common practice, no source' : 'the recipe')
  const lastWay = WAYS[second?.way ?? cooking.way]
  const lastEach = second ? minutesFor(second, perBatch) : each + between
  /** Minutes that hands are at closing the batches behind one. */
  const closing = (from: number) =>
    [...shaped]
      .filter(([batch]) => batch > from)
      .flatMap(([, ids]) => ids)
      .reduce((sum, id) => sum + book.get(id).minutes, 0)

  let before: string | null = null
  return Array.from({ length: batches }, (_, batch): Holding => {
    const pieces = Math.min(perBatch, planned.pieces - batch * perBatch)
    const number = batches > 1 ? `, batch ${batch + 1}` : ''
    const closed = shaped.get(batch) ?? []
    const raw = yeast && stage !== 'from-frozen' ? proofed(book, closed, batch, number) : closed
    const row = yeast ? 'proof' : cold ? 'wait-raw-cold' : 'wait-raw'
    const waits: TaskWait[] = raw.flatMap((id) => book.after(id, row))
    const load = way.hands ? null : setDown(book, { pieces, batch, number, waits, wash })
    const inWhat = first.ware
      ? `${pieces} of ${planned.pieces} pieces in the ${first.ware.kind}`
      : `${pieces} pieces`
    const time: Reckoned = {
      minutes: each,
      low: 0.85,
      high: 1.2,
      why: `${inWhat}${bran > 1 ? '; the whole grain that stands in for refined flour steams longer' : ''}`,
      source: source(first),
    }
    const cook = book.add(`${way.says}${number}${stage === 'from-frozen' ? ', from frozen' : ''}`, {
      id: `cook.${batch + 1}`,
      time,
      kind: 'cook',
      hands: way.hands,
      uses: way.uses,
      batch,
      after: [
        ...(load ? [{ id: load, minMinutes: 0, maxMinutes: 0, why: 'in at once' }] : waits),
        before
          ? {
              id: before,
              minMinutes: Math.round(between),
              maxMinutes: BETWEEN_MOST,
              why: 'what is hot is kept hot between batches',
            }
          : {
              id: hot,
              minMinutes: 0,
              maxMinutes: HOT_WAITS[way.hot],
              why: 'what is hot is not left to burn',
            },
      ],
    })
    before = cook
    const end = second
      ? book.add(`${lastWay.says}${number}, after`, {
          id: `second.${batch + 1}`,
          time: {
            minutes: minutesFor(second, pieces),
            low: 0.85,
            high: 1.2,
            why: second.ware ? `the second cooking, ${second.ware.perBatch} at once` : 'the second cooking',
            source: source(second),
          },
          kind: 'cook',
          hands: lastWay.hands,
          uses: lastWay.uses,
          batch,
          after: [
            {
              id: cook,
              minMinutes: 0,
              // All of them may be boiled first, and fried one batch after another.
              maxMinutes: SECOND_WAITS + Math.ceil((batches - 1) * (each + between + lastEach)),
              why: 'oiled, so that they do not stick, and not left to go cold',
            },
            ...book.after(hotAgain),
          ],
        })
      : cook
    const hold = book.time(lastWay.hold)
    // What is made before the last batch waits for it: longer than it should, where there are many.
    const needed = (batches - 1 - batch) * lastEach
    const stands = Math.round(needed) + book.time('rest-eating').minutes
    if (stands > hold.minutes && batch === 0)
      book.warnings.push(
        `${recipe.title}: the first batch stands ${stands} min until all are done, longer than the ${hold.minutes} min it keeps well; bring them to the table as they come, or keep them above 57 °C`,
      )
    return {
      id: end,
      mostMinutes: Math.max(
        hold.mostWait ?? hold.minutes,
        Math.ceil(needed + (lastWay.hands ? closing(batch) : 0)) + 20,
      ),
      why: hold.why,
    }
  })
}

/** Filled yeast pieces rise once more. */
function proofed(book: TaskBook, closed: readonly string[], batch: number, number: string): string[] {
  const after = closed.map((id) => ({ id, minMinutes: 0, maxMinutes: 5, why: 'they begin to rise at once' }))
  return [
    book.add(`Second proof${number}`, {
      id: `proof.${batch + 1}`,
      time: 'proof',
      stated: statedRises(book).proof,
      kind: 'proof',
      batch,
      after,
    }),
  ]
}

/** Brushed and set down on the tray or in the steamer. */
function setDown(
  book: TaskBook,
  asked: { pieces: number; batch: number; number: string; waits: readonly TaskWait[]; wash: string | null },
): string {
  const { pieces, batch, number, waits, wash } = asked
  const each = book.time('load-piece').minutes + (wash ? book.time('brush').minutes : 0)
  return book.add(`${wash ? 'Brush and put in' : 'Put in'}${number}`, {
    id: `load.${batch + 1}`,
    time: {
      minutes: book.time('load').minutes + pieces * each,
      low: 0.7,
      high: 1.6,
      why: `${pieces} pieces to set down with room around them${wash ? ' and to brush' : ''}`,
      source: book.time('load').source,
    },
    kind: 'load',
    hands: true,
    batch,
    after: [...waits, ...book.after(wash, 'wash')],
  })
}
