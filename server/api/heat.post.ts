import { z } from 'zod'
import { evaluate } from '../../core/evaluation/evaluate'
import { pieceGrams } from '../../core/evaluation/pieceGrams'
import { withIds } from '../../core/recipe/document'
import { heatBody } from '../../core/simulation/heatBody'
import { heatPiece } from '../../core/simulation/pieceHeat'
import { planPieces } from '../../core/tray/plan'
import { surfaceTable } from '../../data/surfaceTable'
import type { HeatAnswer } from '~~/shared/api/log'
import { bodyToHeat, pieceToHeat } from '~~/shared/api/requests'
import { checked, readJson } from '../http/body'
import { referenceFor } from '../services/referenceFor'

const BOARD_C = 20

/** When the middle of a body, or of a piece of a recipe, has passed a temperature. */
export default defineEventHandler(async (event): Promise<HeatAnswer> => {
  const body = await readJson(event, z.looseObject({}))
  if (!('recipe' in body)) {
    const asked = checked(bodyToHeat, body)
    return heatBody({ ...asked, halfMm: (asked.halfThicknessMm ?? asked.radiusMm)! })
  }
  const asked = checked(pieceToHeat, body)
  const recipe = withIds(asked.recipe)
  const reference = await referenceFor(recipe)
  const evaluation = evaluate(recipe, reference)
  const planned = asked.plan ? planPieces(recipe, evaluation, asked.plan, reference) : null
  const grams = planned
    ? { doughGrams: planned.doughGramsPerPiece, fillingGrams: planned.fillingGramsPerPiece }
    : pieceGrams(evaluation)
  const { minutesToTarget, band, centreC, profileC, energyKJ, ...piece } = heatPiece(
    recipe,
    {
      ...grams,
      startC: asked.startC ?? asked.plan?.startC ?? BOARD_C,
      targetC: asked.targetC ?? null,
      thickness: asked.thickness,
      warmerC: asked.warmerC,
    },
    reference,
    surfaceTable,
  )
  return { minutesToTarget, band, centreC, profileC, energyKJ, piece }
})
