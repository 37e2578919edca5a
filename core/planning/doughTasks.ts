import { foodIs } from '../food/groups'
import { foodOf } from '../recipe/lines'
import type { FactKind } from '../recipe/vocabulary'
import type { TaskBook } from './tasks'
import { riseMinutes } from './warmth'

/** From this share of whole grain on a dough rests half as long again. Common practice, no source. */
const WHOLE_GRAIN_PCT = 50
const WHOLE_GRAIN_RESTS = 1.5
/** Dry yeast goes in with the flour, unless the method wakes it first. */
const FOAMS = /\b(?:foam|froth|bubbl)\w*|\b(?:dissolve|sprinkle)\b[^.]{0,40}\byeast\b/i
/** The room for which a recipe states its rise. Common practice, no source. */
const STATED_ROOM_C = 24

/** Where the dough stands when it can be divided: after which task, and how long it may wait. */
export interface DoughReady {
  id: string | null
  row: string | undefined
  /** The task from which chemical leavening counts, and how long the dough rests after it; null without it. */
  leavened: { from: string; restMinutes: number } | null
}

/** The tasks of a dough, by its family, until it can be divided or rolled. */
export function doughTasks(book: TaskBook): DoughReady {
  const { recipe, evaluation, stage } = book.dish
  const shell = recipe.parts.filter((part) => part.kind === 'shell')
  const partId = shell[0]?.id ?? null
  const lines = shell.flatMap((part) => part.lines)
  const foods = lines.flatMap((line) => foodOf(line, book.reference.foods) ?? [])
  const { family } = evaluation.abilities
  if (!lines.length) return { id: null, row: undefined, leavened: null }
  const night = stage === 'night-before'
  if (family === 'bought') {
    const out = book.add('Take the bought dough out', {
      id: 'dough.out',
      time: 'rest-bought',
      kind: 'rest',
      partId,
    })
    return { id: out, row: 'rest-bought', leavened: null }
  }
  const whole = (evaluation.dough.wholeGrainPct ?? 0) >= WHOLE_GRAIN_PCT
  const slower = whole ? WHOLE_GRAIN_RESTS : 1
  const yeast = foods.some((food) => /yeast|sourdough/.test(food.id))
  const powder = foods.some(
    (food) => foodIs(food, 'fixed') && food.group === 'leavening' && !/yeast/.test(food.id),
  )

  let last = book.add('Weigh out the dough', {
    id: 'dough.weigh',
    time: 'weigh',
    times: Math.max(3, lines.length),
    kind: 'weigh',
    hands: true,
    partId,
    ahead: night,
  })
  if (yeast && (foods.some((food) => food.id === 'fresh-yeast') || FOAMS.test(recipe.method.join(' ')))) {
    last = book.add('Yeast foams in the warm liquid', {
      id: 'dough.bloom',
      time: 'bloom',
      kind: 'rest',
      after: book.after(last),
      partId,
      ahead: night,
    })
  }
  // What a filling rests or chills is no rest of the dough; what is said of no part may be.
  const ofDough = (kind: FactKind) => book.stated(kind, partId) ?? book.stated(kind, null)
  const kneadMinutes = ofDough('knead-minutes')
  if (family === 'scalded') {
    last = book.add('Pour boiling water over the flour', {
      id: 'dough.scald',
      time: 'scald',
      kind: 'dough',
      hands: true,
      uses: { board: 1, burner: 1 },
      after: book.after(last),
      partId,
    })
    last = book.add('Dough cools until a hand can bear it', {
      id: 'dough.cool',
      time: 'cool-scalded',
      kind: 'rest',
      after: book.after(last),
      partId,
    })
  }
  const short = family === 'short' || family === 'flaky'
  const mix = book.time('mix')
  const work = book.time(short ? 'rub' : 'knead')
  const worked = work.minutes * (short ? 1 : slower)
  const bloomed = last.endsWith('.bloom')
  last = book.add(short ? 'Rub in the fat, press together' : 'Mix and knead the dough', {
    id: 'dough.knead',
    time: {
      minutes: mix.minutes + worked,
      low: (mix.low + work.low) / (mix.minutes + worked),
      high: (mix.high + work.high * (short ? 1 : slower)) / (mix.minutes + worked),
      why: `${mix.why}, then ${work.why}`,
      source: work.source,
    },
    stated: kneadMinutes === null ? null : kneadMinutes + mix.minutes,
    kind: 'dough',
    hands: true,
    uses: { board: 1 },
    after: book.after(last, family === 'scalded' ? 'cool-scalded' : bloomed ? 'bloom' : undefined),
    partId,
    ahead: night && family !== 'scalded',
  })
  const kneaded = last
  const rest = `rest-${family}`
  if (yeast) return risen(book, last, partId, slower)
  if (night && family !== 'scalded') {
    const cold = book.add('Dough rests in the fridge', {
      id: 'dough.cold',
      time: 'cold-rest',
      kind: 'rest',
      uses: { fridge: 1 },
      after: book.after(last),
      partId,
    })
    const warm = family === 'yogurt' ? 'warm-up-yogurt' : 'warm-up'
    const out = book.add('Dough comes out of the fridge', {
      id: 'dough.out',
      time: warm,
      kind: 'rest',
      after: [{ ...book.after(cold)[0]!, maxMinutes: 960, why: book.time('cold-rest').why }],
      partId,
    })
    return { id: out, row: warm, leavened: null }
  }
  const usual = book.time(rest)
  if (usual.minutes > 0) {
    const stated = (short ? ofDough('chill-minutes') : null) ?? ofDough('rest-minutes')
    last = book.add(short ? 'Dough chills' : 'Dough rests, covered', {
      id: 'dough.rest',
      time: rest,
      times: slower,
      stated,
      kind: 'rest',
      uses: short ? { fridge: 1 } : {},
      after: book.after(last),
      partId,
      ...(whole && stated === null ? { why: `${usual.why}; whole grain half as long again` } : {}),
    })
  }
  return {
    id: last,
    row: family === 'scalded' ? 'cool-scalded' : rest,
    leavened:
      powder && !short ? { from: kneaded, restMinutes: kneaded === last ? 0 : book.get(last).minutes } : null,
  }
}

