import { remember } from './remember'
import { startsLikeStep } from './stepWords'
import type { Row } from './tidy'
import { WORKS_ON } from './verbs'

// How work is told afterwards: "I chopped the onion, fried it for 8 minutes" is "I chop the onion, fry it for …".

/** What is done in a kitchen besides the usual work. */
const MORE_WORK =
  'assemble|bash|blanch|blitz|bring|brown|butter|char|chuck|combine|cream|crumble|crush|dice|divvy|dollop|drape|drizzle|drop|dunk|egg[- ]?wash|enclose|finish|flake|flip|flour|follow|form|freeze|get|give|grease|griddle|grill|halve|heat|keep|leave|melt|microwave|mince|mould|oil|pan[- ]?fry|deep[- ]?fry|shallow[- ]?fry|air[- ]?fry|stir[- ]?fry|par[- ]?boil|pack|paint|pat|pick|pile|plonk|poach|pop|portion|pound|preheat|process|pull|pulse|push|quarter|re-?roll|refrigerate|remove|rub|salt|sandwich|saut[eé]|scoop|score|scrape|scrunch|sear|shred|sift|skim|slip|slit|smear|smoosh|soak|soften|split|spray|squash|squish|stack|stand|stick|stone|sweat|swirl|take|tear|throw|tip|toast|trim|tuck|use|warm|wash|weigh|whack|whizz|wring|zest|make|bung|moisten|dampen|join|scramble|marinate|cube|deseed|defrost|thaw|lay|shove'

/** Verbs whose past is a word of its own. "Ground" is how beef is. */
const IRREGULAR: Readonly<Record<string, string>> = {
  made: 'make',
  took: 'take',
  got: 'get',
  threw: 'throw',
  left: 'leave',
  froze: 'freeze',
  brought: 'bring',
  gave: 'give',
  kept: 'keep',
  stuck: 'stick',
  stood: 'stand',
  tore: 'tear',
  wrung: 'wring',
  laid: 'lay',
}
/** Whose past is the same word. */
const SAME = new Set(['put', 'cut', 'spread', 'beat', 'split', 'slit'])

function pastOf(verb: string): string[] {
  if (SAME.has(verb) || Object.values(IRREGULAR).includes(verb)) return []
  if (/é$/.test(verb)) return [`${verb}ed`, `${verb}d`]
  if (/e$/.test(verb)) return [`${verb}d`]
  if (/[^aeiou]y$/.test(verb)) return [`${verb.slice(0, -1)}ied`]
  // "chopped", "patted": a short vowel doubles what it ends in.
  if (/(?:^|[^aeiou])[aeiou][bdgklmnprt]$/.test(verb) && !/(?:en|er|ow|ar)$/.test(verb))
    return [`${verb}${verb.at(-1)}ed`]
  return [`${verb}ed`]
}
const PRESENT = new Map<string, string>(Object.entries(IRREGULAR))
for (const spelt of `${WORKS_ON}|${MORE_WORK}`.replace(/\[- \]\?/g, '[- ]').split('|')) {
  const forms = spelt.includes('[- ]')
    ? [' ', '-', ''].map((gap) => spelt.replace('[- ]', gap))
    : spelt.includes('[eé]')
      ? ['sauté', 'saute']
      : [spelt.replace('-?', '')]
  for (const verb of forms) for (const past of pastOf(verb)) PRESENT.set(past, verb)
}
const DONE = [...PRESENT.keys()].sort((one, other) => other.length - one.length).join('|')
/** Done, and never the way of a food: "added peas", where "chopped dill" is dill. */
const ONLY_DONE =
  'added|put|made|took|threw|brought|gave|chucked|popped|bunged|tipped|poured|stirred|rubbed|used|kneaded|let|sprinkled|brushed|drizzled|divided|wrapped|covered|heated|sauteed|sautéed|combined|placed|removed|formed|repeated|seasoned|softened|sweated|shaped|got|assembled'
/** What is worked on, or where, or how long. */
const ON =
  "(?:the|it|them|this|that|these|those|everything|all|an?|my|your|some|half|each|every|both|one|two|three|four|six|eight|twelve|another|\\d+|in|into|on|onto|with|for|until|till|over|up|down|out|off|together|at|to|through|about|around|well|again|by|like|really|super|very|slowly|gently|lightly|quickly|roughly|finely|thinly|between|under|as|overnight|while|then|more|a bit)(?![a-zß-öø-ɏ'’])"
const HOW = '(?:[a-zß-öø-ɏ]+ly |just |also |then |first |really |basically )*'
/** Who did it, where nothing hangs on that: "I rolled it", not "that I rolled", "once we fried". */
const WHO = String.raw`(?<!\b(?:that|which|who|what|where|when|as|once|after|before|until|till|because|if|while|how|like|than|since|whenever) )(?:i|we|she|he|they)(?: then| just| also| basically| first| simply| only)*`

