<script setup lang="ts">
import type { Recipe } from '~~/core/recipe/document'
import { MAX_PIECES, SHAPES, type Shape } from '~~/core/recipe/vocabulary'
import { SHAPE_NAMES } from '~~/core/piece/shapes'

const { recipe } = defineProps<{ recipe: Recipe }>()
const emit = defineEmits<{ scale: [] }>()
const edits = useBenchEdits()

const problem = ref('')
const valueOf = (event: Event) => (event.target as HTMLInputElement).value

function setTitle(event: Event) {
  const title = valueOf(event).replace(/\s+/g, ' ').trim().slice(0, 200)
  if (title && title !== recipe.title) edits.title(title)
}
function setCount(key: 'pieces' | 'servings', event: Event) {
  const count = Number(valueOf(event).replace(',', '.'))
  const whole = key === 'servings' || Number.isInteger(count)
  problem.value =
    count >= 1 && count <= MAX_PIECES && whole
      ? ''
      : `${key === 'pieces' ? 'Pieces' : 'Servings'}: type a number from 1 to ${MAX_PIECES}`
  if (problem.value || (count === recipe[key] && recipe[`${key}Stated`])) return
  edits.count(key, count)
}
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
        <input
          class="field"
          :value="String(recipe.pieces)"
          inputmode="numeric"
          aria-label="Pieces"
          @input="(event) => setCount('pieces', event)"
        />
        pieces</label
      >
      <label
        >serves
        <input
          class="field"
          :value="String(recipe.servings)"
          inputmode="decimal"
          aria-label="Servings"
          @input="(event) => setCount('servings', event)"
        /><span v-if="!recipe.servingsStated" class="soft small"> a guess</span></label
      >
      <button type="button" class="opens small" @click="emit('scale')">scale</button>
      <CookingFields :cooking="recipe.cooking" />
      <select
        class="field"
        aria-label="Shape"
        :value="recipe.shape"
        @change="(event) => edits.shape(valueOf(event) as Shape)"
      >
        <option v-for="shape in SHAPES" :key="shape" :value="shape">{{ SHAPE_NAMES[shape] }}</option>
      </select>
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
.facts select {
  max-width: 6.9rem;
}
.facts input {
  width: 3.2rem;
  text-align: right;
}
</style>
