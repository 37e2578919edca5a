<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { expectedOf } from '~~/core/log/expected'
import type { CookRecord, Measured } from '~~/core/log/record'
import type { FieldProblem } from '~~/core/recipe/problem'
import { trayPlanOf } from '~/composables/useTrayPlan'
import { ApiProblem } from '~/logic/api'
import { stepsOfMethod, stepsOfPlan, type StoveStep } from '~/logic/stoveSteps'

const bench = useBenchStore()
const clock = useClockStore()
const stove = useStoveStore()
const shelves = useLarderStore()
const loading = ref(true)
const trouble = ref('')
const { awake } = useAwake()
const { ring } = useBell()

onMounted(async () => {
  try {
    if (!bench.recipe) await bench.resume()
    if (bench.recipe) await shelves.knowFoodsOf(bench.recipe)
    await stove.load()
    if (clock.dinner.dishes.length) await clock.begin()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  } finally {
    loading.value = false
  }
})

const { evaluation } = useEvaluation(() => bench.recipe)
const { planned } = useTrayPlan(
  () => bench.recipe,
  () => evaluation.value,
  () => bench.slot.id ?? bench.recipe?.title ?? '',
)
const plan = computed(() =>
  bench.recipe ? trayPlanOf(bench.slot.id ?? bench.recipe.title, bench.recipe) : null,
)
const record = computed(() => stove.record)

/** The Clock's plan drives, where the recipe on the bench is in it; else the method by itself. */
const planSteps = computed<StoveStep[]>(() => {
  const tasks = clock.plan?.tasks
  const recipes = clock.dishes.map(({ recipe }) => recipe)
  if (!tasks?.length || !bench.recipe) return []
  const { title } = bench.recipe
  if (!recipes.some((one) => one.title === title) && !clock.sentBy(bench.slot.id ?? title)) return []
  return stepsOfPlan(tasks, recipes, clock.serve)
})
const steps = computed(() =>
  planSteps.value.length ? planSteps.value : bench.recipe ? stepsOfMethod(bench.recipe) : [],
)
const at = computed(() => Math.min(record.value?.stepAt ?? 0, Math.max(steps.value.length - 1, 0)))
const step = computed(() => steps.value[at.value] ?? null)
const time = (minutes: number) =>
  new Date(minutes * 60_000).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })

async function begin() {
  if (!bench.recipe || !evaluation.value || !planned.value) return
  const { timeTable } = await import('~~/data/timeTable')
  const closing = timeTable.get(`shape-${planned.value.closing}`)?.minutes ?? null
  stove.begin({
    title: bench.recipe.title,
    recipeId: bench.slot.id,
    revision: bench.slot.id ? bench.slot.revision : null,
    expected: expectedOf(bench.recipe, evaluation.value, planned.value, shelves.reference, closing),
  })
}
const go = (to: number) => {
  if (!record.value || to < 0 || to >= steps.value.length) return
  stove.write({ stepAt: to, stepTimes: { ...record.value.stepTimes, [to]: Date.now() } })
}
function next() {
  if (at.value < steps.value.length - 1) go(at.value + 1)
}
const now = useNow({ interval: 500 })
function startTimer(name: string, minutes: number) {
  if (!record.value) return
  const id = crypto.randomUUID() as string
  stove.write({
    timers: [...record.value.timers, { id, name, minutes, startedAt: Date.now(), doneAt: null }],
  })
}
const changeTimer = (
  id: string,
  change: (timer: CookRecord['timers'][number]) => CookRecord['timers'][number],
) =>
  record.value &&
  stove.write({ timers: record.value.timers.map((one) => (one.id === id ? change(one) : one)) })
const isRunning = (name: string, minutes: number) =>
  record.value?.timers.some((one) => one.name === name && one.minutes >= minutes && one.doneAt === null)

/** What a batch does to the oil, as the tray reckons it. */
const oil = computed(() => {
  const { oilDropC, oilRecoverySeconds } = planned.value?.batches[0] ?? {}
  return oilDropC === undefined || oilRecoverySeconds === undefined
    ? null
    : { dropC: oilDropC, backSeconds: oilRecoverySeconds }
})
const problems = shallowRef<FieldProblem[]>([])
const write = (fields: Partial<CookRecord>) => (problems.value = stove.write(fields))
const { toWeigh, liquid, weighed, rescale } = useWeighing(write)
const measured = (what: Measured, celsius: number) =>
  record.value && write({ readings: [...record.value.readings, { what, celsius, at: Date.now() }] })

