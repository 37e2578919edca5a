import { foodIs } from '../food/groups'
import { leadsDough, wordsOfDraft, type Draft } from './drafts'
import { STARTS_DOUGH } from './headingKinds'
import { normaliseName } from './match'
import type { ReadIngredient } from './readIngredient'

/** Words of a component's name that say what it is: "the slow-cooked seitan" is "seitan". */
const coreName = (name: string) =>
  normaliseName(name.replace(/\([^)]*\)/g, ''))
    .split(' ')
    .filter(
      (word) =>
        !/^(?:for|the|to|make|my|our|home|made|homemade|quick|easy|basic|slow|cooked|spiced|simple|of|a|all|from|above|below|recipe|batch|rest|prepared|cooled|finished|remaining)$/.test(
          word,
        ),
    )
    .join(' ')

const STARTERS = new RegExp(String.raw`\b(?:${STARTS_DOUGH}|roux|flax egg)\b`, 'i')

/** Whether a line means the component of that name: "the gravy", "200 g seitan, diced", "masala from above". */
function refersTo(item: ReadIngredient, name: string): boolean {
  const own = coreName(item.read.name)
  // "50 g butter" is butter, though another part is egg butter.
  if (item.food && item.read.measures.length && own !== name && !own.endsWith(` ${name}`)) return false
  return own !== '' && (own === name || own.endsWith(` ${name}`) || name.endsWith(` ${own}`))
}

/** "Toss in sage butter", "serve with the salsa": what the pieces meet once they are cooked. */
const MEETS =
  /\b(?:brush|sprinkle|scatter|strew|toss|serve|drizzle|(?<!\b(?:a|an|one|heaped|big|small|good|each) )spoon|pour|top|coat|dress|eat)\b[^.;]*/gi

const FILLED_WITH =
  /\b(?:fill|stuff|pipe)\b(?! the pan\b)[^.;,]*\bwith\b[^.;]*?(?=,? (?:and |then )*(?:sprinkle|scatter|strew|brush|top|drizzle|dust|serve)\b|[.;]|$)/gi

/** A part of which nobody knows what it is goes over the pieces where the steps say so by its name. */
export function tossedIn(drafts: readonly Draft[], steps: readonly { text: string }[], title: string): void {
  const fillings = drafts.filter(({ kind, into }) => kind === 'filling' && !into)
  for (const draft of drafts) {
    if (!draft.unsure) continue
    const name = coreName(draft.name)
    // "Siopao asado", and nothing but the asado to go in.
    if (
      fillings.length === 1 &&
      draft === fillings[0] &&
      name &&
      ` ${normaliseName(title)} `.includes(` ${name} `)
    ) {
      draft.unsure = false
      continue
    }
    // "Fill with custard and a spoon of rhubarb": one more of what goes in.
    const isFilled = steps
      .flatMap(({ text }) => text.match(FILLED_WITH) ?? [])
      .some((said) => name && ` ${normaliseName(said)} `.includes(` ${name} `))
    if (isFilled && fillings.length) {
      Object.assign(draft, { kind: 'filling', into: null, unsure: false })
      continue
    }
    const meets = steps
      .flatMap(({ text }) => text.match(MEETS) ?? [])
      .find((said) => name && ` ${normaliseName(said)} `.includes(` ${name} `))
    if (!meets) continue
    Object.assign(draft, {
      kind: /^(?:brush|sprinkle|scatter|strew)/i.test(meets) ? 'finish' : 'dip',
      into: null,
      unsure: false,
    })
  }
}

/** Flour and yeast under a name of their own rise for the dough. */
const isLeavened = ({ lines }: Draft): boolean =>
  lines.some(leadsDough) &&
  lines.some(({ food }) => food !== null && /(?<!nutritional-)yeast|sourdough/.test(food.id))

