<script setup lang="ts">
defineProps<{ doubts: readonly { level: 'error' | 'check'; message: string }[] }>()
</script>

<template>
  <p v-for="doubt in doubts" :key="doubt.message" class="doubt small" role="status">
    <span class="sign" :class="doubt.level === 'error' ? 'stop' : 'watch'">{{
      doubt.level === 'error' ? '✕' : 'check'
    }}</span>
    {{ doubt.message }}
  </p>
</template>

<style scoped>
.doubt {
  grid-column: 1 / -1;
}
</style>
