import { orderApart } from '../tray/apart'
import { cookingTasks, WAYS, type Holding } from './cookingTasks'
import type { DoughReady } from './doughTasks'
import type { TaskBook, TaskWait } from './tasks'

/** From the eleventh piece on hands are quicker. Common practice, no source. */
const PRACTISED_AFTER = 10

/** A small piece is closed with a pinch or two: below so much dough it takes less time, down to a quarter. Common practice, no source. */
const SMALL_DOUGH_GRAMS = 8
const LEAST_SHARE = 0.25
const shareForSize = (doughGramsPerPiece: number): number =>
  Math.min(1, Math.max(LEAST_SHARE, doughGramsPerPiece / SMALL_DOUGH_GRAMS))

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
    const id = book.add(last ? 'Roll the trimmings and cut' : 'Roll and cut', {
      id: `roll.${cut.pass}`,
      time: {
        minutes: book.time('roll').minutes + book.time('cut').minutes * cut.pieces,
        low: 0.8,
        high: 1.6,
        why: last
          ? `${cut.pieces} more, after the trimmings have rested ${book.time('rest-trimmings').minutes} min`
          : `${cut.pieces} of the first sheet`,
        source: book.time('roll').source,
      },
      kind: 'divide',
      hands: true,
      uses: { board: 1 },
      after: last ? book.after(last.id, 'rest-trimmings', book.time('rest-trimmings').minutes) : after,
      partId,
    })
    ends.push({ id, upTo })
  }
  return (pieces) => book.after((ends.find((end) => end.upTo >= pieces) ?? ends.at(-1)!).id)
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
    const cookedByHand = WAYS[recipe.cooking.way].hands && ware ? ware.minutesEach : 0
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
          times: equal * shareForSize(planned.doughGramsPerPiece),
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
  return cookingTasks(book, { shaped, batches, perBatch, cold })
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
  return [{ id: bag, mostMinutes: null, why: '' }]
}
