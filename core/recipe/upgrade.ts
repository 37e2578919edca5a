import { newLine, newPart, type Line, type Part, type Recipe } from './document'
import { PLAIN_COOKING } from './vocabulary'

/** A document as an older version of the program wrote it: fields that came later are not there. */
export type OlderRecipe = Omit<Recipe, 'parts' | 'cooking'> & {
  parts: (Partial<Omit<Part, 'lines'>> & Pick<Part, 'kind'> & { lines?: Partial<Line>[] })[]
  cooking: Partial<Recipe['cooking']> & Pick<Recipe['cooking'], 'way'>
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
        lines: (part.lines ?? []).map((line) => newLine(line)),
        setAside: (part.setAside ?? []).map((line) => newLine(line)),
      }),
    ),
  }
}
