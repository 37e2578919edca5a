<script setup lang="ts">
import { table } from '~~/data/table'

const { canUndo, canRedo, dirty, saving, diets, revision } = defineProps<{
  canUndo: boolean
  canRedo: boolean
  dirty: boolean
  saving: boolean
  /** Diets that the recipe has been adapted to. */
  diets: string[]
  /** The revision that is stored; null while it was never saved. */
  revision: number | null
}>()
const emit = defineEmits<{ undo: []; redo: []; save: []; adapt: [dietId: string]; more: []; revisions: [] }>()

// One click for what is asked most; the rest, and combinations, behind "more".
const offered = table.diets.filter((diet) => diet.id === 'vegan' || diet.id === 'vegetarian')
</script>

<template>
  <div class="actions no-print">
    <span class="make" role="group" aria-label="Make it">
      <span class="soft word">Make it</span>
      <Button
        v-for="diet in offered"
        :key="diet.id"
        :label="diet.name.toLowerCase()"
        size="small"
        :severity="diet.id === 'vegan' ? undefined : 'secondary'"
        :outlined="diet.id !== 'vegan'"
        :disabled="diets.includes(diet.id)"
        @click="emit('adapt', diet.id)"
      />
      <Button
        label="more diets"
        size="small"
        severity="secondary"
        outlined
        aria-label="More diets, targets and combinations"
        @click="emit('more')"
      />
    </span>
    <span class="steps">
      <Button
        label="Undo"
        size="small"
        severity="secondary"
        text
        :disabled="!canUndo"
        @click="emit('undo')"
      />
      <Button
        label="Redo"
        size="small"
        severity="secondary"
        text
        :disabled="!canRedo"
        @click="emit('redo')"
      />
      <Button
        :label="saving ? 'Saving' : dirty ? 'Save' : 'Saved'"
        size="small"
        :outlined="!dirty"
        :disabled="saving || !dirty"
        @click="emit('save')"
      />
      <button
        v-if="revision !== null"
        type="button"
        class="opens small soft"
        :aria-label="`Revision ${revision}, show all`"
        @click="emit('revisions')"
      >
        revision {{ revision }}
      </button>
    </span>
  </div>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.5rem 1rem;
}
.word {
  white-space: nowrap;
}
.make,
.steps {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem;
}
@media (max-width: 640px) {
  .make {
    flex-wrap: nowrap;
    max-width: 100%;
    overflow-x: auto;
  }
  .make :deep(.p-button) {
    flex-shrink: 0;
  }
}
</style>