const withWho = new RegExp(String.raw`(?<=\b${WHO} ${HOW})(${DONE})(?=[^a-zß-öø-ɏ]|$)`, 'gi')
const first = new RegExp(
  String.raw`(?<=(?:^|[.;:!?]\s)\W*(?:(?:so|then|and|next|finally|now|anyway|ok|okay|first|lastly|after that|meanwhile),? )*${HOW})(?:(${ONLY_DONE})(?=\s)|(${DONE})(?=[\s:–-]+(?:${ON})|\s[^,.;]{0,40}\d ?(?:mins?|minutes|hours?|hrs?)\b))`,
  'gi',
)
/** "Cooked apples with sugar till soft": where the rest is told so, a sentence that begins with what was done. */
const anyway = new RegExp(
  String.raw`(?<=(?:^|[.!?]\s)\W*)(${DONE})(?=\s[^.;]{0,90}?(?:\b(?:until|till)\b|\b(?:${DONE}) (?:${ON})|,? (?:and|then) (?:${DONE})\b|, (?:then |and )?(?:${WORKS_ON})(?:[.,]| (?:the|it|them|in|with|until|till)\b)))`,
  'gi',
)
/** What stands behind another thing that was done. */
const next = new RegExp(
  String.raw`(?<=(?:,|\b(?:and|then|n|but|&|\+)|[.;:!–-])\s+(?:(?:and|then|so) )*${HOW})(?:(${ONLY_DONE})(?=\s+(?!and\b|or\b|with\b))|(${DONE})(?=\s+(?:${ON})|\W*(?:$|[,.;!]|and (?:${DONE})\b|(?:then|and) )|[^,.;]{0,40}\d+ ?(?:mins?|minutes|hours?|hrs?|h)\b))`,
  'gi',
)
/** In speech without marks: "filled them folded them egg washed and baked them". */
const onThem = new RegExp(
  String.raw`(?<!\b(?:that|which|was|were|been|be|is|are|have|has|had|had it|get|got|until|till|when|once|nicely|well|freshly|of|no|already|the|a|an|with|or|some) )\b(${DONE})(?= (?:the|it|them|everything|all|out|off|an?|\d+)\b| and (?:${DONE}) (?:it|them|the|for|at|till|until)\b)`,
  'gi',
)
/** How something is when it is done, and no work: "till softened and browned", "it was mixed", "had rested". */
const STATE =
  /\b(?:until|till|when|once|if|is|are|was|were|be|been|being|gets?|looks?|has|have|had|having|not)\b[^,.;:!]*$/i

const COUNTS =
  /^ (?:about |around |roughly |maybe |just |exactly |over )?(?:\d+|[a-z]+(?:teen|ty)|ten|a dozen)(?: (?:or so|ish|pieces?|out of (?:it|this)))?\W*(?:$|[.,!;])/i
function now(text: string, pattern: RegExp, guarded: boolean): string {
  /** Where a word ends that is told as work. */
  const told = new Set<number>()
  return text.replace(pattern, (...found: unknown[]) => {
    const at = found.at(-2) as number
    const said = found[0] as string
    const behind = text.slice(at + said.length)
    if (guarded) {
      const before = text.slice(Math.max(0, at - 60), at)
      if (STATE.test(before.replace(/\b(?:,|and then|then)\s+$/i, '; '))) return said
      // "200 g cabbage salted and squeezed": how it is, as the word before says.
      const joint = AND_BEFORE.exec(before)
      if (joint && PRESENT.has(joint[1]!.toLowerCase()) && !told.has(at - joint[2]!.length)) return said
    }
    // "Left over chicken".
    if (/^left$/i.test(said) && /^[ -]overs?\b/.test(behind)) return said
    if (/^served$/i.test(said) && /^ \d/.test(behind)) return said
    // "Got 14", "made about 20": what came of it.
    if (/^(?:got|made)$/i.test(said) && COUNTS.test(behind)) return said
    const verb = PRESENT.get(said.toLowerCase())
    if (!verb) return said
    told.add(at + said.length)
    return /^\p{Lu}/u.test(said) ? verb.charAt(0).toUpperCase() + verb.slice(1) : verb
  })
}
const AND_BEFORE = /([a-zß-öø-ɏ]+)(,? (?:and|&|\+|n) (?:then )?)$/i

const START_OF = /(?:^|[.!?]\s+)(?=\S)/
const timesOf = (pattern: RegExp, text: string): number => text.match(pattern)?.length ?? 0
/** How often it is said outright that something was done. */
const saidDone = remember((text: string): number =>
  Math.max(timesOf(withWho, text) + timesOf(first, text), timesOf(onThem, text)),
)

/** Fewer are a story. Our own choice. */
const LEAST_DONE = 2
/** Who tells more as work to be done has a method, and a story besides. Our own choice. */
const MOST_TOLD = 2

/** "I had about 300 g leftover chicken": what is taken. */
const HAD = new RegExp(
  String.raw`(?<=\b(?:i|we) )had (?=(?:about |around |some |an? |roughly |like |maybe )*(?:\d|half|leftover|left over|cooked|cold|some|an? [a-z]+ of))`,
  'gi',
)
const toldNow = remember((said: string): string => {
  const text = said.replace(HAD, 'use ')
  const began = now(now(now(text, withWho, false), first, false), anyway, false)
  return began === text ? said : now(now(began, next, true), onThem, true)
})

/**
 * Rows of a recipe that is told as what somebody did, told as what is to be done; how it was said is kept beside. A
 * text that tells only its story so, above a method, stays as it is.
 */
export function withPastTold(rows: readonly Row[]): Row[] {
  const done = rows.reduce((sum, { text }) => sum + saidDone(text), 0)
  if (done < LEAST_DONE) return [...rows]
  const told = rows.reduce(
    (sum, { text }) =>
      sum + text.split(START_OF).filter((sentence) => startsLikeStep(sentence) && !saidDone(sentence)).length,
    0,
  )
  if (told > MOST_TOLD * done) return [...rows]
  return rows.map((row, at) => {
    // What stands first names the dish: "Baked samosas".
    const text = at || saidDone(row.text) ? toldNow(row.text) : row.text
    return text === row.text ? row : { ...row, text, said: row.text }
  })
}
