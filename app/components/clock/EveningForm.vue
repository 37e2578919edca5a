<script setup lang="ts">
import type { DinnerDocument } from '~~/shared/api/dinners'
import type { FieldProblem } from '~~/core/recipe/problem'
import { momentOfWall, nowMinutes, wallOf } from '~/logic/evening'

const { dinner, problems } = defineProps<{ dinner: DinnerDocument; problems: readonly FieldProblem[] }>()
const emit = defineEmits<{ change: [fields: Partial<DinnerDocument>] }>()

const day = computed(() => dinner.serveAt.slice(0, 10))
const time = computed(() => dinner.serveAt.slice(11))
const valueOf = (event: Event) => (event.target as HTMLInputElement).value
function setServe(fields: { day?: string; time?: string }) {
  const [newDay, newTime] = [fields.day ?? day.value, fields.time ?? time.value]
  if (!/^\d{4}-\d\d-\d\d$/.test(newDay) || !/^\d\d:\d\d$/.test(newTime)) return
  emit('change', { serveAt: `${newDay}T${newTime}` })
}
const past = computed(
  () => momentOfWall(dinner.serveAt, dinner.timeZone) <= nowMinutes() && !Object.keys(dinner.begun).length,
)
const serve = computed(() => momentOfWall(dinner.serveAt, dinner.timeZone))
/** A time of the dinner's own day, or of the day before where it would be after serving. */
function onDay(text: string): string | null {
  if (!/^\d\d:\d\d$/.test(text)) return null
  const same = `${day.value}T${text}`
  return momentOfWall(same, dinner.timeZone) < serve.value
    ? same
    : wallOf(momentOfWall(same, dinner.timeZone) - 1440, dinner.timeZone)
}
const setFrom = (event: Event) => emit('change', { from: onDay(valueOf(event)) })

function setPerson(at: number, fields: Partial<DinnerDocument['people'][number]>) {
  emit('change', { people: dinner.people.map((one, index) => (index === at ? { ...one, ...fields } : one)) })
}
const addPerson = () =>
  emit('change', {
    people: [...dinner.people, { name: `Cook ${dinner.people.length + 1}`, from: null, does: 'everything' }],
  })
const dropPerson = (at: number) =>
  emit('change', { people: dinner.people.filter((_, index) => index !== at) })
/** Somebody has to be able to do everything. */
const mayOnlyShape = (at: number) =>
  dinner.people.some((one, index) => index !== at && one.does === 'everything')

const NIGHT = { from: '20:00', until: '22:30', backAt: '17:00' }
function setNight(on: boolean) {
  if (!on)
    return emit('change', {
      night: null,
      dishes: dinner.dishes.map((dish) =>
        dish.stage === 'night-before' ? { ...dish, stage: 'fresh' } : dish,
      ),
    })
  const before = wallOf(serve.value - 1440, dinner.timeZone).slice(0, 10)
  emit('change', {
    night: {
      from: `${before}T${NIGHT.from}`,
      until: `${before}T${NIGHT.until}`,
      backAt: onDay(NIGHT.backAt) ?? `${day.value}T${NIGHT.backAt}`,
    },
    dishes: dinner.dishes.map((dish) => (dish.stage === 'fresh' ? { ...dish, stage: 'night-before' } : dish)),
  })
}
function setNightTime(field: 'from' | 'until' | 'backAt', event: Event) {
  const text = valueOf(event)
  if (!dinner.night || !/^\d\d:\d\d$/.test(text)) return
  emit('change', { night: { ...dinner.night, [field]: `${dinner.night[field].slice(0, 10)}T${text}` } })
}

const THINGS = [
  ['oven', 'Ovens', 0, 4],
  ['burner', 'Burners', 0, 8],
  ['steamer', 'Steamers', 0, 6],
  ['board', 'Places to work', 1, 6],
] as const
function setThing(thing: (typeof THINGS)[number][0], event: Event) {
  const number = Number(valueOf(event))
  if (Number.isInteger(number) && number >= 0 && number <= 12)
    emit('change', { equipment: { ...dinner.equipment, [thing]: number } })
}
function setRoom(event: Event) {
  const roomC = Number(valueOf(event))
  if (roomC >= 5 && roomC <= 45) emit('change', { roomC })
}
const lacks = computed(() => {
  const found = problems.map(({ message }) => /this kitchen has no (\w+)/.exec(message)?.[1]).find(Boolean)
  return found ?? null
})
</script>

