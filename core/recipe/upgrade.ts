import { newLine, newPart, type Line, type Part, type Recipe } from './document'
import { lessSure, PLAIN_COOKING, type MeasuredBy } from './vocabulary'

/** A document as an older version of the program wrote it: fields that came later are not there. */
export type OlderRecipe = Omit<Recipe, 'parts' | 'cooking'> & {
  parts: (Partial<Omit<Part, 'lines'>> & Pick<Part, 'kind'> & { lines?: Partial<Line>[] })[]
  cooking: Partial<Recipe['cooking']> & Pick<Recipe['cooking'], 'way'>
}

/** Notes of a line from before it said itself how its amount was come by. */
const MEASURED_BY_NOTE: Readonly<Record<string, MeasuredBy>> = {
  approximate: 'about',
  volume: 'volume',
  heap: 'volume',
  'unit-weight': 'count',
}

function upgradeLine(line: Partial<Line>): Line {
  const measuredBy =
    line.measuredBy ??
    (line.notes ?? []).reduce<MeasuredBy>(
      (found, { code }) => lessSure(found, MEASURED_BY_NOTE[code] ?? 'scale'),
      'scale',
    )
  return newLine({
    ...line,
    measuredBy,
    choices: (line.choices ?? []).map((choice) => ({ ...choice, measuredBy: choice.measuredBy ?? 'scale' })),
  })
}

/**
 * Gives a stored document the fields that came after it was written, with what they mean when nothing is known.
 * Everything that is there stays as it is. Documents enter through here, so nothing else has to ask.
 *
 * @param stored a document that passed the schema of its time
 */
export function upgradeRecipe(stored: Recipe | OlderRecipe): Recipe {
  const codes = new Set((stored.notes ?? []).map((note) => note.code))
  return {
    ...stored,
    piecesStated: stored.piecesStated ?? !codes.has('pieces-assumed'),
    servingsStated: stored.servingsStated ?? !codes.has('servings-assumed'),
    boughtPricePerPiece: stored.boughtPricePerPiece ?? null,
    avoid: stored.avoid ?? [],
    facts: stored.facts ?? [],
    cooking: { ...PLAIN_COOKING, ...stored.cooking },
    parts: stored.parts.map((part) =>
      newPart({
        ...part,
        lines: (part.lines ?? []).map(upgradeLine),
        setAside: (part.setAside ?? []).map(upgradeLine),
      }),
    ),
  }
}
