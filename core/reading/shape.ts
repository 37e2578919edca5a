import type { Shape } from '../recipe/document'

/** What a dish is called says how it is closed. */
const BY_TITLE: readonly [Shape, RegExp][] = [
  [
    'lidded-pie',
    /\b(?:lidded|pie dish|pot pie|plate pie|double[- ]crust|covered pie|raised pie|pork pies?|line (?:the |a |an |each |\w+ )?(?:\w+ )?(?:moulds?|molds?|tins?|dish|dishes|ramekins?)\b[^.]{0,80}\blids?)\b/i,
  ],
  ['cone', /\b(?:cones?|samosas?|triangles?)\b/i],
  ['coil', /\b(?:coils?|coiled|snail|spirals?)\b/i],
  ['pleated', /\b(?:momos?|pleated(?: \p{L}+)?|modaks?|soup dumplings?|xiao ?long ?bao|khinkali)\b/iu],
  [
    'half-moon',
    /\b(?:turnovers?|half[- ]moons?|past(?:y|ies)|hand pies?|empanadas?|dumplings?|pierogi(?:es)?|vareniki|gyoza|potstickers?|jiaozi|pockets?|calzones?|crescents?)\b/i,
  ],
  [
    'disc',
    /\b(?:stuffed (?:flat)?breads?|griddle breads?|parathas?|flatbreads?|patt(?:y|ies)|kulchas?|kachoris?|pupusas?|arepas?|poli|rotis?|naans?|puris?|(?:potato|filled) cakes?)\b/i,
  ],
  ['bun', /\b(?:buns?|bao|baozi|pirozhki|rolls? \(round\)|balls?|bombs?)\b/i],
  ['roll', /\b(?:rolls?|strudel|roulade|egg rolls?|spring rolls?|cigars?)\b/i],
  ['parcel', /\b(?:parcels?|wontons?|envelopes?|squares?|packets?|manti|burritos?|knishes)\b/i],
]

/** What the hands do to close it. Words for pieces of dough ("rounds", "balls") say nothing of the shape. */
const BY_METHOD: readonly [Shape, RegExp][] = [
  [
    'lidded-pie',
    /\b(?:pie (?:dish|plate|tin)|(?:roll out|cut|put on|cover with) (?:the|a|your) lid|for the lids?\b|lid and (?:glaze|seal|crimp)|(?:add|put on|top with) (?:the |their |pastry )*lids?\b|lid of (?:dough|pastry)|top with the (?:lid|other|remaining) (?:pastry|dough)|(?:pie dish|deep dish)[^.]{0,60}lid|line (?:a|the) [^.]{0,30}(?:dish|tin|plate))\b/i,
  ],
  ['coil', /\b(?:coil (?:it|them|up|each|like)|into (?:a )?coils?|snail|spiral)\b/i],
  [
    'pleated',
    /\b(?:pleat(?:s|ed|ing)?\b(?! (?:the )?(?:edge|half))|twist(?:ed)? (?:shut|closed|the top)|like a (?:purse|pouch|money bag))\b/i,
  ],
  ['cone', /\b(?:cones?|triangles?)\b/i],
  [
    'half-moon',
    /\b(?:half[- ]moons?|fold (?:it |them |each |the dough |the pastry )?(?:over|in half|in two)|fold[^.]{0,30}(?:crimp|pinch|press the edges|fork)|(?:crimp|fork shut)|turnovers?|past(?:y|ies)|empanadas?)\b/i,
  ],
  ['parcel', /\b(?:envelopes?|packets?|parcels?|fold (?:in )?the (?:four )?(?:corners|sides))\b/i],
  ['roll', /\b(?:roll (?:up|it up|them up|into a (?:log|cigar))|tuck in the (?:sides|ends))\b/i],
  [
    'disc',
    /\b(?:flatten|patt(?:y|ies)|roll (?:gently|lightly|carefully)\b|roll (?:gently |out |it )*(?:again|to \d)|pat (?:out|into))\b/i,
  ],
  [
    'bun',
    /\b(?:buns?|seam[- ](?:side )?down|gather (?:the|up)|wrap the dough (?:a?round)|pinch (?:shut|closed|together|to))\b/i,
  ],
  ['half-moon', /\b(?:dumplings?|pockets?|fold)\b/i],
  ['bun', /\b(?:rounds?|balls?)\b/i],
]

const lastIndex = (text: string, pattern: RegExp) =>
  [...text.matchAll(new RegExp(pattern.source, 'giu'))].reduce(
    (_, match) => match.index + match[0].length,
    -1,
  )

/** The shape that the title, else the method, speaks of; null when neither does. */
export function readShape(title: string, method: string): Shape | null {
  // "Apple strudel parcels" are parcels: the last word of what it is called, before what it comes with.
  const own = title.split(/\s+(?:with|in|from)\s+|\s*[(,:]|\s+-\s+/i)[0]!
  const named =
    BY_TITLE.map(([shape, pattern]) => ({ shape, at: lastIndex(own, pattern) }))
      .filter(({ at }) => at >= 0)
      .sort((a, b) => b.at - a.at)[0] ??
    BY_TITLE.map(([shape, pattern]) => ({ shape, at: pattern.test(title) ? 0 : -1 })).find(
      ({ at }) => at === 0,
    )
  const made = BY_METHOD.find(([, pattern]) => pattern.test(method))
  // A flat bread that is filled and folded over is a half-moon.
  if (named?.shape === 'disc' && made?.[0] === 'half-moon' && /\bfold\b/i.test(method)) return 'half-moon'
  if (named) return named.shape
  if (made) return made[0]
  // One pie has a lid; pies are closed in the hand.
  if (/\bpie\b/i.test(title)) return 'lidded-pie'
  return /\bpies\b/i.test(title) ? 'half-moon' : null
}
