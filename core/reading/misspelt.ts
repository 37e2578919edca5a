// Misspelt words, and the known ones they may stand for.

/** Edits between two words, a swap of neighbours counting one; gives up above `limit`. */
export function editDistance(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1
  let before: number[] = []
  let previous = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const current = [i]
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1
      let best = Math.min(previous[j]! + 1, current[j - 1]! + 1, previous[j - 1]! + cost)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, before[j - 2]! + 1)
      current.push(best)
    }
    before = previous
    previous = current
  }
  return previous[b.length]!
}

/**
 * The known word that is nearest to one that is not known, with the same first letter: one edit apart, two from eight
 * letters on. Null where the word is known, is too short, or nothing is near.
 *
 * @param known words by their length
 */
export function closestWord(word: string, known: ReadonlyMap<number, readonly string[]>): string | null {
  if (word.length < 5) return null
  const limit = word.length >= 8 ? 2 : 1
  let best: string | null = null
  let bestDistance = limit + 1
  for (let length = word.length - limit; length <= word.length + limit; length++) {
    for (const candidate of known.get(length) ?? []) {
      if (candidate === word) return null
      if (candidate[0] !== word[0]) continue
      const distance = editDistance(word, candidate, limit)
      if (distance < bestDistance) {
        best = candidate
        bestDistance = distance
      }
    }
  }
  return best
}