const TABS = ['Weigh', 'Heat', 'Count'] as const
const tab = ref<(typeof TABS)[number]>('Weigh')
const router = useRouter()
async function finish() {
  const id = stove.finish()
  await router.push(`/notebook?record=${id}`)
}
const speaks = import.meta.client && 'speechSynthesis' in window
const aloud = ref(false)
function say() {
  if (!speaks || !step.value) return
  window.speechSynthesis.cancel()
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(step.value.text))
}
watch([at, aloud], () => aloud.value && say())
const unfinished = computed(() => stove.all.filter(({ record: one }) => one.finishedAt === null))

useHead({
  title: () => (bench.recipe ? `Stove: ${bench.recipe.title} · Swap Pocket` : 'Stove · Swap Pocket'),
})
usePlaceKeys([
  { key: ' ', says: 'Next step: one key or a pedal is enough', act: next },
  { key: 'PageDown', says: 'Next step', act: next },
  { key: 'ArrowRight', says: 'Next step', act: next },
  { key: 'PageUp', says: 'Back', act: () => go(at.value - 1) },
  { key: 'ArrowLeft', says: 'Back', act: () => go(at.value - 1) },
  {
    key: 't',
    says: 'Start the timer of this step',
    act: () => step.value?.timers[0] && startTimer(step.value.timers[0].name, step.value.timers[0].minutes),
  },
])
</script>

