import { defineStore } from 'pinia'
import { useLocalStorage } from '@vueuse/core'
import type { PlannedDinner } from '~~/core/planning/dinner'
import type { FieldProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'
import type { DinnerDocument, StoredDinner } from '~~/shared/api/dinners'
import { trayPlanOf } from '~/composables/useTrayPlan'
import { ApiProblem, call } from '~/logic/api'
import {
  earlierThan,
  dinnerToPlan,
  freshDinner,
  instantOf,
  instantText,
  keptPlan,
  momentOfWall,
  nowMinutes,
} from '~/logic/evening'
import type { ClockQuestion, ClockReply } from '~/workers/clock.worker'

const MAX_UNDO = 60
const SEARCH_MILLISECONDS = 3000

/** The dinner that is planned: kept in this browser at once and on the server when it is saved, planned in a worker. */
export const useClockStore = defineStore('clock', () => {
  const shelves = useLarderStore()
  const bench = useBenchStore()
  const id = useLocalStorage('swap-pocket:dinner-id', () => crypto.randomUUID() as string)
  // Whole recipes are in it: it is replaced, never changed within, so that nothing watches their every line.
  const dinner = useLocalStorage<DinnerDocument>('swap-pocket:dinner', freshDinner, {
    mergeDefaults: true,
    shallow: true,
    deep: false,
  })
  const past = shallowRef<string[]>([])
  const future = shallowRef<string[]>([])
  const plan = shallowRef<PlannedDinner | null>(null)
  const problems = shallowRef<FieldProblem[]>([])
  const searching = ref(false)
  const trouble = ref('')
  const serve = computed(() => momentOfWall(dinner.value.serveAt, dinner.value.timeZone))

  const asText = () => JSON.stringify({ ...dinner.value, plan: null })
  function step(from: typeof past, to: typeof past) {
    const text = from.value.at(-1)
    if (text === undefined) return
    to.value = [...to.value, asText()]
    from.value = from.value.slice(0, -1)
    dinner.value = JSON.parse(text)
    replan()
  }
  const undo = () => step(past, future)
  const redo = () => step(future, past)

  /** Changes the dinner, as one step that can be undone, and plans it anew. */
  function change(fields: Partial<DinnerDocument>) {
    past.value = [...past.value.slice(-MAX_UNDO + 1), asText()]
    future.value = []
    dinner.value = { ...dinner.value, ...fields }
    replan()
  }

  /** Takes a dish on, as it stands now. */
  function addDish(recipe: Recipe, recipeId: string | null) {
    change({
      dishes: [...dinner.value.dishes, { recipe, recipeId, stage: 'fresh', plan: null, fromTable: null }],
      ...withoutMarks(),
    })
  }
  const sentBy = (table: string) => dinner.value.dishes.some(({ fromTable }) => fromTable === table)
  /**
   * The dishes of a table in place of those it sent before, and of the recipe that it was set with: one step, that can
   * be undone. What else is on the dinner stays.
   */
  function layTable(table: string, recipes: readonly Recipe[]) {
    const { dishes: all } = dinner.value
    const sent = all.filter(({ fromTable }) => fromTable === table)
    const same = (dish: (typeof all)[number] | undefined, recipe: Recipe) =>
      dish !== undefined && JSON.stringify(dish.recipe) === JSON.stringify(recipe)
    if (sent.length === recipes.length && recipes.every((recipe, at) => same(sent[at], recipe))) return
    const others = all.filter(
      (dish) => dish.fromTable !== table && (dish.recipeId ?? dish.recipe.title) !== table,
    )
    change({
      dishes: [
        ...others,
        ...recipes.map((recipe) => ({
          recipe,
          recipeId: null,
          stage: sent.find((dish) => dish.recipe.title === recipe.title)?.stage ?? ('fresh' as const),
          plan: null,
          fromTable: table,
        })),
      ],
      ...(recipes.length > 1 ? { keepApart: true } : {}),
      ...withoutMarks(),
    })
  }
  /** Marks and edits are by place in the list: another list has others. */
  const withoutMarks = () => ({ edits: {}, begun: {}, givenUp: [] })
  function dropDish(at: number) {
    change({ dishes: dinner.value.dishes.filter((_, index) => index !== at), ...withoutMarks() })
  }
  /** Begins another dinner; this one is kept under its own name, where the server answers. */
  async function startOver() {
    if (dinner.value.dishes.length) await save()
    id.value = crypto.randomUUID()
    change(freshDinner())
  }
  /** Goes on with a dinner that was saved. */
  async function open(stored: StoredDinner) {
    if (dinner.value.dishes.length) await save()
    id.value = stored.id
    change(stored.dinner)
  }
  /** What is on the bench is the first dish, where there is none; else the plan is made anew. */
  async function begin() {
    if (!bench.recipe) await bench.resume().catch(() => false)
    if (!dinner.value.dishes.length && bench.recipe) addDish(bench.recipe, bench.slot.id)
    else replan()
  }

  /** The bench's own document goes before the copy that the dinner keeps of it. */
  const dishes = computed(() =>
    dinner.value.dishes.map((dish) => {
      const onBench = bench.recipe && dish.recipeId !== null && dish.recipeId === bench.slot.id
      return { ...dish, recipe: onBench ? bench.recipe! : dish.recipe }
    }),
  )

  let worker: Worker | null = null
  let number = 0
  function stop() {
    worker?.terminate()
    worker = null
    searching.value = false
  }
  function listen(own: Worker) {
    own.onmessage = ({ data }: MessageEvent<ClockReply>) => {
      if (data.number !== number) return
      if (data.kind === 'problem') {
        problems.value = data.problems
        searching.value = false
        return
      }
      problems.value = []
      plan.value = data.plan
      searching.value = !data.last
      if (data.last)
        dinner.value = { ...dinner.value, plan: data.plan.tasks && keptPlan(data.plan.tasks, serve.value) }
    }
    own.onerror = () => {
      trouble.value = 'The planning broke off. What you entered is kept; change something to try again'
      stop()
    }
  }

  /** Plans the dinner as it is now; a plan that is still looked for is given up. */
  function replan() {
    trouble.value = ''
    if (searching.value) stop()
    number++
    if (!dinner.value.dishes.length || Number.isNaN(serve.value)) {
      plan.value = null
      problems.value = []
      return
    }
    const question: ClockQuestion = {
      number,
      dinner: dinnerToPlan(dinner.value, nowMinutes()),
      dishes: dishes.value.map(({ recipe, recipeId, stage, plan: own }) => ({
        recipe,
        stage,
        // What was typed on the tray is watched, and what is watched cannot be sent.
        plan: JSON.parse(JSON.stringify(own ?? trayPlanOf(recipeId ?? recipe.title, recipe))),
      })),
      foods: shelves.others,
      factors: JSON.parse(JSON.stringify(shelves.factors)),
      searchMilliseconds: SEARCH_MILLISECONDS,
    }
    if (!worker) {
      worker = new Worker(new URL('../workers/clock.worker.ts', import.meta.url), { type: 'module' })
      listen(worker)
    }
    searching.value = true
    worker.postMessage(question)
  }

  /** Lets a task take so many minutes, or lie where the cook wants it; undefined gives it back to the planner. */
  function edit(taskId: string, fields: { minutes?: number; startAt?: string }) {
    const { [taskId]: own, ...others } = dinner.value.edits
    const made = { ...own, ...fields }
    const kept = Object.fromEntries(Object.entries(made).filter(([, value]) => value !== undefined))
    change({ edits: Object.keys(kept).length ? { ...others, [taskId]: kept } : others })
  }

  /**
   * Marks a task as begun or done at this moment, or takes the mark back. Nobody ticks everything: what has to be done
   * before it is taken as done when it was planned.
   */
  function mark(taskId: string, what: 'begun' | 'done' | 'to do') {
    const { [taskId]: marked, ...others } = dinner.value.begun
    if (what === 'to do') {
      change({ begun: others })
      return
    }
    const now = nowMinutes()
    const planned = plan.value?.tasks?.find((task) => task.id === taskId)
    const usualStart = planned ? Math.min(serve.value - planned.start, now - 1) : now - 1
    const startAt = marked?.startAt ?? instantText(what === 'done' ? usualStart : now)
    const tasks = plan.value?.tasks ?? []
    const earlier = earlierThan(tasks, taskId)
    const begun = instantOf(startAt)
    const presumed = Object.fromEntries(
      tasks
        .filter((task) => earlier.has(task.id) && (others[task.id]?.endAt ?? null) === null)
        .map((task) => {
          const end = Math.min(serve.value - task.end, begun)
          const start = Math.min(serve.value - task.start, end)
          return [
            task.id,
            { startAt: others[task.id]?.startAt ?? instantText(start), endAt: instantText(end) },
          ]
        }),
    )
    const own = { startAt, endAt: what === 'done' ? instantText(now) : null }
    change({ begun: { ...others, ...presumed, [taskId]: own } })
  }

  /** Gives up a wish that is in the way. */
  function giveUp(wish: string) {
    const [kind, ...rest] = wish.split(':')
    if (kind === 'from') change({ from: null })
    else if (kind === 'night') change({ night: null })
    else if (kind === 'laid') edit(rest.join(':'), { startAt: undefined })
    else if (kind === 'comes')
      change({
        people: dinner.value.people.map((one, at) => (at === Number(rest[0]) ? { ...one, from: null } : one)),
      })
    else change({ givenUp: [...dinner.value.givenUp, wish] })
  }

  /** Stores the dinner with its plan; false when the server does not answer. */
  async function save(): Promise<boolean> {
    const document = { ...dinner.value, dishes: dishes.value }
    try {
      await call<StoredDinner>('PUT', `/api/dinners/${id.value}`, { dinner: document })
      return true
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      trouble.value = error.problem.detail
      return false
    }
  }

  return {
    id,
    dinner,
    dishes,
    plan,
    problems,
    searching,
    trouble,
    serve,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
    undo,
    redo,
    change,
    addDish,
    dropDish,
    layTable,
    sentBy,
    startOver,
    open,
    begin,
    replan,
    stop,
    edit,
    mark,
    giveUp,
    save,
  }
})
