import type { PartKind } from '../recipe/vocabulary'
import type { PieceGrams } from '../piece/crossSection'

interface PartOfPiece {
  kind: PartKind
  /** The pieces that hold it. */
  pieces: number
  perPiece: { grams: number }
}

/** The weights of one piece that its cross-section is drawn from. A dip lies beside it and is left out. */
export function pieceGrams(evaluation: { pieces: number; parts: readonly PartOfPiece[] }): PieceGrams {
  const fillings = evaluation.parts.filter((part) => part.kind === 'filling')
  const fillingGrams = fillings.reduce((total, part) => total + part.perPiece.grams * part.pieces, 0)
  const sum = (kind: PartKind) =>
    evaluation.parts
      .filter((part) => part.kind === kind)
      .reduce((total, part) => total + part.perPiece.grams, 0)
  return {
    doughGrams: sum('shell'),
    // Several fillings share the pieces, each its own number: one piece holds their average, not their sum.
    fillingGrams: fillingGrams / evaluation.pieces + sum('marinade'),
    coatGrams: sum('finish'),
    oilGrams: sum('pan'),
  }
}