<template>
  <main v-if="loading" class="empty" aria-busy="true"><Skeleton height="12rem" /></main>
  <main v-else-if="!bench.recipe" class="empty">
    <h1>Nothing to cook yet</h1>
    <p v-if="trouble">{{ trouble }}</p>
    <p>Put a recipe on the bench: the stove takes you through it, step by step.</p>
    <p><NuxtLink to="/paste">Paste a recipe</NuxtLink> <NuxtLink to="/">To the shelf</NuxtLink></p>
  </main>
  <main v-else-if="!record" class="empty">
    <h1>{{ bench.recipe.title }}</h1>
    <p>
      {{ steps.length }} steps,
      {{
        planSteps.length
          ? 'in the order of the clock'
          : 'in the order of the method; with a plan on the clock they follow that'
      }}. What you weigh, measure and time is written down as you go, and kept when the page or the network
      goes.
    </p>
    <p v-if="!planned" class="problem">
      The tray has no plan that can be: <NuxtLink to="/tray">look there first</NuxtLink>.
    </p>
    <p v-if="!steps.length" class="soft">The recipe has no method: you can still weigh, measure and count.</p>
    <p><Button label="Begin to cook" :disabled="!planned" @click="begin" /></p>
    <ul v-if="unfinished.length">
      <li v-for="one in unfinished" :key="one.id">
        <button type="button" class="opens" @click="stove.resume(one.id)">
          Go on with {{ one.record.title }}, begun {{ new Date(one.record.startedAt).toLocaleString() }}
        </button>
      </li>
    </ul>
  </main>
  <main v-else class="stove">
    <div class="work">
      <header>
        <h1>{{ record.title }}</h1>
        <p class="soft small">
          Step {{ at + 1 }} of {{ Math.max(steps.length, 1)
          }}<template v-if="step?.at"> · {{ time(step.at) }}</template> ·
          {{ awake ? 'the screen stays on' : 'this browser lets the screen go dark' }}
          <template v-if="stove.unsent">
            · <span role="status">kept here, sent when the server answers</span></template
          >
        </p>
      </header>
      <div class="now" aria-live="polite">
        <p class="text">{{ step ? step.text : 'No method: weigh, measure and count at the right.' }}</p>
        <p v-if="step?.why && step.why !== step.text" class="why">{{ step.why }}</p>
        <p v-if="step?.timers.length" class="row">
          <button
            v-for="timer in step.timers"
            :key="`${timer.name} ${timer.minutes}`"
            type="button"
            :disabled="isRunning(timer.name, timer.minutes)"
            @click="startTimer(timer.name, timer.minutes)"
          >
            {{ isRunning(timer.name, timer.minutes) ? 'runs' : 'Start' }} {{ timer.minutes }} min<template
              v-if="planSteps.length"
              >: {{ timer.name }}</template
            >
          </button>
        </p>
      </div>
      <TimerStrip
        :timers="record.timers"
        :now="now.getTime()"
        @rings="ring"
        @done="(id) => changeTimer(id, (one) => ({ ...one, doneAt: Date.now() }))"
        @more="(id, minutes) => changeTimer(id, (one) => ({ ...one, minutes: one.minutes + minutes }))"
      />
      <p v-if="steps[at + 1]" class="next"><span class="soft">Next</span> {{ steps[at + 1]!.text }}</p>
      <p class="moves">
        <button type="button" :disabled="at === 0" @click="go(at - 1)">Back</button>
        <button type="button" class="main" :disabled="at >= steps.length - 1" @click="next">Next</button>
        <button v-if="speaks" type="button" :aria-pressed="aloud" @click="aloud = !aloud">Read aloud</button>
        <button type="button" class="end" @click="finish">Finish and write it down</button>
      </p>
    </div>
    <aside>
      <div class="tabs" role="tablist" aria-label="At the stove">
        <button
          v-for="one in TABS"
          :id="`tab-${one}`"
          :key="one"
          type="button"
          role="tab"
          :aria-selected="tab === one"
          :aria-controls="`panel-${one}`"
          @click="tab = one"
        >
          {{ one }}
        </button>
      </div>
      <div :id="`panel-${tab}`" role="tabpanel" :aria-labelledby="`tab-${tab}`">
        <WeighPanel
          v-if="tab === 'Weigh'"
          :lines="toWeigh"
          :liquid="liquid"
          @weighed="weighed"
          @rescale="rescale"
        />
        <HeatPanel
          v-else-if="tab === 'Heat'"
          :recipe="bench.recipe"
          :plan="plan"
          :readings="record.readings"
          @read="measured"
        />
        <CountPanel
          v-else
          :record="record"
          :per-batch="planned?.batches[0]?.perBatch ?? null"
          :oil="oil"
          :problems="problems"
          @write="write"
        />
      </div>
    </aside>
  </main>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 0.75rem;
  max-width: 46rem;
  padding: 1.5rem 1.25rem;
}
.stove {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 1fr) 26rem;
}
.work {
  display: flex;
  flex-direction: column;
  gap: 0.9rem;
  padding: 1rem 1.5rem;
}
.now {
  display: grid;
  flex: 1;
  align-content: center;
  gap: 0.75rem;
}
/* Read from two metres away. */
.text {
  font-size: clamp(1.7rem, 3.4vw, 3rem);
  font-weight: 620;
  line-height: 1.2;
}
.why {
  color: var(--ink-soft);
  font-size: 1.15rem;
}
.next {
  padding-top: 0.5rem;
  border-top: 1px solid var(--rule);
  font-size: 1.1rem;
}
.row,
.moves {
  display: flex;
  flex-wrap: wrap;
  gap: 0.75rem;
}
.row button,
.moves button {
  min-height: 3.4rem;
  padding: 0 1.3rem;
  border: 2px solid var(--rule-strong);
  border-radius: 6px;
  background: var(--sheet);
  color: var(--ink);
  font-size: 1.2rem;
  cursor: pointer;
}
.moves button.main {
  min-width: 11rem;
  min-height: 4.2rem;
  border-color: var(--beet);
  background: var(--beet);
  color: var(--sheet);
  font-weight: 680;
}
.moves button:disabled,
.row button:disabled {
  opacity: 0.45;
  cursor: default;
}
.end {
  margin-left: auto;
}
aside {
  padding: 0.75rem 1rem;
  border-left: 1px solid var(--rule);
  background: var(--sheet);
}
.tabs {
  display: flex;
  gap: 0.25rem;
  margin-bottom: 0.75rem;
  border-bottom: 2px solid var(--rule);
}
.tabs button {
  min-height: 2.8rem;
  padding: 0 1rem;
  border: 0;
  border-bottom: 4px solid transparent;
  margin-bottom: -2px;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}
.tabs button[aria-selected='true'] {
  border-color: var(--beet);
  color: var(--ink);
  font-weight: 640;
}
.problem {
  color: var(--stop);
}
@media (max-width: 860px) {
  .stove {
    grid-template-columns: 1fr;
  }
  .work {
    padding: 0.75rem;
  }
  aside {
    border-top: 1px solid var(--rule);
    border-left: 0;
  }
  .end {
    margin-left: 0;
  }
}
</style>
