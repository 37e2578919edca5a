import { surfacesFromRows, type Surfaces } from '../core/simulation/surfaces'
import surfaces from './surfaces.csv'

/** How ways of cooking bring heat to a surface. It comes with the Stove, apart from the foods. */
export const surfaceTable: Surfaces = surfacesFromRows(surfaces)