<template>
  <form class="form" @submit.prevent>
    <fieldset class="serve">
      <legend>On the table</legend>
      <label
        ><span class="visually-hidden">Time of serving</span
        ><input
          class="field big"
          type="time"
          :value="time"
          required
          :aria-invalid="past"
          @change="setServe({ time: valueOf($event) })"
      /></label>
      <label
        ><span class="visually-hidden">Day of serving</span
        ><input
          class="field"
          type="date"
          :value="day"
          required
          :aria-invalid="past"
          @change="setServe({ day: valueOf($event) })"
      /></label>
      <p v-if="past" role="alert" class="small">
        <span class="sign stop">past</span> That time has gone by: choose a later one.
      </p>
    </fieldset>

    <fieldset>
      <legend>Who cooks</legend>
      <ul>
        <li v-for="(person, at) in dinner.people" :key="at" class="person">
          <input
            class="field"
            :value="person.name"
            maxlength="60"
            :aria-label="`Name of cook ${at + 1}`"
            @change="setPerson(at, { name: valueOf($event) })"
          />
          <label class="small"
            >from
            <input
              class="field"
              type="time"
              :value="person.from?.slice(11) ?? ''"
              :aria-label="`${person.name || `Cook ${at + 1}`} is there from`"
              @change="setPerson(at, { from: onDay(valueOf($event)) })"
          /></label>
          <select
            v-if="dinner.people.length > 1"
            class="field"
            :value="person.does"
            :aria-label="`What ${person.name || `cook ${at + 1}`} does`"
            @change="setPerson(at, { does: valueOf($event) as 'everything' | 'shaping' })"
          >
            <option value="everything">everything</option>
            <option value="shaping" :disabled="!mayOnlyShape(at)">only fills and closes</option>
          </select>
          <button
            v-if="dinner.people.length > 1 && mayOnlyShape(at)"
            type="button"
            class="opens small"
            @click="dropPerson(at)"
          >
            Remove<span class="visually-hidden"> {{ person.name }}</span>
          </button>
        </li>
      </ul>
      <button v-if="dinner.people.length < 8" type="button" class="opens small" @click="addPerson">
        Add a pair of hands
      </button>
    </fieldset>

    <fieldset>
      <legend>When</legend>
      <label class="row"
        >Nothing before
        <input class="field" type="time" :value="dinner.from?.slice(11) ?? ''" @change="setFrom"
      /></label>
      <label class="check"
        ><input
          type="checkbox"
          :checked="dinner.night !== null"
          @change="setNight(($event.target as HTMLInputElement).checked)"
        />
        The evening before, what can be</label
      >
      <template v-if="dinner.night">
        <label class="row"
          >that evening from
          <input
            class="field"
            type="time"
            :value="dinner.night.from.slice(11)"
            @change="setNightTime('from', $event)"
        /></label>
        <label class="row"
          >until
          <input
            class="field"
            type="time"
            :value="dinner.night.until.slice(11)"
            @change="setNightTime('until', $event)"
        /></label>
        <label class="row"
          >back at
          <input
            class="field"
            type="time"
            :value="dinner.night.backAt.slice(11)"
            @change="setNightTime('backAt', $event)"
        /></label>
      </template>
    </fieldset>

    <details class="kitchen" :open="lacks !== null">
      <summary>
        Kitchen: {{ dinner.roomC }} °C, {{ dinner.equipment.oven }}
        {{ dinner.equipment.oven === 1 ? 'oven' : 'ovens' }}, {{ dinner.equipment.burner }} burners
      </summary>
      <label class="row"
        >The room has
        <span
          ><input class="field" type="number" min="5" max="45" :value="dinner.roomC" @change="setRoom" />
          °C</span
        ></label
      >
      <label v-for="[thing, word, least, most] in THINGS" :key="thing" class="row"
        >{{ word }}
        <input
          class="field"
          type="number"
          :min="least"
          :max="most"
          :value="dinner.equipment[thing]"
          :aria-invalid="lacks === thing"
          @change="setThing(thing, $event)"
      /></label>
    </details>
    <label v-if="dinner.dishes.length > 1" class="check"
      ><input
        type="checkbox"
        :checked="dinner.keepApart"
        @change="emit('change', { keepApart: ($event.target as HTMLInputElement).checked })"
      />
      Keep dishes apart: what holds least first, clean between</label
    >
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.9rem;
}
fieldset {
  display: grid;
  gap: 0.4rem;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  font-weight: 640;
}
.serve input {
  width: 100%;
}
input,
select {
  min-width: 0;
}
input[aria-invalid='true'] {
  border-color: var(--stop);
}
.big {
  font-size: 1.6rem;
  font-weight: 680;
}
input[type='number'] {
  width: 4.2rem;
}
ul {
  display: grid;
  gap: 0.45rem;
}
.person {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.5rem;
}
.person > input {
  flex: 1 1 4rem;
}
.row {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem;
}
.check {
  display: flex;
  align-items: baseline;
  gap: 0.45rem;
}
.kitchen {
  display: grid;
  gap: 0.35rem;
}
summary {
  cursor: pointer;
}
.kitchen .row {
  margin-top: 0.35rem;
}
.opens {
  justify-self: start;
}
</style>