/** A proof of filled pieces is short, and nobody lets them double. Common practice, no source. */
const MOST_PROOF_MINUTES = 50

/** Minutes of the first rise and of the proof of the filled pieces, as the text gives them; null where it is silent. */
export function statedRises(book: TaskBook): { first: number | null; proof: number | null } {
  const rises = book.everyStated('rise-minutes')
  const proofs = rises.filter(({ minutes, text }) => minutes <= MOST_PROOF_MINUTES && !/doubl/i.test(text))
  const firsts = rises.filter((one) => !proofs.includes(one))
  return {
    first: firsts.length ? Math.max(...firsts.map(({ minutes }) => minutes)) : null,
    proof: proofs.at(-1)?.minutes ?? null,
  }
}

/** After its eight hours a dough keeps so much longer in the fridge, with less yeast. Common practice, no source. */
const MOST_COLD_WAIT = 720

/** The rise of a yeast dough: in the room, or overnight in the fridge. */
function risen(book: TaskBook, kneaded: string, partId: string | null, slower: number): DoughReady {
  if (book.dish.stage === 'night-before') {
    const cold = book.add('Dough rises in the fridge', {
      id: 'dough.cold',
      time: 'cold-rise',
      kind: 'rise',
      uses: { fridge: 1 },
      after: book.after(kneaded),
      partId,
    })
    const out = book.add('Dough comes out of the fridge', {
      id: 'dough.out',
      time: 'warm-up',
      kind: 'rest',
      after: [{ ...book.after(cold)[0]!, maxMinutes: MOST_COLD_WAIT, why: book.time('cold-rise').why }],
      partId,
    })
    return { id: out, row: 'warm-up', leavened: null }
  }
  const { roomC } = book.around
  const stated = statedRises(book).first
  const usual = book.time('rise')
  const room = `the room has ${Math.round(roomC)} °C`
  const id = book.add('Dough rises to double', {
    id: 'dough.rise',
    // A recipe's rise is meant for an ordinary room; a colder one takes longer all the same.
    time: {
      minutes:
        stated === null
          ? riseMinutes(usual.minutes, roomC) * Math.sqrt(slower)
          : (stated * riseMinutes(1, roomC)) / riseMinutes(1, STATED_ROOM_C),
      low: usual.low / usual.minutes,
      high: usual.high / usual.minutes,
      why: stated === null ? `${usual.why}; ${room}` : `the recipe says ${Math.round(stated)} min; ${room}`,
      source: stated === null ? usual.source : 'the recipe, with common practice for the room',
    },
    kind: 'rise',
    after: book.after(kneaded),
    partId,
  })
  return { id, row: 'rise', leavened: null }
}
