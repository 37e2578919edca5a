import type { Adaptation } from '../../core/adaptation/adapt'
import type { Evaluation } from '../../core/evaluation/evaluate'

/** An evaluation without its working, which is the most of it. */
export function lean({ working: _, ...evaluation }: Evaluation): Omit<Evaluation, 'working'> {
  return evaluation
}

/** An adaptation whose evaluations are without their working. */
export const leanAdaptation = (made: Adaptation) => ({
  ...made,
  evaluation: lean(made.evaluation),
  before: lean(made.before),
  alternatives: made.alternatives.map((one) => ({ ...one, evaluation: lean(one.evaluation) })),
})
