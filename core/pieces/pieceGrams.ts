import type { PartKind } from '../recipe/document'
import type { PieceGrams } from './crossSection'

interface PartOfPiece {
  kind: PartKind
  perPiece: { grams: number }
}

/** The weights of one piece that its cross-section is drawn from. A dip lies beside it and is left out. */
export function pieceGrams(evaluation: { parts: readonly PartOfPiece[] }): PieceGrams {
  const fillings = evaluation.parts.filter((part) => part.kind === 'filling' && part.perPiece.grams > 0)
  const sum = (kind: PartKind) =>
    evaluation.parts
      .filter((part) => part.kind === kind)
      .reduce((total, part) => total + part.perPiece.grams, 0)
  return {
    doughGrams: sum('shell'),
    // Several fillings share the pieces: one piece holds the average of them, not their sum.
    fillingGrams: (fillings.length ? sum('filling') / fillings.length : 0) + sum('marinade'),
    coatGrams: sum('finish'),
    oilGrams: sum('pan'),
  }
}
