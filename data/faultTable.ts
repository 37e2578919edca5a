import { faultsFromRows, type Fault } from '../core/log/faults'
import faults from './faults.csv'

/** What goes wrong and what it comes from. It comes with the Notebook, apart from the foods. */
export const faultTable: readonly Fault[] = faultsFromRows(faults)
