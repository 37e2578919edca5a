<script setup lang="ts">
import { PRECOOKING_TABLE } from '~~/core/recipe/precookingWays'
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import type { Intake } from '~~/core/reading/readRecipe'
import type { Answer, Question } from '~~/core/reading/questions'
import { plainPart, showCooking, showGrams } from '~/logic/format'
import { SHAPE_NAMES } from '~~/core/piece/shapes'

const shelves = useLarderStore()

const { intake } = defineProps<{ intake: Intake }>()
const lit = defineModel<number | null>('lit', { required: true })
const emit = defineEmits<{
  answer: [question: Question, answer: Answer]
  grams: [question: Question, grams: number]
}>()

const recipe = computed(() => intake.recipe)
const asked = computed(() => new Set(intake.questions.map((question) => question.code)))
/** Doubts that no question settles. */
const doubts = computed(() =>
  recipe.value.notes.filter((note) => note.level === 'check' && !asked.value.has(note.code)),
)
const foodName = (id: string | null) => (id ? shelves.reference.foods.get(id)?.name : null)
const partName = (id: string | null) => plainPart(recipe.value.parts.find((part) => part.id === id))
const rowOf = computed(
  () => new Map(intake.rows.flatMap((row) => row.lineIds.map((lineId) => [lineId, row.row]))),
)
const leftOut = computed(() => intake.rows.filter((row) => row.became === 'left-out').length)
const about = (part: (typeof recipe.value.parts)[number]) =>
  [
    part.into && `goes into the ${partName(part.into)}`,
    part.pieces && `for ${part.pieces} pieces`,
    part.cookedBy &&
      `${PRECOOKING_TABLE[part.cookedBy].name} first${part.cookedMinutes ? `, ${part.cookedMinutes} min` : ''}`,
    !part.cookedBy &&
      part.lines.some((line) => line.cookedBy && line.cookedBy !== 'raw') &&
      'some of it cooked first',
    part.untilDry && 'until no water is left',
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <header>
    <h2 id="read-title">{{ recipe.title }}</h2>
    <p>
      {{ recipe.pieces }} pieces, serves {{ recipe.servings }}. {{ showCooking(recipe.cooking) }}.
      {{ SHAPE_NAMES[recipe.shape] }}.
    </p>
    <p v-for="doubt in doubts" :key="doubt.text" class="small">
      <span class="sign watch">check</span> {{ doubt.text }}
    </p>
    <p v-if="intake.unresolved.length" class="small">
      <span class="sign stop">✕ {{ intake.unresolved.length }}</span>
      {{ intake.unresolved.length === 1 ? 'line needs' : 'lines need' }} a food or a weight. They are kept.
    </p>
  </header>
  <QuestionList
    :questions="intake.questions"
    :recipe="recipe"
    @answer="(question, answer) => emit('answer', question, answer)"
    @grams="(question, grams) => emit('grams', question, grams)"
  />
  <section v-for="part in recipe.parts" :key="part.id" :class="{ component: part.into }">
    <h3>
      {{ part.name || PART_NAMES[part.kind] }}
      <span v-if="about(part)" class="soft small">{{ about(part) }}</span>
    </h3>
    <ul>
      <li
        v-for="line in part.lines"
        :key="line.id"
        :class="{ lit: lit !== null && rowOf.get(line.id) === lit }"
        @mouseenter="lit = rowOf.get(line.id) ?? null"
        @mouseleave="lit = null"
      >
        <span v-if="line.componentId" class="grams soft">↳</span>
        <span v-else class="grams"
          >{{ line.grams === null ? '?' : showGrams(line.grams) }}<small> g</small></span
        >
        <span>
          {{ line.componentId ? partName(line.componentId) : (foodName(line.foodId) ?? 'not in the larder') }}
          <span class="soft small">{{ line.raw }}</span>
          <span v-if="line.choices.length" class="soft small">
            (or
            {{ line.choices.map((choice) => foodName(choice.foodId) ?? choice.name).join(', or ') }})</span
          >
          <span
            v-for="note in line.notes.filter((one) => one.level === 'check')"
            :key="note.text"
            class="doubt small"
            ><span class="sign watch">check</span> {{ note.text }}</span
          >
        </span>
      </li>
    </ul>
  </section>
  <p v-if="recipe.method.length" class="soft small">
    Method: {{ recipe.method.length }} {{ recipe.method.length === 1 ? 'step' : 'steps' }}.
    <template v-if="leftOut"
      >{{ leftOut }} {{ leftOut === 1 ? 'line' : 'lines' }} left out as saying nothing of the dish.</template
    >
  </p>
</template>

<style scoped>
header,
section {
  display: grid;
  gap: 0.2rem;
}
.component {
  margin-left: 1.2rem;
  padding-left: 0.7rem;
  border-left: 2px solid var(--rule-strong);
}
li {
  display: grid;
  grid-template-columns: 4.2rem 1fr;
  gap: 0.75rem;
  padding: 0.1rem 0;
  border-top: 1px solid var(--rule);
}
.lit {
  background: var(--ground);
}
.grams {
  font-weight: 640;
  text-align: right;
}
small {
  color: var(--ink-soft);
  font-weight: 400;
}
.doubt {
  display: block;
}
</style>
