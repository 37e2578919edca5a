/// <reference path="./tables.d.ts" />
import { larderFromRows, type Larder } from '../core/larder'
import diets from './diets.csv'
import foods from './foods.csv'
import swaps from './swaps.csv'

/** The larder that ships with the product, built once from the tables beside this file. */
export const larder: Larder = larderFromRows({ foods, diets, swaps })
