<script setup lang="ts">
import type { ProblemDocument } from '~~/shared/api/answers'

const { problem, refusal, waiting } = defineProps<{
  problem: ProblemDocument | null
  /** Why the last adaptation did not happen. */
  refusal: string
  /** It is saved as soon as the server is back. */
  waiting: boolean
}>()
const emit = defineEmits<{ again: []; over: []; stored: [] }>()

const stale = computed(() => problem?.status === 409)
</script>

<template>
  <div v-if="problem || refusal || waiting" class="trouble" role="alert">
    <template v-if="refusal">
      <p><span class="sign stop">✕</span> Not adapted: {{ refusal }}.</p>
    </template>
    <template v-else>
      <p v-if="waiting">
        <span class="sign stop">✕ not saved yet</span>
        <strong>{{ problem?.title ?? 'The server was away' }}.</strong> It is saved by itself as soon as it
        can be. What you typed is kept in this browser.
      </p>
      <p v-else-if="problem">
        <span class="sign stop">✕ not saved</span> <strong>{{ problem.title }}.</strong> {{ problem.detail }}.
        <template v-if="!stale">What you typed is kept in this browser.</template>
      </p>
      <p class="ways">
        <template v-if="stale">
          <Button label="Save mine on top" size="small" @click="emit('over')" />
          <Button
            label="Take what is stored"
            size="small"
            severity="secondary"
            outlined
            @click="emit('stored')"
          />
        </template>
        <Button v-else :label="waiting ? 'Try now' : 'Try again'" size="small" @click="emit('again')" />
      </p>
    </template>
  </div>
</template>

<style scoped>
.trouble {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem;
  padding: 0.4rem 0.6rem;
  border-left: 3px solid var(--stop);
  background: var(--stop-tint);
}
.ways {
  display: flex;
  gap: 0.5rem;
}
</style>
