import type { Food } from '../food/food'
import type { Note } from './unstated'

/** What a packet may say of salt and sugar behind the name, and foods for which that makes a difference. Our own limits. */
const CLAIMS: readonly { said: RegExp; holds: (food: Food) => boolean; doubt: string }[] = [
  {
    said: /\b(?:low|lower|reduced|less|no|without)[- ](?:added |extra )?(?:salt|sodium)\b|\bunsalted\b/i,
    holds: ({ per100g }) => per100g.sodiumMg >= 100,
    doubt: 'its salt is counted as usual',
  },
  {
    said: /\b(?:low|lower|reduced|less|no|without)[- ](?:added |extra )?sugar\b|\bsugar[- ]free\b|\bunsweetened\b/i,
    holds: ({ per100g }) => per100g.sugarsG >= 10,
    doubt: 'its sugar is counted as usual',
  },
  {
    said: /(?<!un)\bsweetened\b/i,
    holds: ({ per100g }) => per100g.sugarsG < 10,
    doubt: 'sugar that was added is not counted',
  },
]

/**
 * What is written behind a name of its salt and sugar, and is not known of the food that was found: a reader would
 * believe it was counted.
 *
 * @param prep what stands behind the name, phrase by phrase
 */
export function packetClaims(prep: readonly string[], food: Food): Note[] {
  return prep.flatMap((word): Note[] => {
    const claim = CLAIMS.find(({ said, holds }) => said.test(word) && holds(food))
    if (!claim || [food.name, ...food.synonyms].some((one) => claim.said.test(one))) return []
    return [{ code: 'claim', level: 'check', text: `"${word}" is not known of ${food.name}: ${claim.doubt}` }]
  })
}
