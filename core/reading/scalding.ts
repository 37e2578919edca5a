import { SCALDED } from '../food/scalded'
import type { Draft } from './drafts'
import type { Clause } from './method'

const BOILING =
  /\b(?:boiling|just[- ]boiled|off the boil|scald(?:ed|ing)?)\b|\b(?:boil|bring)\b[^.]{0,20}\bwater\b[^.]{0,60}\b(?:add|stir in|tip in|pour)\b|\bto (?:the|a) boil\b[^.;]{0,24}\b(?:pour|add|tip|stir)\b|\bcook\b[^.]{0,40}\b(?:to|into|becomes|until|till)\b[^.]{0,16}\bpaste\b/i

const BOILS_LIQUID = /\b(?:boil|bring)\b[^.;]{0,24}\b(?:water|milk)\b/i
const ADDS_FLOUR = /\b(?:add|tip in|stir in|put in|mix in|dump in)\b[^.;]{0,24}\b(?:flour|starch)\b/i

/** "Cornflour for dusting": no water comes on it. */
const DUSTS = /\b(?:for|to) (?:dust(?:ing)?|roll(?:ing)?)\b/i

/**
 * Marks the flours of a dough on which boiling water is poured: rice, starches and millets swell by it, and hold
 * together as they do not when they are wetted cold. Said of one flour, it is said of that one.
 */
export function markScalded(drafts: readonly Draft[], clauses: readonly Clause[]): void {
  for (const draft of drafts) {
    if (draft.kind !== 'shell') continue
    const flours = draft.lines.filter(
      ({ food, line }) => food && food.scaldedDemand !== null && !DUSTS.test(line.raw),
    )
    if (!flours.length || flours.some(({ line }) => line.prep.includes(SCALDED))) continue
    const poured =
      draft.lines.some(
        ({ food, line }) =>
          food?.id === 'water' &&
          (BOILING.test(line.raw) ||
            line.notes.some(({ code, text }) => code === 'to-feel' && BOILING.test(text))),
      ) ||
      clauses.some(
        ({ about, text }) =>
          about !== null &&
          about !== 'pieces' &&
          (about.kind === 'shell' ||
            /\b(?:over|onto|on|into|to) (?:the )?(?:[a-zß-öø-ɏ]+ )?(?:flour|starch)/i.test(text)) &&
          BOILING.test(text),
      ) ||
      // "Boil the water with salt and oil. Switch off, add the rice flour".
      clauses.some(
        ({ about, text }, at) =>
          about === draft &&
          BOILS_LIQUID.test(text) &&
          clauses.slice(at, at + 3).some((next) => next.about === draft && ADDS_FLOUR.test(next.text)),
      )
    if (poured) for (const { line } of flours) line.prep = [...line.prep, SCALDED]
  }
}
