import { foodIs, type FoodGroup } from '../food/groups'
import { CALLED, wordsOfDraft, type Draft } from './drafts'
import { normaliseName, plainWords } from './match'

/** What goes in by the name of its kind, several at once: "mix in the nuts", "add the sauces". */
const KINDS_CALLED: readonly (readonly [said: RegExp, groups: readonly FoodGroup[]])[] = [
  [/\bnuts\b/i, ['nut']],
  [/\bsauces\b/i, ['sauce']],
  [/\bfish\b(?! (?:sauce|cakes?|stock|balls?)\b)/i, ['fish']],
  [/\b(?<!\b(?:dried|mixed|italian) )herbs\b/i, ['herb']],
  [/\bdried fruits?\b/i, ['dried-fruit']],
]

/** Which lines of a part a stretch of the method names, by their numbers from 0. */
export function namesOfPot(draft: Draft): (text: string) => number[] {
  const every = draft.lines.map((_, at) => at)
  const words = wordsOfDraft(draft)
  const wordsOfLine = draft.lines.map((item) => {
    const name = item.food ? item.food.name.split(',')[0]! : ''
    const called = item.food?.synonyms.filter((other) => !other.includes(' ')).join(' ') ?? ''
    const minced = item.food?.group === 'minced-meat' ? 'mince' : ''
    const own = normaliseName(`${item.read.name} ${name} ${called} ${minced}`)
      .split(' ')
      .filter((word) => words.has(word))
    // "Stir in the crumbs", of whatever bread.
    if (/crumbs|panko/.test(item.food?.id ?? '')) own.push(...plainWords('crumbs'))
    // "Sauté the onion and pepper" is a vegetable's, where there is one.
    if (item.food?.group === 'spice' && own.includes('pepper')) return own.filter((word) => word !== 'pepper')
    // "Brown the beef" puts no beef stock into the pot.
    const stock = own.filter((word) => /^(?:stock|broth|bouillon)$/.test(word))
    return stock.length ? stock : own
  })
  /** What a line is, without what kind of it: "mushroom" of "chestnut mushrooms". */
  const headOfLine = draft.lines.map(({ read }) =>
    normaliseName(read.name).replace(PART_OF_PLANT, '').split(' ').at(-1)!,
  )
  /** "Chilli powder" of "red chilli powder": what is named whole is that line, and no other with one of its words. */
  const twoWords = draft.lines.map(({ read }) => normaliseName(read.name).split(' ').slice(-2).join(' '))
  const named = (text: string): number[] => {
    const plain = plainWords(text)
    const traits = CALLED.filter(([word]) => plain.has(word)).map(([, trait]) => trait)
    const groups = KINDS_CALLED.filter(([said]) => said.test(text)).flatMap(([, of]) => of)
    const found = every.filter(
      (at) =>
        wordsOfLine[at]!.some((word) => plain.has(word)) ||
        traits.some((trait) => foodIs(draft.lines[at]!.food, trait)) ||
        groups.some((group) => group === draft.lines[at]!.food?.group),
    )
    // "Blitz the chestnuts" means no chestnut mushrooms where there are chestnuts.
    const heads = new Set(found.map((at) => headOfLine[at]!).filter((word) => plain.has(word)))
    // "Stir in the coriander" is the leaf, where the ground one is listed as well.
    const bare = new Set(
      found.map((at) => normaliseName(draft.lines[at]!.read.name)).filter((name) => heads.has(name)),
    )
    const isGround = (at: number) =>
      bare.has(headOfLine[at]!) && /\bground\b/i.test(draft.lines[at]!.read.name) && !/\bground\b/i.test(text)
    return found.filter((at) => {
      if (isGround(at)) return false
      const own = wordsOfLine[at]!.filter((word) => plain.has(word))
      const kinds = plainWords(draft.lines[at]!.read.name)
      return (
        own.includes(headOfLine[at]!) ||
        !own.length ||
        own.some((word) => !heads.has(word) || !kinds.has(word))
      )
    })
  }
  return (text) => {
    const said = ` ${normaliseName(text)} `
    const whole = every.filter((at) => twoWords[at]!.includes(' ') && said.includes(` ${twoWords[at]!} `))
    // "Stir in the chicken stock": a line may be called by one word of it as well.
    const isPowder = whole.some((at) => GROUND.test(twoWords[at]!))
    if (!isPowder) return named(text)
    const rest = whole.reduce((left, at) => left.replace(` ${twoWords[at]!} `, ' '), said)
    return [...new Set([...whole, ...named(rest)])].sort((a, b) => a - b)
  }
}

/** "Fennel bulb", "celery stick": the first word names it. */
const PART_OF_PLANT = / (?:bulb|stick|stalk|head|clove|rib)s?$/
const GROUND = / (?:powder|flakes?|seeds?|paste|oil|flour|sauce|juice|zest|leaf|leaves|cheese)$/
