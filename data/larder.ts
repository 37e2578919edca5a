import type { Larder } from '../core/larder'
import { swapTable } from './swapTable'
import { table } from './table'

/** The larder that ships with the product, built once from the tables beside this file. */
export const larder: Larder = { ...table, ...swapTable }
