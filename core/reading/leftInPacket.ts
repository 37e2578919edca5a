import { foodIs } from '../food/groups'
import { timesWeights } from '../recipe/scale'
import type { Draft } from './drafts'
import type { Witnessed } from './pieceWitnesses'
import { countOf } from './sheetCuts'

// What of a packet nobody fills.

/** "1 packet wrappers (50)" of which 40 are filled: the others stay in their packet. */
export function leaveInPacket(drafts: readonly Draft[], found: readonly Witnessed[], pieces: number): void {
  const line = drafts
    .flatMap(({ kind, lines }) => (kind === 'shell' ? lines : []))
    .find(
      ({ food, read }) =>
        foodIs(food, 'bought-dough') && read.prep.includes('from a container') && countOf(read),
    )
  const inPacket = line && countOf(line.read)
  if (!line?.line.grams || !inPacket) return
  // Of filo nobody knows how many sheets lie on one another; a wrapper is one piece.
  const bought =
    found.find(({ by }) => by === 'bySheet') ??
    (line.food?.group === 'wrapper' ? found.find(({ by }) => by === 'byWrapper') : undefined)
  // Twice as many are two for each.
  if (!bought || bought.pieces <= pieces || bought.pieces % pieces === 0) return
  Object.assign(line.line, timesWeights(line.line, pieces / bought.pieces))
  line.line.notes.push({
    code: 'left-in-packet',
    level: 'check',
    text: `${inPacket} are in the packet, and ${pieces} pieces take ${Math.round((inPacket * pieces) / bought.pieces)} of them: the others are not counted`,
  })
}
