// The application and the server are checked apart and both need to know what a table is.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./tables.d.ts" />
import { referenceFromRows, type ReferenceData } from '../core/tables/referenceData'
import aminoAcids from './amino-acids.csv'
import diets from './diets.csv'
import fatSteps from './fat-steps.csv'
import foods from './foods.csv'
import homemade from './homemade.csv'
import needs from './needs.csv'
import retention from './retention.csv'
import standIns from './stand-ins.csv'
import states from './states.csv'
import strength from './strength.csv'
import yields from './yields.csv'

/** The larder without its swaps: what the first figures of a recipe need. */
export const table: ReferenceData = referenceFromRows({
  foods,
  standIns,
  fatSteps,
  states,
  homemade,
  diets,
  swaps: [],
  formulas: [],
  likeness: [],
  levers: [],
  aminoAcids,
  yields,
  retention,
  strength,
  needs,
})
