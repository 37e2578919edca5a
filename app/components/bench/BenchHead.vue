<script setup lang="ts">
import { COOKING_WAYS, MAX_PIECES, SHAPES, type Recipe } from '~~/core/recipe/document'
import { SHAPE_WORDS, WAY_WORDS } from '~/logic/format'

const { recipe } = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ change: [recipe: Recipe] }>()

const ways = COOKING_WAYS.map((value) => ({ value, label: WAY_WORDS[value] }))
const shapes = SHAPES.map((value) => ({ value, label: SHAPE_WORDS[value] }))
const problem = ref('')

const valueOf = (event: Event) => (event.target as HTMLInputElement).value

function setTitle(event: Event) {
  const title = valueOf(event).replace(/\s+/g, ' ').trim().slice(0, 200)
  if (title && title !== recipe.title) emit('change', { ...recipe, title })
}
function setCount(key: 'pieces' | 'servings', event: Event) {
  const count = Number(valueOf(event).replace(',', '.'))
  const whole = key === 'servings' || Number.isInteger(count)
  problem.value =
    count >= 1 && count <= MAX_PIECES && whole
      ? ''
      : `${key === 'pieces' ? 'Pieces' : 'Servings'}: type a number from 1 to ${MAX_PIECES}`
  if (problem.value || count === recipe[key]) return
  const notes = recipe.notes.filter((note) => note.code !== `${key}-assumed`)
  emit('change', { ...recipe, [key]: count, notes })
}
const setWay = (way: Recipe['cooking']['way']) =>
  emit('change', {
    ...recipe,
    cooking: { ...recipe.cooking, way },
    notes: recipe.notes.filter((note) => note.code !== 'way-assumed'),
  })
</script>

<template>
  <div class="head">
    <label class="visually-hidden" for="recipe-title">Title</label>
    <textarea
      id="recipe-title"
      class="title"
      rows="1"
      :value="recipe.title"
      maxlength="200"
      @change="setTitle"
      @keydown.enter.prevent="($event.target as HTMLElement).blur()"
    />
    <div class="facts">
      <label
        >Makes
        <InputText
          :model-value="String(recipe.pieces)"
          size="small"
          inputmode="numeric"
          aria-label="Pieces"
          @input="(event: Event) => setCount('pieces', event)"
        />
        pieces</label
      >
      <label
        >serves
        <InputText
          :model-value="String(recipe.servings)"
          size="small"
          inputmode="decimal"
          aria-label="Servings"
          @input="(event: Event) => setCount('servings', event)"
      /></label>
      <Select
        :model-value="recipe.cooking.way"
        :options="ways"
        option-label="label"
        option-value="value"
        size="small"
        aria-label="Way of cooking"
        @update:model-value="setWay"
      />
      <span v-if="recipe.cooking.temperatureC || recipe.cooking.minutes" class="soft">
        {{ recipe.cooking.temperatureC ? `${recipe.cooking.temperatureC} °C` : '' }}
        {{ recipe.cooking.minutes ? `${recipe.cooking.minutes} min` : '' }}
      </span>
      <Select
        :model-value="recipe.shape"
        :options="shapes"
        option-label="label"
        option-value="value"
        size="small"
        aria-label="Shape"
        @update:model-value="(shape) => emit('change', { ...recipe, shape })"
      />
    </div>
    <p v-if="problem" class="small" role="alert"><span class="sign stop">✕</span> {{ problem }}</p>
  </div>
</template>

<style scoped>
.title {
  width: 100%;
  padding: 0.1rem 0.25rem;
  margin-left: -0.25rem;
  border: 1px solid transparent;
  border-radius: 3px;
  background: none;
  color: inherit;
  font-size: 1.45rem;
  font-weight: 700;
  line-height: 1.2;
  resize: none;
  field-sizing: content;
}
@media (max-width: 640px) {
  .title {
    font-size: 1.25rem;
  }
}
.title:hover,
.title:focus {
  border-color: var(--rule-strong);
}
.facts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.75rem;
}
.facts :deep(input) {
  width: 3.2rem;
  padding: 0.1rem 0.3rem;
  font-size: 1rem;
  text-align: right;
}
.facts :deep(.p-select-label) {
  padding: 0.1rem 0.4rem;
  font-size: 1rem;
}
</style>