/** Whether a part is called by the meat or fish that its list begins with. */
const isCalledByFlesh = ({ name, lines }: Draft): boolean => {
  const [first] = lines
  const words = first && foodIs(first.food, 'flesh') ? normaliseName(first.read.name).split(' ') : []
  return coreName(name)
    .split(' ')
    .some((word) => word.length > 2 && words.includes(word))
}

/** Flour leads it, or it is a batter: "Batter" over ground lentils, which are spread and folded. */
const isDough = ({ name, lines }: Draft): boolean => lines.some(leadsDough) || /\bbatter\b/i.test(name)

const GENERIC_FILLING = /^(?:for |the )*(?:filling|stuffing)s?\b/i

/** Finds for every component the part that uses it, and the line that stands for it there. */
export function settleComponents(drafts: Draft[]): Map<ReadIngredient, Draft> {
  const references = new Map<ReadIngredient, Draft>()
  const isFilling = (draft: Draft) => draft.kind === 'filling' && draft.into === null
  const waiting = drafts.filter(
    (draft) =>
      draft.into === draft ||
      (draft.kind === 'dip' && draft.lines.length > 0) ||
      // "The ricotta" in the filling, and a part above that is called so.
      (isFilling(draft) && !GENERIC_FILLING.test(draft.name)),
  )
  for (const component of waiting) {
    const isDip = component.into !== component && component.kind === 'dip'
    const own = component.into !== component && !isDip
    const name = coreName(component.name)
    for (const host of drafts) {
      if (host === component || !name) continue
      const reference = host.lines.find((item) => refersTo(item, name))
      if (!reference) continue
      if (
        own &&
        (host.kind !== 'filling' || reference.read.measures.length || !/\bthe\b/i.test(reference.line.raw))
      )
        continue
      if (isDip && (!/\bthe\b|above|below/i.test(reference.line.raw) || host.kind !== 'filling')) continue
      component.into = host
      component.kind = host.kind
      component.unsure = false
      const mass = reference.read.measures.find((measure) =>
        measure.every((term) => /^(?:g|kg|oz|lb)$/.test(term.unitId ?? '')),
      )
      component.usedGrams = mass && !/\bball\b/.test(reference.line.raw) ? reference.line.grams : null
      Object.assign(reference.line, {
        foodId: null,
        grams: null,
        gramsLow: null,
        gramsHigh: null,
        waterChangeGrams: 0,
        notes: [],
        choices: [],
      })
      reference.food = null
      references.set(reference, component)
      break
    }
  }
  const fillings = () =>
    drafts.filter((draft) => draft.kind === 'filling' && draft.into === null && draft.lines.length)
  const orphans = drafts.filter((draft) => draft.into === draft)
  for (const component of orphans) {
    const shell = drafts.find((draft) => draft.kind === 'shell' && !draft.into)
    // "Pâte brisée": a name that is not known over flour and fat, where no other dough is.
    const host =
      !shell && isDough(component)
        ? undefined
        : shell && (STARTERS.test(component.name) || isLeavened(component))
          ? shell
          : fillings()[0]
    if (host) {
      component.into = host
      component.kind = host.kind
      // "For the chicken tikka" over its chicken, beside the rest of what goes in.
      const isOfItsFood = host !== shell && isCalledByFlesh(component)
      if ((host === shell && isLeavened(component)) || isOfItsFood) component.unsure = false
    } else {
      // No part calls itself a filling: this is what goes inside.
      component.into = null
      component.kind = !shell && isDough(component) ? 'shell' : 'filling'
      // "For poli" over flour, and another part is the filling: no riddle either.
      if (component.kind === 'shell' && orphans.length === 1 && fillings().some(({ unsure }) => !unsure))
        component.unsure = false
      // "Rice porridge" over its rice is no riddle.
      const words = wordsOfDraft(component)
      if (
        orphans.length === 1 &&
        coreName(component.name)
          .split(' ')
          .some((word) => words.has(word))
      )
        component.unsure = false
    }
  }
  return references
}
