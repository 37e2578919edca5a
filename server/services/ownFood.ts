import type { z } from 'zod'
import { checkLabel, foodFromLabel } from '../../core/food/packet'
import { reference } from '../../data/reference'
import { putOwnFood } from '../db/foods'
import type { ownFoodRequest } from '~~/shared/api/requests'
import { invalid } from '../http/problem'

/** Checks a label and stores it as the food with this id. Answers 422 with every field that is wrong. */
export async function storeOwnFood(id: string, { label, who, likeId }: z.output<typeof ownFoodRequest>) {
  const errors = checkLabel(label)
    .filter((doubt) => doubt.level === 'error')
    .map(({ field, message }) => ({ field: `label.${field}`, message }))
  const like = likeId === null ? null : reference.foods.get(likeId)
  if (like === undefined)
    errors.push({ field: 'likeId', message: 'a food of our table is expected, or null; see /api/foods' })
  if (errors.length) throw invalid(errors)
  return putOwnFood(foodFromLabel(label, id, `packet, typed in by ${who}`, like!), label, who)
}
