import { recalled } from './matches'
import type { Food } from '../food/food'
import { newLine } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'
import { isFat, newDraft, type Draft } from './drafts'
import { normaliseName } from './match'
import type { Clause } from './method'
import { gramsOf } from './pan'
import type { ReadIngredient } from './readIngredient'

// Fat of which the list gives the sum and the method the shares.

const BRUSHES = recalled(
  /\b(?:brush|drizzle|top)|\b(?:butter|oil) (?:the |each |every |all |both |\d+ )+(?:[a-zß-öø-ɏ]+ )?sheets?\b/i,
)
const BRUSHES_SHEETS = recalled(
  /\b(?:brush|paint|butter|oil)(?: (?:it|them|one|each|every|the|all|both|first|top|\d+|sheets?|strips?|layers?|leaf|leaves|pastry|filo|phyllo))* (?:lightly |generously |well )?with\b/i,
)
/** "Cook the onion in 2 tbsp of the oil": a part of what is listed. */
const PART_OF_IT = recalled(
  /\b(?:(?:\d[\d./ ]*|[¼½¾⅓⅔]|half|an?|one|two|three|four)\s*(?:tbsp|tablespoons?|tsp|teaspoons?|spoons?|spoonfuls?|knob|glug|splash|drizzle|g|ml|cup)s? of|half(?: of)?|a (?:little|bit)(?: bit)? of) the (?:[a-zß-öø-ɏ]+ )?(oil|butter|ghee|lard)\b/i,
)

/** Whether the method takes a part of the one fat of its word that is listed. */
function isTakenInParts(
  { line, food, read }: ReadIngredient,
  drafts: readonly Draft[],
  clauses: readonly Clause[],
): boolean {
  const word = food?.group === 'oil' ? 'oil' : food?.name.toLowerCase()
  const alike = drafts
    .flatMap(({ lines }) => lines)
    .filter((one) => isFat(one.food) && one.food?.group === food?.group)
  // "1 tbsp of the rapeseed oil" beside the sesame oil: named whole, it is that one.
  const own = normaliseName(read.name)
  const isNamed =
    own.includes(' ') &&
    clauses.some(({ text }) => PART_OF_IT.test(text) && normaliseName(text).includes(own))
  return (
    (alike.length === 1 || isNamed) &&
    clauses.some(({ text }) => {
      // "Blend the cheese and 1 tbsp butter … brush with the remaining butter".
      const remains = REMAINING_FAT.exec(text)?.[1]
      if (remains && word?.includes(remains.toLowerCase())) return true
      const said = PART_OF_IT.exec(text)
      const grams = said && food ? gramsUsed(said[0].replace(/\bof the\b.*/i, ''), food) : null
      return (
        said !== null && (word?.includes(said[1]!.toLowerCase()) ?? false) && (grams ?? 0) < (line.grams ?? 0)
      )
    })
  )
}

/** Grams of a share that is told; "a little of the butter" is a spoonful. Common practice, no source. */
const gramsUsed = (amount: string, food: Food) =>
  gramsOf(/^a (?:little|bit)\b/i.test(amount) ? '1 tbsp' : amount, food)

const REMAINING_FAT = recalled(
  /\b(?:remaining|rest of (?:the )?|other half of (?:the )?)\s?(?:[a-zß-öø-ɏ]+ )?(oil|butter|ghee|lard)\b/i,
)
const BRUSHES_WITH_IT = recalled(/\b(?:brush|paint|spread)\b[^.;]*\bwith (?:it|this|the mix(?:ture)?)\b/i)
/** "2 tbsp of the oil", "the remaining butter": fat that a clause uses, with its amount. */
const FAT_USED =
  /((?:\d[\d./ ]*|[¼½¾⅓⅔]|half|a|one|two|three)\s*(?:tbsp|tablespoons?|tsp|teaspoons?|spoons?|spoonfuls?|knob|glug|splash|drizzle|g|ml|cup)s?|a (?:little|bit)(?: bit)?(?= of the))?\s*(?:of )?(?:the |more |remaining |rest of the )*(?:[a-zß-öø-ɏ]+ )?(?:oil|butter|ghee|lard)\b/gi
const FAT_WORDS: ReadonlySet<string> = new Set(['oil', 'butter', 'ghee', 'lard'])
const lastWord = ({ read }: ReadIngredient) => normaliseName(read.name).split(' ').at(-1)!
/** "Sesame oil" beside "rapeseed oil". */
const isCalledOtherwise = (one: ReadIngredient, other: ReadIngredient) =>
  normaliseName(one.read.name).includes(' ') &&
  normaliseName(one.read.name) !== normaliseName(other.read.name)
const sharesWord = (one: ReadIngredient, other: ReadIngredient) => lastWord(one) === lastWord(other)

