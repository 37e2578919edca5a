import type { Adaptation } from '~~/core/adaptation/adapt'
import type { CurvePoint } from '~~/core/optimisation/tradeOff'
import type { Recipe } from '~~/core/recipe/document'
import type { Question, Reply } from '~/workers/target.worker'

export interface Curve {
  points: Omit<CurvePoint, 'candidate'>[]
  recipes: Recipe[]
}

/** Searches in a worker, so that the page stays at hand; a search can be given up at any time. */
export function useTargetSearch() {
  const progress = ref<{ share: number; doing: string } | null>(null)
  const answer = shallowRef<Adaptation | null>(null)
  const curve = shallowRef<Curve | null>(null)
  const trouble = ref('')
  let worker: Worker | null = null

  function cancel() {
    worker?.terminate()
    worker = null
    progress.value = null
  }

  function ask(question: Question) {
    cancel()
    trouble.value = ''
    progress.value = { share: 0, doing: 'beginning' }
    worker = new Worker(new URL('../workers/target.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Reply>) => {
      if (data.kind === 'progress') {
        progress.value = { share: data.share, doing: data.doing }
        return
      }
      if (data.kind === 'adapt') answer.value = data.answer
      else if (data.kind === 'curve') curve.value = { points: data.points, recipes: data.recipes }
      else trouble.value = data.message
      cancel()
    }
    worker.onerror = () => {
      trouble.value = 'The search broke off. Your recipe is as it was; try again, or ask for less at once'
      cancel()
    }
    // Reactive wrappers cannot be sent.
    worker.postMessage(JSON.parse(JSON.stringify(question)))
  }

  onUnmounted(cancel)
  return { progress, answer, curve, trouble, ask, cancel }
}
