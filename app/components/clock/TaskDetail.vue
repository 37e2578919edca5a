<script setup lang="ts">
import type { PlannedTask } from '~~/core/planning/dinner'
import type { Recipe } from '~~/core/recipe/document'
import { timeText } from '~/logic/evening'

const { task, recipe, serve, zone, edited } = defineProps<{
  task: PlannedTask
  recipe: Recipe | null
  serve: number
  zone: string
  edited: { minutes?: number; startAt?: string } | null
}>()
const emit = defineEmits<{
  minutes: [minutes: number | undefined]
  free: []
  mark: [what: 'begun' | 'done' | 'to do']
  close: []
}>()
const time = (before: number) => timeText(serve - before, zone)
const typed = ref('')
watch(
  () => task.id,
  () => (typed.value = ''),
)
const wrong = computed(() => {
  if (typed.value.trim() === '') return ''
  const minutes = Number(typed.value.replace(',', '.'))
  return minutes >= 1 && minutes <= 1440 ? '' : 'minutes from 1 to 1440 are expected'
})
function setMinutes() {
  if (typed.value.trim() === '' || wrong.value) return
  emit('minutes', Math.round(Number(typed.value.replace(',', '.'))))
  typed.value = ''
}
/** How far it could slide with everything else staying where it is. */
const room = computed(() => {
  const earlier = Math.max(0, task.earliestStart - task.start)
  const later = Math.max(0, task.end - task.latestEnd)
  if (earlier < 1 && later < 1) return 'It cannot move alone: what is before and behind it holds it.'
  const parts = [
    earlier >= 1 && `${Math.round(earlier)} min earlier`,
    later >= 1 && `${Math.round(later)} min later`,
  ]
  return `It could begin ${parts.filter(Boolean).join(' or ')} by its own waits.`
})
const limits = computed(() => task.after.filter((wait) => wait.maxMinutes !== null && wait.why))
const step = computed(() => (task.step === null ? '' : (recipe?.method[task.step] ?? '')))
</script>

<template>
  <section class="detail" :aria-label="task.name">
    <header>
      <h2>{{ task.name }}</h2>
      <button type="button" class="opens small" @click="emit('close')">Close</button>
    </header>
    <p>
      <strong class="large">{{ time(task.start) }}</strong> to {{ time(task.end) }}, {{ task.minutes }} min{{
        task.hands ? '' : ', by itself'
      }}
    </p>
    <p v-if="recipe && task.kind !== 'serve'" class="soft small">{{ recipe.title }}</p>
    <blockquote v-if="step">{{ step }}</blockquote>
    <p class="small">
      {{ task.why }}.
      {{ task.lowMinutes === task.highMinutes ? '' : `Usual: ${task.lowMinutes} to ${task.highMinutes} min. `
      }}<span class="soft">Source: {{ task.source }}.</span>
    </p>
    <p v-for="wait in limits" :key="wait.id" class="small">
      At most {{ wait.maxMinutes }} min after what is before it: {{ wait.why }}.
    </p>
    <p class="small soft">{{ room }}</p>
    <template v-if="task.kind !== 'serve'">
      <form class="own" @submit.prevent="setMinutes">
        <label
          >Your own minutes
          <input
            v-model="typed"
            class="field"
            inputmode="decimal"
            :placeholder="String(task.minutes)"
            :aria-invalid="wrong !== ''"
            @change="setMinutes"
        /></label>
        <button
          v-if="edited?.minutes !== undefined"
          type="button"
          class="opens small"
          @click="emit('minutes', undefined)"
        >
          Back to the usual
        </button>
      </form>
      <p v-if="wrong" role="alert" class="small">{{ wrong }}.</p>
      <p v-if="edited?.startAt" class="small">
        You laid it there.
        <button type="button" class="opens" @click="emit('free')">Let it move again</button>
      </p>
      <p class="marks">
        <Button
          v-if="task.state === 'to do'"
          label="It has begun"
          size="small"
          @click="emit('mark', 'begun')"
        />
        <Button
          v-if="task.state !== 'done'"
          label="It is done"
          size="small"
          severity="secondary"
          @click="emit('mark', 'done')"
        />
        <button
          v-if="task.state !== 'to do'"
          type="button"
          class="opens small"
          @click="emit('mark', 'to do')"
        >
          Not begun yet
        </button>
      </p>
    </template>
  </section>
</template>

<style scoped>
.detail {
  display: grid;
  gap: 0.45rem;
  padding: 0.7rem;
  border-left: 4px solid var(--beet);
  background: var(--beet-tint);
}
header {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 0.5rem;
}
.large {
  font-size: 1.4rem;
}
blockquote {
  margin: 0;
  padding-left: 0.6rem;
  border-left: 2px solid var(--rule-strong);
}
.own {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
input {
  width: 4.5rem;
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
</style>
