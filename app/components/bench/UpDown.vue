<script setup lang="ts">
defineProps<{
  /** What is moved, as it is read out: "Step 2". */
  what: string
  first: boolean
  last: boolean
}>()
const emit = defineEmits<{ move: [by: -1 | 1] }>()
</script>

<template>
  <span class="no-print">
    <button type="button" class="tiny" :disabled="first" :aria-label="`${what} up`" @click="emit('move', -1)">
      ↑
    </button>
    <button type="button" class="tiny" :disabled="last" :aria-label="`${what} down`" @click="emit('move', 1)">
      ↓
    </button>
  </span>
</template>
