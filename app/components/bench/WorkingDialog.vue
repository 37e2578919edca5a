<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { MICRONUTRIENTS, type Micronutrient } from '~~/core/food/micronutrients'
import { NUTRIENT_TABLE, type Nutrient } from '~~/core/food/nutrients'

/** What can be opened: how something came about. */
export type Topic =
  | { kind: 'nutrient'; key: Nutrient }
  | { kind: 'micronutrient'; key: Micronutrient }
  | { kind: 'protein' }
  | { kind: 'dough' }
  | { kind: 'eaten' }
  | { kind: 'drawing'; text: string }

const { topic, evaluation } = defineProps<{
  topic: Topic | null
  evaluation: Evaluation | null
}>()
const emit = defineEmits<{ close: [] }>()

const visible = computed({ get: () => topic !== null, set: () => emit('close') })
const title = computed(() => {
  if (topic?.kind === 'nutrient') return `How the ${NUTRIENT_TABLE[topic.key].name.toLowerCase()} came about`
  if (topic?.kind === 'micronutrient')
    return `How the ${MICRONUTRIENTS[topic.key].name.toLowerCase()} came about`
  if (topic?.kind === 'eaten') return 'From raw to eaten'
  if (topic?.kind === 'protein') return 'What the protein is made of'
  return topic?.kind === 'dough' ? 'How the softness came about' : 'How the piece is drawn'
})
</script>

<template>
  <Dialog v-model:visible="visible" modal :header="title" dismissable-mask>
    <template v-if="evaluation">
      <NutrientWorking v-if="topic?.kind === 'nutrient'" :of="topic.key" :evaluation="evaluation" />
      <MicronutrientWorking
        v-else-if="topic?.kind === 'micronutrient'"
        :of="topic.key"
        :evaluation="evaluation"
      />
      <EatenWorking v-else-if="topic?.kind === 'eaten'" :evaluation="evaluation" />
      <ProteinWorking v-else-if="topic?.kind === 'protein'" :protein="evaluation.protein" />
      <DoughWorking v-else-if="topic?.kind === 'dough'" :evaluation="evaluation" />
    </template>
    <div v-if="topic?.kind === 'drawing'" class="working">
      <p v-for="line in topic.text.split('\n')" :key="line">{{ line }}.</p>
      <p class="soft small">A raw piece as shaped: air, layers and the rise of yeast are left out.</p>
    </div>
  </Dialog>
</template>
