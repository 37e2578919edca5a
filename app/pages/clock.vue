<script setup lang="ts">
import { useIntervalFn, useMediaQuery } from '@vueuse/core'
import type { Stage } from '~~/core/planning/tasks'
import { instantText, momentOfWall, nowMinutes, timeText, wallOf } from '~/logic/evening'

const bench = useBenchStore()
const clock = useClockStore()
const route = useRoute()
const loading = ref(true)
const selected = ref<string | null>(null)
const nowAt = ref(nowMinutes())
useIntervalFn(() => (nowAt.value = nowMinutes()), 15_000)

onMounted(async () => {
  try {
    if (!bench.recipe) await bench.resume().catch(() => false)
    if (!clock.dinner.dishes.length && bench.recipe) clock.addDish(bench.recipe, bench.slot.id)
    else clock.replan()
  } finally {
    loading.value = false
  }
  const wanted = decodeURIComponent(route.hash.slice(1))
  if (wanted) selected.value = wanted
})
onUnmounted(clock.stop)

const zone = computed(() => clock.dinner.timeZone)
const now = computed(() => clock.serve - nowAt.value)
/** On a phone: now, next, can wait, and the list; the lanes want room. */
const narrow = useMediaQuery('(max-width: 760px)')
const several = computed(() => clock.dinner.dishes.length > 1)
const time = (before: number) => timeText(clock.serve - before, zone.value)
const tasks = computed(() => clock.plan?.tasks ?? null)
/** What was last possible stays in sight while something is in the way. */
const shown = shallowRef<typeof tasks.value>(null)
watch(
  tasks,
  (fresh) => {
    if (fresh || !clock.dinner.dishes.length) shown.value = fresh
  },
  { immediate: true },
)
const task = computed(() => shown.value?.find(({ id }) => id === selected.value) ?? null)
const onBench = computed(
  () =>
    bench.recipe &&
    !clock.dinner.dishes.some(({ recipe, recipeId }) =>
      bench.slot.id ? recipeId === bench.slot.id : recipe.title === bench.recipe!.title,
    ),
)
const conflict = computed(() => clock.plan?.conflict ?? null)
const earliest = computed(() =>
  conflict.value?.laterMinutes == null ? null : clock.serve + conflict.value.laterMinutes,
)
const showWhen = (at: number) => {
  const wall = wallOf(at, zone.value)
  return wall.slice(0, 10) === clock.dinner.serveAt.slice(0, 10)
    ? wall.slice(11)
    : `${wall.slice(11)} on ${wall.slice(0, 10)}`
}
const gap = computed(() => {
  const plan = clock.plan
  if (!plan?.tasks || plan.makespanMinutes === null) return ''
  if (plan.proven) return 'No plan is shorter: proven'
  const over = plan.makespanMinutes - plan.boundMinutes
  return `Within ${over} min of the best possible`
})
const handsMinutes = computed(() =>
  (tasks.value ?? []).filter(({ hands }) => hands).reduce((sum, one) => sum + one.minutes, 0),
)
const hours = (minutes: number) =>
  minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${String(minutes % 60).padStart(2, '0')}`
const overdue = computed(() =>
  (tasks.value ?? []).some((one) => one.state === 'to do' && one.start > now.value + 1),
)

function setStage(at: number, stage: Stage) {
  const dishes = clock.dinner.dishes.map((dish, index) => (index === at ? { ...dish, stage } : dish))
  clock.change({ dishes })
}
const move = (id: string, start: number) => {
  selected.value = id
  clock.edit(id, { startAt: instantText(clock.serve - start) })
}
const serveLater = () => {
  if (earliest.value !== null) clock.change({ serveAt: wallOf(earliest.value, zone.value) })
}
const calendarTrouble = ref('')
async function calendar() {
  calendarTrouble.value = ''
  if (await clock.save()) window.location.assign(`/api/dinners/${clock.id}/calendar.ics`)
  else
    calendarTrouble.value =
      'The calendar is made by the server, which does not answer; your plan is kept here'
}
const print = () => window.print()
const cautions = computed(() => (clock.plan?.foodSafety ?? []).filter(({ caution }) => caution))
const bySoonest = computed(() => [...(shown.value ?? [])].sort((a, b) => b.start - a.start || b.end - a.end))
const dayOf = (before: number) => wallOf(clock.serve - before, zone.value).slice(0, 10)
useHead({ title: 'Clock · Swap Pocket' })
usePlaceKeys([
  { key: 'mod+z', says: 'Undo', act: clock.undo },
  { key: 'mod+shift+z', says: 'Redo', act: clock.redo },
  { key: 'Escape', says: 'Close the task', act: () => (selected.value = null) },
])
watch(
  () => clock.serve,
  () => (nowAt.value = nowMinutes()),
)
const hasPassed = computed(() => momentOfWall(clock.dinner.serveAt, zone.value) <= nowAt.value)
</script>

<template>
  <main v-if="loading" class="empty" aria-busy="true"><Skeleton height="12rem" /></main>
  <main v-else class="clock">
    <header>
      <h1>On the table at {{ clock.dinner.serveAt.slice(11) }}</h1>
      <p v-if="tasks" class="lead" role="status">
        Begin at <strong>{{ time(Math.max(...tasks.map(({ start }) => start))) }}</strong>:
        {{ hours(clock.plan!.makespanMinutes!) }} in all, {{ hours(handsMinutes) }} of it by hand.
        <button v-if="clock.searching" type="button" class="opens small" @click="clock.stop">
          Stop looking
        </button>
        <span class="soft">{{ clock.searching ? 'Looking for a shorter one …' : `${gap}.` }}</span>
      </p>
      <p class="acts no-print">
        <button type="button" class="opens" :disabled="!clock.canUndo" @click="clock.undo">Undo</button>
        <button v-if="clock.canRedo" type="button" class="opens" @click="clock.redo">Redo</button>
        <NuxtLink to="/list">Shopping list</NuxtLink>
        <button v-if="tasks" type="button" class="opens" @click="calendar">Into a calendar</button>
        <button v-if="tasks" type="button" class="opens" @click="print">Print</button>
        <button type="button" class="opens" @click="clock.startOver">Another dinner</button>
      </p>
    </header>

    <div class="left no-print">
      <DishList
        :dishes="clock.dinner.dishes"
        @stage="setStage"
        @drop="clock.dropDish"
        @add="clock.addDish($event.recipe, $event.id)"
      />
      <p v-if="onBench">
        <button type="button" class="opens" @click="clock.addDish(bench.recipe!, bench.slot.id)">
          Add what is on the bench: {{ bench.recipe!.title }}
        </button>
      </p>
      <EveningForm :dinner="clock.dinner" :problems="clock.problems" @change="clock.change" />
    </div>

    <div class="middle">
      <p v-if="clock.trouble" role="alert">{{ clock.trouble }}.</p>
      <p v-for="problem in clock.problems" :key="problem.field" role="alert">
        <span class="sign stop">cannot be</span> {{ problem.message }}.
      </p>
      <section v-if="conflict" class="conflict" role="alert">
        <h2>It cannot be done like this</h2>
        <template v-if="conflict.wishes.length">
          <p>These are in each other’s way; without any one of them the rest can be:</p>
          <ul>
            <li v-for="wish in conflict.wishes" :key="wish.id">
              {{ wish.says }}
              <button type="button" class="opens small" @click="clock.giveUp(wish.id)">
                Do without<span class="visually-hidden">: {{ wish.says }}</span>
              </button>
            </li>
          </ul>
        </template>
        <p v-else-if="!clock.searching">
          {{ hasPassed ? 'The time of serving has gone by.' : 'There is not enough time left until then.' }}
        </p>
        <p v-if="earliest !== null">
          The earliest dinner with all of it is at <strong>{{ showWhen(earliest) }}</strong>.
          <Button :label="`Serve at ${showWhen(earliest)}`" size="small" @click="serveLater" />
        </p>
      </section>
      <p v-if="overdue && tasks" class="late no-print">
        <span class="sign watch">late</span> Something should have begun.
        <button type="button" class="opens" @click="clock.replan">Plan again from now</button>
      </p>
      <p v-if="!clock.dinner.dishes.length">
        Add a dish: the clock plans its evening backwards from when it is on the table.
      </p>
      <Skeleton v-else-if="!clock.plan && clock.searching" height="20rem" />
      <template v-if="shown">
        <p v-if="!tasks && !clock.searching" class="small" role="status">
          <span class="sign watch">as before</span> The drawing shows what was last possible.
        </p>
        <NowNext
          v-if="narrow"
          :tasks="shown"
          :serve="clock.serve"
          :zone="zone"
          :now="now"
          :several-dishes="several"
          @select="selected = $event"
          @mark="clock.mark"
        />
        <EveningChart
          v-else
          :class="{ stale: !tasks }"
          :tasks="shown"
          :people="clock.dinner.people"
          :serve="clock.serve"
          :zone="zone"
          :now="now"
          :selected="selected"
          :several-dishes="several"
          @select="selected = $event"
          @move="move"
        />
        <section class="all" :class="{ stale: !tasks }" aria-labelledby="all-title">
          <h2 id="all-title">Everything in its order</h2>
          <ol>
            <li
              v-for="(one, at) in bySoonest"
              :key="one.id"
              :class="{ self: !one.hands, done: one.state === 'done' }"
            >
              <strong v-if="at === 0 || dayOf(one.start) !== dayOf(bySoonest[at - 1]!.start)" class="day">{{
                dayOf(one.start)
              }}</strong>
              <b>{{ time(one.start) }}</b>
              <button type="button" class="plain" @click="selected = one.id">
                {{ several && one.kind !== 'serve' ? `${one.dish + 1} · ` : '' }}{{ one.name }}
              </button>
              <span class="soft small"
                >{{ one.kind === 'serve' ? '' : `${one.minutes} min`
                }}{{
                  one.person !== null && clock.dinner.people.length > 1
                    ? `, ${clock.dinner.people[one.person]!.name}`
                    : ''
                }}</span
              >
            </li>
          </ol>
        </section>
      </template>
    </div>

    <aside class="right">
      <TaskDetail
        v-if="task"
        class="no-print"
        :task="task"
        :recipe="clock.dishes[task.dish]?.recipe ?? null"
        :serve="clock.serve"
        :zone="zone"
        :edited="clock.dinner.edits[task.id] ?? null"
        @minutes="clock.edit(task.id, { minutes: $event })"
        @free="clock.edit(task.id, { startAt: undefined })"
        @mark="clock.mark(task.id, $event)"
        @close="selected = null"
      />
      <NowNext
        v-if="tasks && !narrow"
        class="no-print"
        :tasks="tasks"
        :serve="clock.serve"
        :zone="zone"
        :now="now"
        :several-dishes="several"
        @select="selected = $event"
        @mark="clock.mark"
      />
      <section v-if="clock.plan?.foodSafety.length && tasks" aria-labelledby="warm-title">
        <h2 id="warm-title">Between 5 and 57 °C</h2>
        <details v-for="food in clock.plan.foodSafety" :key="`${food.dish} ${food.partId}`">
          <summary>
            {{ several ? `${food.dish + 1} · ` : '' }}{{ food.food }}:
            <strong>{{ food.minutesWarm }} min</strong> of {{ food.limitMinutes }}
            <span v-if="food.caution" class="sign stop">too long</span>
          </summary>
          <p v-for="term in food.terms" :key="term.says" class="small">
            {{ term.says }}: {{ term.minutes }} min
          </p>
        </details>
        <p v-for="food in cautions" :key="food.partId" role="alert" class="small">
          {{ food.food }}: {{ food.caution }}.
        </p>
        <p class="soft small">
          4 h at most: US FDA Food Code 3-501.19. Cooling: 57 to 21 °C within 2 h, to 5 °C within 6 h in all
          (3-501.14). Minutes are reckoned, not measured; your own rules come first.
        </p>
      </section>
      <section v-if="clock.plan?.warnings.length && tasks">
        <p v-for="warning in clock.plan.warnings" :key="warning" class="small">
          <span class="sign watch">note</span> {{ warning }}.
        </p>
      </section>
      <p v-if="calendarTrouble" role="alert" class="small">{{ calendarTrouble }}.</p>
    </aside>
  </main>
</template>

<style scoped>
.empty {
  padding: 2rem;
}
.clock {
  display: grid;
  grid-template: auto 1fr / minmax(13.5rem, 16.5rem) minmax(0, 1fr) minmax(12.5rem, 15.5rem);
  flex: 1;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.2rem 1.4rem;
  grid-column: 1 / -1;
  padding: 0.5rem 1.25rem 0.6rem;
  border-bottom: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.lead strong {
  font-size: 1.25rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1rem;
  margin-left: auto;
}
.left,
.middle,
.right {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: 1rem;
  min-width: 0;
  padding: 0.8rem 1rem 2rem;
}
.middle {
  border-left: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.right {
  border-left: 1px solid var(--rule);
  background: var(--sheet);
}
.right section {
  display: grid;
  gap: 0.4rem;
}
.conflict {
  position: sticky;
  top: 0;
  z-index: 4;
  display: grid;
  gap: 0.5rem;
  padding: 0.7rem;
  border-left: 4px solid var(--stop);
  background: var(--stop-tint);
}
.stale {
  opacity: 0.5;
}
.conflict ul {
  padding-left: 1.1rem;
  list-style: disc;
}
.all {
  display: none;
}
.all li {
  display: grid;
  grid-template-columns: 3.4rem 1fr auto;
  gap: 0.5rem;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--rule);
}
.day {
  grid-column: 1 / -1;
}
.all .self {
  color: var(--ink-soft);
}
.all .done {
  text-decoration: line-through;
}
.plain {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
@media (max-width: 1100px) {
  .clock {
    grid-template: auto auto auto / minmax(14rem, 17rem) minmax(0, 1fr);
  }
  .right {
    grid-column: 2;
  }
}
@media (max-width: 760px) {
  .clock {
    display: flex;
    flex-direction: column;
  }
  .middle {
    order: 1;
    border: 0;
  }
  .right {
    order: 2;
    border: 0;
  }
  .left {
    order: 3;
  }
  .all {
    display: grid;
  }
  .acts {
    margin-left: 0;
  }
}
@media print {
  .middle > :deep(.scroll) {
    display: none;
  }
  .clock {
    display: block;
  }
  .middle,
  .right {
    border: 0;
    padding: 0.4rem 0;
  }
  .all {
    display: grid;
    font-size: 10.5pt;
  }
  .all li {
    padding: 0.12rem 0;
    break-inside: avoid;
  }
  .right p {
    font-size: 9pt;
  }
}
</style>
