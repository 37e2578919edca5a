import type { Food } from '~~/core/food/food'
import type { TaughtName } from '~~/core/tables/taughtNames'
import { withFoods, withNames, type ReferenceData } from '~~/core/tables/referenceData'
import type { Intake } from '~~/core/reading/readRecipe'
import { readWithAnswers, type Given } from '~~/core/reading/withAnswers'
import { reference as table } from '~~/data/reference'

/** What the cook's larder holds besides the tables; sent when it has changed. */
export interface OwnLarder {
  foods: Food[]
  names: TaughtName[]
}
export type Order =
  { kind: 'larder'; own: OwnLarder } | { kind: 'read'; turn: number; text: string; given: Given[] }
export interface Read {
  turn: number
  intake: Intake | null
}

let reference: ReferenceData = table

onmessage = ({ data }: MessageEvent<Order>) => {
  if (data.kind === 'larder') {
    reference = withNames(withFoods(table, data.own.foods), data.own.names)
    return
  }
  const answer: Read = { turn: data.turn, intake: readWithAnswers(data.text, data.given, reference.foods) }
  postMessage(answer)
}
