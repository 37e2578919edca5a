import { randomUUID } from 'node:crypto'
import { foodFromMade } from '../../../core/tables/homemadeFoods'
import { reference } from '../../../data/reference'
import { putMadeFood } from '../../db/foods'
import { readJson } from '../../http/body'
import { madeFoodRequest } from '~~/shared/api/requests'
import { knownFoods } from '../../services/knownFoods'
import { invalid } from '../../http/problem'

/** Stores a food that the cook makes of others: a spice paste, a plant meat, a soft cheese. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, madeFoodRequest)
  const foods = await knownFoods(body.madeOf.map((one) => one.foodId))
  const strange = body.madeOf.flatMap(({ foodId }, at) =>
    foods.has(foodId)
      ? []
      : [{ field: `madeOf[${at}].foodId`, message: 'use the id of a food from /api/foods' }],
  )
  if (strange.length) throw invalid(strange)
  const ingredients = body.madeOf.map(({ foodId, grams }) => ({ food: foods.get(foodId)!, grams }))
  const dryGrams = ingredients.reduce(
    (sum, { food, grams }) => sum + (grams * (100 - food.per100g.waterG)) / 100,
    0,
  )
  if (body.makesGrams < dryGrams)
    throw invalid([
      {
        field: 'makesGrams',
        message: `what is dry in it weighs ${Math.ceil(dryGrams)} g; at least that has to come out`,
      },
    ])
  const food = foodFromMade(
    {
      id: `own-${randomUUID()}`,
      ...body,
      ingredients,
      group: 'own',
      gramsPerMl: 1,
      source: 'weighed by the cook',
    },
    reference.cooking,
  )
  setResponseStatus(event, 201)
  return putMadeFood(food)
})
