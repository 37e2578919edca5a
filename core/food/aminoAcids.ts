/**
 * The indispensable amino acids, with what an adult's protein should hold of each, in mg per g of protein:
 * FAO/WHO/UNU, Protein and amino acid requirements in human nutrition, WHO Technical Report Series 935, 2007,
 * scoring pattern for adults (from memory).
 */
export const AMINO_ACIDS = {
  histidine: { name: 'histidine', patternMgPerG: 15 },
  isoleucine: { name: 'isoleucine', patternMgPerG: 30 },
  leucine: { name: 'leucine', patternMgPerG: 59 },
  lysine: { name: 'lysine', patternMgPerG: 45 },
  sulphur: { name: 'methionine and cystine', patternMgPerG: 22 },
  aromatic: { name: 'phenylalanine and tyrosine', patternMgPerG: 38 },
  threonine: { name: 'threonine', patternMgPerG: 23 },
  tryptophan: { name: 'tryptophan', patternMgPerG: 6 },
  valine: { name: 'valine', patternMgPerG: 39 },
} as const

export type AminoAcid = keyof typeof AMINO_ACIDS
export const AMINO_ACID_KEYS = Object.keys(AMINO_ACIDS) as AminoAcid[]

/** What a food's protein is made of, in mg per g of protein. */
export interface AminoAcids {
  mgPerGProtein: Record<AminoAcid, number>
  source: string
}
