import type { Answer, Question } from '~~/core/reading/questions'
import type { Intake } from '~~/core/reading/readRecipe'
import type { Given } from '~~/core/reading/withAnswers'
import type { Order, Read } from '~/workers/reading.worker'

/** A text that is not read by then is given up: the page stays at hand, and the text stays as it is. */
const DEADLINE_MS = 8000

/**
 * The reading of a text that follows every change, with the cook's answers laid over it, in a worker: what is typed
 * never waits for what is read. Of several readings under way only the last counts.
 */
export function useIntake(text: Readonly<Ref<string | null | undefined>>) {
  const shelves = useLarderStore()
  const given = shallowRef<Given[]>([])
  const intake = shallowRef<Intake | null>(null)
  const reading = ref(false)
  const trouble = ref('')

  let worker: Worker | null = null
  let turn = 0
  let deadline: ReturnType<typeof setTimeout> | undefined
  const waiting = new Map<number, (intake: Intake | null) => void>()

  function stop() {
    worker?.terminate()
    worker = null
    clearTimeout(deadline)
    reading.value = false
    for (const done of waiting.values()) done(null)
    waiting.clear()
  }
  function giveUp(why: string) {
    stop()
    trouble.value = why
  }
  /** Reactive wrappers cannot be sent. */
  const send = (order: Order) => worker?.postMessage(JSON.parse(JSON.stringify(order)))
  const sendLarder = () => send({ kind: 'larder', own: { foods: shelves.extra, names: shelves.names } })
  function start() {
    if (worker) return
    worker = new Worker(new URL('../workers/reading.worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Read>) => {
      waiting.get(data.turn)?.(data.intake)
      waiting.delete(data.turn)
      if (data.turn !== turn) return
      clearTimeout(deadline)
      reading.value = false
      intake.value = data.intake
    }
    worker.onerror = () =>
      giveUp('The reading broke off. Your text is as it was; change it, or type it shorter')
    sendLarder()
  }

  /** Reads a text as it stands now. */
  function read(typed: string): Promise<Intake | null> {
    start()
    trouble.value = ''
    reading.value = true
    turn += 1
    clearTimeout(deadline)
    deadline = setTimeout(
      () => giveUp('This text takes too long to read. Leave out what is no recipe, or paste it in parts'),
      DEADLINE_MS,
    )
    const own = turn
    return new Promise((resolve) => {
      waiting.set(own, resolve)
      send({ kind: 'read', turn: own, text: typed, given: given.value })
    })
  }

  watch([text, given], () => void read(text.value ?? ''), { immediate: true })
  watch(
    () => [shelves.extra, shelves.names],
    () => {
      sendLarder()
      void read(text.value ?? '')
    },
  )
  onUnmounted(stop)

  const give = (question: Question, says: Given['says']) => {
    given.value = [...given.value, { text: question.text, code: question.code, says }]
  }
  return {
    intake,
    reading,
    trouble,
    read,
    answer: (question: Question, answer: Answer) => give(question, { answer }),
    weigh: (question: Question, grams: number) => give(question, { grams }),
    forget: () => (given.value = []),
  }
}
