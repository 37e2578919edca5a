import type { ReferenceData } from '../core/tables/referenceData'
import { swapTable } from './swapTable'
import { table } from './table'

/** The larder that ships with the product, built once from the tables beside this file. */
export const reference: ReferenceData = { ...table, ...swapTable }
