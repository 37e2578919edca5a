<script setup lang="ts">
import type { CookRecord } from '~~/core/log/record'

const { timers, now } = defineProps<{ timers: CookRecord['timers']; now: number }>()
const emit = defineEmits<{ done: [id: string]; more: [id: string, minutes: number]; rings: [] }>()
const { allowed, allow } = useBell()

const running = computed(() =>
  timers
    .filter(({ doneAt }) => doneAt === null)
    .map((timer) => ({
      ...timer,
      leftSeconds: Math.round((timer.startedAt - now) / 1000 + timer.minutes * 60),
    }))
    .sort((a, b) => a.leftSeconds - b.leftSeconds),
)
const due = computed(() => running.value.filter(({ leftSeconds }) => leftSeconds <= 0).map(({ id }) => id))
watch(
  () => due.value.join(),
  (now_, before) => {
    if (now_.length > before.length) emit('rings')
  },
)
const clock = (seconds: number) => {
  const whole = Math.abs(seconds)
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60]
  const two = (value: number) => String(value).padStart(2, '0')
  return `${seconds < 0 ? '+' : ''}${h ? `${h}:${two(m)}` : m}:${two(s)}`
}
</script>

<template>
  <section class="timers" aria-label="Timers">
    <p v-if="running.length && !allowed" class="ask">
      <button type="button" class="opens" @click="allow">Let it ring</button>
      <span class="soft small">A page may sound only when it is asked to.</span>
    </p>
    <ul>
      <li v-for="timer in running" :key="timer.id" :class="{ due: timer.leftSeconds <= 0 }">
        <span class="time">{{ clock(timer.leftSeconds) }}</span>
        <span class="name">{{ timer.name }}</span>
        <button
          type="button"
          :aria-label="`2 minutes more for ${timer.name}`"
          @click="emit('more', timer.id, 2)"
        >
          + 2 min
        </button>
        <button type="button" :aria-label="`${timer.name} is done`" @click="emit('done', timer.id)">
          Done
        </button>
      </li>
    </ul>
    <p class="announce" role="status">
      <template v-if="due.length"
        >{{
          running
            .filter((one) => due.includes(one.id))
            .map((one) => one.name)
            .join(', ')
        }}: time is up</template
      >
    </p>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  gap: 0.4rem;
}
li {
  display: grid;
  grid-template-columns: auto 1fr auto auto;
  align-items: center;
  gap: 0.75rem;
  padding: 0.35rem 0.6rem;
  border-left: 5px solid var(--filling-mark);
  background: var(--sheet);
}
li.due {
  border-color: var(--stop);
  background: var(--stop-tint);
}
.time {
  min-width: 4.5ch;
  font-size: 1.7rem;
  font-weight: 680;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
}
button {
  min-height: 2.6rem;
  padding: 0 0.8rem;
  border: 1px solid var(--rule-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
  margin-bottom: 0.4rem;
}
.announce:empty {
  display: none;
}
.announce {
  color: var(--stop);
  font-weight: 640;
}
</style>
