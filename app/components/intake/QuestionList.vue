<script setup lang="ts">
import type { Answer, Question } from '~~/core/reading/questions'
import type { Recipe } from '~~/core/recipe/document'
import { typedWeight } from '~/logic/typedWeight'

const { questions, recipe } = defineProps<{ questions: readonly Question[]; recipe: Recipe }>()
const shelves = useLarderStore()
/** The food a question is about, so that a spoon or a cup of it can be weighed. */
const foodOf = (question: Question) => {
  const line = recipe.parts.flatMap((part) => part.lines).find((one) => one.id === question.about)
  return line?.foodId ? shelves.reference.foods.get(line.foodId) : undefined
}
const emit = defineEmits<{
  answer: [question: Question, answer: Answer]
  grams: [question: Question, grams: number]
}>()

/** So many are asked at once; the others follow when these are answered. */
const AT_ONCE = 3
const all = ref(false)
const shown = computed(() => (all.value ? questions : questions.slice(0, AT_ONCE)))
const problems = reactive<Record<string, string>>({})
const keyOf = (question: Question) => `${question.code}:${question.about ?? ''}`

function type(question: Question, event: Event) {
  const text = (event.target as HTMLInputElement).value
  if (!text.trim()) return
  const key = keyOf(question)
  if (question.asks === 'grams') {
    const weight = typedWeight(text, foodOf(question))
    problems[key] = 'problem' in weight ? weight.problem : ''
    if ('grams' in weight) emit('grams', question, weight.grams)
    return
  }
  const count = Number(text.trim().replace(',', '.'))
  const whole = question.asks === 'servings' || Number.isInteger(count)
  problems[key] = count >= 1 && count <= 1000 && whole ? '' : 'Type a number from 1 to 1000'
  if (!problems[key] && question.asks) emit('answer', question, { do: 'count', of: question.asks, count })
}
const FIELD = { pieces: 'Pieces', servings: 'Servings', grams: 'Grams' } as const
</script>

<template>
  <section v-if="questions.length" class="asks no-print" aria-labelledby="asks-title">
    <h3 id="asks-title">
      {{ questions.length === 1 ? 'One question' : `${questions.length} questions` }}
      <span class="soft small">what matters most first</span>
    </h3>
    <ol>
      <li v-for="question in shown" :key="keyOf(question)">
        <p>{{ question.text }}</p>
        <p class="ways">
          <button
            v-for="option in question.options"
            :key="option.label"
            type="button"
            class="way"
            @click="emit('answer', question, option.answer)"
          >
            {{ option.label }}
          </button>
          <label v-if="question.asks" class="small"
            >{{ FIELD[question.asks] }}
            <input
              class="field"
              inputmode="decimal"
              autocomplete="off"
              :aria-label="`${FIELD[question.asks]}: ${question.text}`"
              @change="(event) => type(question, event)"
          /></label>
          <FoodPicker
            v-if="question.code === 'unknown-food' && question.about"
            :input-id="`asks-${question.about}`"
            :aria-label="question.text"
            @choose="
              (food) => emit('answer', question, { do: 'food', lineId: question.about!, foodId: food.id })
            "
          />
        </p>
        <p v-if="problems[keyOf(question)]" class="small" role="alert">
          <span class="sign stop">✕</span> {{ problems[keyOf(question)] }}
        </p>
      </li>
    </ol>
    <button v-if="questions.length > AT_ONCE" type="button" class="opens small" @click="all = !all">
      {{ all ? 'Fewer' : `All ${questions.length}` }}
    </button>
  </section>
</template>

<style scoped>
.asks {
  display: grid;
  gap: 0.4rem;
  padding: 0.6rem 0.8rem 0.7rem;
  border: 1px solid var(--watch);
  border-left-width: 5px;
  background: var(--sheet);
}
h3 {
  font-size: 1rem;
}
ol {
  display: grid;
  gap: 0.5rem;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.35rem 0.5rem;
}
.way {
  min-height: 2rem;
  padding: 0.15rem 0.7rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: var(--ground);
  color: inherit;
  cursor: pointer;
}
.way:hover {
  border-color: var(--beet);
  color: var(--beet);
}
.ways .field {
  width: 4.5rem;
}
</style>