/**
 * Oil "divided" is shared out by the method: what the steps say by amount, the rest to the pan where the pieces are
 * fried and else kept.
 */
export function shareOutDivided(
  drafts: Draft[],
  clauses: readonly Clause[],
  ways: readonly CookingWay[],
): void {
  const fats = drafts.flatMap(({ lines }) => lines.filter(({ food }) => isFat(food)))
  const sharedOut = new Set<ReadIngredient>()
  for (const draft of [...drafts]) {
    for (const item of draft.lines) {
      if (!item.food || !isFat(item.food) || !item.line.grams) continue
      if (!item.read.divided && !isTakenInParts(item, drafts, clauses)) continue
      const total = item.line.grams
      const uses = new Map<Draft | 'pieces', number | null>()
      // "Brush with the remaining oil": that of the pieces is on top of them.
      let brushed = false
      for (const [at, { text, about: own }] of clauses.entries()) {
        // "Add oil and hot water" takes the oil, where the butter is what was divided; "without oil" takes no butter.
        const used = [...text.matchAll(FAT_USED)].find(([said]) => {
          const word = normaliseName(said).split(' ').at(-1)!
          if (word !== lastWord(item) && FAT_WORDS.has(lastWord(item))) return false
          return !fats.some((one) =>
            sharesWord(one, item)
              ? isCalledOtherwise(one, item) && normaliseName(said).includes(normaliseName(one.read.name))
              : normaliseName(said).split(' ').includes(lastWord(one)),
          )
        })
        // "Mix the remaining oil with the butter. Brush a sheet with it": it is brushed on.
        const isMixedForTop =
          used !== undefined &&
          /\bremaining\b|\brest of\b/i.test(used[0]) &&
          BRUSHES_WITH_IT.test(clauses[at + 1]?.text ?? '')
        // "Cut the sheets into strips, brush with butter": between two words of the filling it is the sheets' still.
        const isOnSheets =
          own !== null && own !== 'pieces' && own.kind === 'filling' && BRUSHES_SHEETS.test(text)
        const about = isMixedForTop || isOnSheets ? 'pieces' : own
        if (isMixedForTop) brushed = true
        if (!used || about === null) continue
        if (about === 'pieces' && BRUSHES.test(text)) brushed = true
        const grams = used[1] ? gramsUsed(used[1], item.food) : null
        // What is listed to be brushed on is brushed on, whatever it lies on then.
        const home = draft.kind === 'finish' && BRUSHES.test(text) ? draft : about
        uses.set(home, (uses.get(home) ?? 0) || (grams === null ? null : Math.min(grams, total)))
      }
      const others = [...uses].filter(
        ([about]) =>
          about !== draft &&
          // What the pieces are fried in is the pan's own.
          !(about === 'pieces' && !brushed && draft.kind === 'pan') &&
          // What is listed to be brushed on, and is what remains of it, is one line.
          !(about === 'pieces' && brushed && draft.kind === 'finish') &&
          (about !== 'pieces' ||
            brushed ||
            ways.some((way) => way === 'shallow-fry' || way === 'griddle' || way === 'brown-and-steam')),
      )
      if (!others.length) continue
      const stated = others.reduce((sum, [, grams]) => sum + (grams ?? 0), 0)
      const open = others.filter(([, grams]) => grams === null).length
      const own = uses.get(draft)
      const ownOpen = own === null ? 1 : 0
      const rest = Math.max(total - stated - (own ?? 0), 0)
      const each = open + ownOpen > 0 ? rest / (open + ownOpen) : 0
      const said = (grams: number) => ({
        code: 'divided',
        level: 'check' as const,
        text: `${Math.round(grams)} g of the ${Math.round(total)} g of the line, as the method shares it out`,
      })
      for (const [about, grams] of others) {
        const part = grams ?? each
        if (part <= 0) continue
        const kind = brushed ? 'finish' : 'pan'
        let home = about === 'pieces' ? drafts.find((one) => one.kind === kind) : about
        if (!home) {
          home = newDraft(kind)
          drafts.push(home)
        }
        const line = newLine({
          ...item.line,
          grams: part,
          gramsLow: part * 0.8,
          gramsHigh: part * 1.2,
          notes: [...item.line.notes, said(part)],
        })
        home.lines.push({ line, read: { ...item.read, divided: false }, food: item.food })
      }
      // What nobody asks for stays where it was listed.
      const left = Math.max(total - stated - each * open, 0)
      sharedOut.add(item)
      Object.assign(item.line, {
        grams: left,
        gramsLow: left * 0.8,
        gramsHigh: left * 1.2,
        notes: [...item.line.notes, said(left)],
      })
    }
    draft.lines = draft.lines.filter(
      (item) => !(item.line.grams === 0 && (item.read.divided || sharedOut.has(item))),
    )
  }
}
