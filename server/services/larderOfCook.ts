import type { Food } from '../../core/food/food'
import type { TaughtName } from '../../core/tables/taughtNames'
import { withFoods, withNames, type ReferenceData } from '../../core/tables/referenceData'
import { reference } from '../../data/reference'
import { isDatabaseDown } from '../db/errors'
import { allTaughtNames } from '../db/taughtNames'
import { knownFoods } from './knownFoods'

/** The larder with what the cook taught it, and what was taught on its own: that is what a thread is sent. */
interface Spoken {
  names: TaughtName[]
  foods: Food[]
  reference: ReferenceData
}

/** Built once for what is taught: looking names up in it is prepared with it. */
let taught: Spoken & { key: string } = { key: '[]', names: [], foods: [], reference }

/** The larder as the cook speaks of it; without the database, as the table does. */
export async function larderOfCook(): Promise<Spoken> {
  try {
    const names = await allTaughtNames()
    const key = JSON.stringify(names)
    if (key !== taught.key) {
      const foods = [...(await knownFoods(names.map((one) => one.foodId))).values()]
      taught = { key, names, foods, reference: withNames(withFoods(reference, foods), names) }
    }
    return taught
  } catch (error) {
    if (!isDatabaseDown(error)) throw error
    return { names: [], foods: [], reference }
  }
}
