<script setup lang="ts">
import { useIntervalFn, useMediaQuery } from '@vueuse/core'
import type { Stage } from '~~/core/planning/tasks'
import { instantText, momentOfWall, nowMinutes, timeText } from '~/logic/evening'

const bench = useBenchStore()
const clock = useClockStore()
const route = useRoute()
const loading = ref(true)
const selected = ref<string | null>(null)
const nowAt = ref(nowMinutes())
useIntervalFn(() => (nowAt.value = nowMinutes()), 15_000)

onMounted(async () => {
  await clock.begin()
  loading.value = false
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
    // What a table made of it is on the dinner already.
    !clock.sentBy(bench.slot.id ?? bench.recipe.title) &&
    !clock.dinner.dishes.some(({ recipe, recipeId }) =>
      bench.slot.id ? recipeId === bench.slot.id : recipe.title === bench.recipe!.title,
    ),
)
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
const calendarTrouble = ref('')
async function calendar() {
  calendarTrouble.value = ''
  if (await clock.save()) window.location.assign(`/api/dinners/${clock.id}/calendar.ics`)
  else
    calendarTrouble.value =
      'The calendar is made by the server, which does not answer; your plan is kept here'
}
const print = () => window.print()
/** What every view of the plan is told. */
const view = computed(() => ({ serve: clock.serve, zone: zone.value, severalDishes: several.value }))
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
      <EarlierDinners :current="clock.id" @open="clock.open" />
    </div>

    <div class="middle">
      <p v-if="clock.trouble" role="alert">{{ clock.trouble }}.</p>
      <p v-for="problem in clock.problems" :key="problem.field" role="alert">
        <span class="sign stop">cannot be</span> {{ problem.message }}.
      </p>
      <WhyNot
        v-if="clock.plan?.conflict"
        :conflict="clock.plan.conflict"
        :serve="clock.serve"
        :zone="zone"
        :past="hasPassed"
        :searching="clock.searching"
        @give-up="clock.giveUp"
        @serve-at="clock.change({ serveAt: $event })"
      />
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
          v-bind="view"
          :tasks="shown"
          :now="now"
          @select="selected = $event"
          @mark="clock.mark"
        />
        <EveningChart
          v-else
          v-bind="view"
          :class="{ stale: !tasks }"
          :tasks="shown"
          :people="clock.dinner.people"
          :now="now"
          :selected="selected"
          @select="selected = $event"
          @move="move"
        />
        <InOrder
          v-bind="view"
          class="all"
          :class="{ stale: !tasks }"
          :tasks="shown"
          :people="clock.dinner.people"
          @select="selected = $event"
        />
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
        v-bind="view"
        class="no-print"
        :tasks="tasks"
        :now="now"
        @select="selected = $event"
        @mark="clock.mark"
      />
      <WarmFoods
        v-if="clock.plan?.foodSafety.length && tasks"
        :foods="clock.plan.foodSafety"
        :several-dishes="several"
      />
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
.stale {
  opacity: 0.5;
}
.all {
  display: none;
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
  }
}
</style>
