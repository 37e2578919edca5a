import { timesFromRows, type UsualTimes } from '../core/planning/times'
import times from './times.csv'

/** How long the work of a kitchen takes. It comes with the Clock, apart from the foods. */
export const timeTable: UsualTimes = timesFromRows(times)
