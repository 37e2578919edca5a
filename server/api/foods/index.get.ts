import { searchFoods as searchTable } from '../../../core/reading/searchFoods'
import { reference } from '../../../data/reference'
import { countFoods, foodsById, ownFoods, searchFoods } from '../../db/foods'
import { isDatabaseDown } from '../../db/errors'

const MAX_FOUND = 20

/**
 * Foods: the likeliest for `q` on every shelf, those of `ids`, the cook's own for `shelf=own`, or all of our
 * table. Without the database a query is answered from our table alone.
 */
export default defineEventHandler(async (event) => {
  const { q, ids, shelf } = getQuery(event)
  if (typeof ids === 'string') return { foods: await foodsById(ids.split(',').slice(0, 500)) }
  if (shelf === 'own') return { foods: await ownFoods(), counts: await countFoods() }
  if (typeof q !== 'string' || !q.trim()) {
    return { foods: [...reference.foods.values()].map((food) => ({ ...food, shelf: 'table' as const })) }
  }
  const query = q.slice(0, 200)
  try {
    return { foods: await searchFoods(query, MAX_FOUND) }
  } catch (error) {
    if (!isDatabaseDown(error)) throw error
    return {
      foods: searchTable(query, reference.foods, 20).map((food) => ({ ...food, shelf: 'table' as const })),
    }
  }
})
