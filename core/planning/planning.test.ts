import { describe, expect, it } from 'vitest'
import { timeTable } from '../../data/timeTable'
import { demo, demoRecipe } from '../../test/demo'
import { dinnerOf, ME } from '../../test/dinner'
import { reference } from '../../test/helpers'
import { adapt } from '../adaptation/adapt'
import { everyFewOfCorpus } from '../../test/readCorpus'
import { readRecipe } from '../reading/readRecipe'
import { newLine, type Recipe } from '../recipe/document'
import { planDinner, type Dinner, type PlannedDinner, type PlannedTask } from './dinner'
import { makeDish, STAGES, type Stage } from './tasks'
import { timesFromRows } from './times'

const dishOf = (recipe: Recipe, stage: Stage = 'fresh') => makeDish(recipe, stage, null, reference)
const plan = (dinner: Dinner) => {
  let looks = 0
  return planDinner(dinner, reference, timeTable, { expired: () => ++looks > 20_000 })
}
const tasksOf = (planned: PlannedDinner): PlannedTask[] => {
  expect(planned.conflict).toBe(null)
  return planned.tasks!
}
const task = (planned: PlannedDinner, part: string) => {
  const found = tasksOf(planned).find(({ id }) => id.includes(part))
  if (!found) throw new Error(`No task ${part} among ${tasksOf(planned).map(({ id }) => id)}`)
  return found
}

/** What of a plan no real kitchen could keep; empty where all is well. */
function broken(dinner: Dinner, planned: PlannedDinner): string[] {
  const tasks = tasksOf(planned)
  const at = new Map(tasks.map((one) => [one.id, one]))
  const wrong: string[] = []
  for (const one of tasks) {
    if (one.end < 0) wrong.push(`${one.id} after serving`)
    if (one.kind === 'serve' && one.start !== 0) wrong.push('not served in time')
    if (one.hands !== (one.person !== null)) wrong.push(`${one.id}: nobody does it`)
    for (const { id, minMinutes, maxMinutes } of one.after) {
      const gap = at.get(id)!.end - one.start
      if (gap < minMinutes || gap > (maxMinutes ?? Infinity)) wrong.push(`${one.id} ${gap} min after ${id}`)
    }
    for (const other of tasks) {
      if (one === other || one.start <= other.end || other.start <= one.end) continue
      if (one.person !== null && one.person === other.person)
        wrong.push(`${one.id} and ${other.id} share hands`)
      for (const thing of ['oven', 'steamer', 'burner'] as const)
        if (one.lane[thing] !== undefined && one.lane[thing] === other.lane[thing])
          wrong.push(`${one.id} and ${other.id} share a ${thing}`)
    }
    const person = one.person === null ? null : dinner.people[one.person]!
    if (person?.from != null && one.start > person.from)
      wrong.push(`${one.id}: ${person.name} is not there yet`)
    if (person?.does === 'shaping' && one.kind !== 'shape') wrong.push(`${person.name} does ${one.id}`)
  }
  return wrong
}

describe('a plan of one dish', () => {
  it.each(demo.flatMap(({ name, recipe }) => STAGES.map((stage) => ({ name, recipe, stage }))))(
    'of $name, $stage, can be kept and is proven the shortest',
    ({ recipe, stage }) => {
      const dinner = dinnerOf([dishOf(recipe, stage)])
      const planned = plan(dinner)
      expect(broken(dinner, planned)).toEqual([])
      expect(planned).toMatchObject({ proven: true, boundMinutes: planned.makespanMinutes })
    },
  )

  it('says of every task why it takes so long and where that comes from, and links what the text says', () => {
    for (const { recipe } of demo)
      for (const one of tasksOf(plan(dinnerOf([dishOf(recipe)])))) {
        expect(one.why, one.id).not.toBe('')
        expect(one.source, one.id).not.toBe('')
        expect(one.minutes).toBeGreaterThanOrEqual(one.kind === 'serve' ? 0 : 1)
        // What is usual holds what is taken.
        expect(one.lowMinutes, one.id).toBeLessThanOrEqual(one.minutes)
        expect(one.highMinutes, one.id).toBeGreaterThanOrEqual(one.minutes)
      }
    const buns = plan(dinnerOf([dishOf(demoRecipe('caraway'))]))
    expect(demoRecipe('caraway').method[task(buns, 'dough.rise').step!]).toMatch(/double/)
    expect(demoRecipe('caraway').method[task(buns, 'cook.1').step!]).toMatch(/bake/)
  })

  it('takes the times of the text before the usual ones', () => {
    // "let it double, about 1½ hours", "prove 20 minutes", "knead 8 minutes".
    const buns = plan(dinnerOf([dishOf(demoRecipe('caraway'))], { roomC: 24 }))
    expect(task(buns, 'dough.rise').minutes).toBe(90)
    expect(task(buns, 'proof.1').minutes).toBe(20)
    expect(task(buns, 'dough.knead').minutes).toBe(12)
    expect(task(buns, 'dough.bloom').after.length).toBe(1)
  })

  it('lets a cold room rise longer: twice as long for 9 °C less', () => {
    const steamed = demoRecipe('steamed')
    const at = (roomC: number) => task(plan(dinnerOf([dishOf(steamed)], { roomC })), 'dough.rise').minutes
    expect(at(26)).toBe(90)
    expect(at(17)).toBe(180)
  })

  it('heats oven, oil and water before the first batch, and cooks batch after batch', () => {
    const pies = plan(dinnerOf([dishOf(demoRecipe('curd-leek'))]))
    const hot = task(pies, 'cook.hot')
    const first = task(pies, 'cook.1')
    const second = task(pies, 'cook.2')
    expect(hot.end).toBeGreaterThanOrEqual(first.start)
    expect(hot.minutes).toBe(14)
    expect(first.end).toBeGreaterThanOrEqual(second.start)
    expect(hot.name).toContain('180')
  })

  it('closes nothing in before the filling is cold, and lets raw pieces wait 30 min at most', () => {
    for (const { recipe } of demo) {
      const planned = plan(dinnerOf([dishOf(recipe)]))
      const tasks = tasksOf(planned)
      for (const cool of tasks.filter(({ kind }) => kind === 'cool'))
        for (const shape of tasks.filter((one) => one.kind === 'shape' && one.partId === cool.partId))
          expect(shape.start).toBeLessThanOrEqual(cool.end)
    }
    const pockets = tasksOf(plan(dinnerOf([dishOf(demoRecipe('plantain'))])))
    for (const shape of pockets.filter(({ kind }) => kind === 'shape')) {
      const cook = pockets.find((one) => one.kind === 'cook' && one.batch === shape.batch)!
      expect(shape.end - cook.start).toBeLessThanOrEqual(30)
    }
  })

  it('fries what was boiled in as many rounds as the pan takes, and heats each by its own heat', () => {
    const { recipe } = readRecipe(
      'Makes 30\nDough\n500 g plain flour\n250 g water\n8 g salt\nFilling\n600 g potatoes\nFill, fold, boil 5 minutes, then shallow-fry 6 minutes.',
      reference.foods,
    )
    const dish = dishOf({
      ...recipe,
      cooking: {
        ...recipe.cooking,
        way: 'boil',
        minutes: 5,
        andThen: { way: 'shallow-fry', temperatureC: null, minutes: 6 },
      },
    })
    const planned = plan(dinnerOf([dish]))
    const [pot, pan] = dish.planned.batches
    const first = Math.min(pot!.perBatch, 30)
    const rounds = Math.ceil(first / pan!.perBatch)
    expect(task(planned, 'second.1').minutes).toBe(
      Math.round(rounds * pan!.cookMinutes + (rounds - 1) * pan!.betweenMinutes),
    )
    expect(task(planned, 'cook.hot').why).toContain(`${pot!.litres} l of water`)
    expect(task(planned, 'second.hot').name).toBe('Heat the pan')
  })

  it('goes as far as the freezer, and comes out of it with longer cooking', () => {
    const pies = demoRecipe('curd-leek')
    const frozen = tasksOf(plan(dinnerOf([dishOf(pies, 'freeze')])))
    expect(frozen.some(({ kind }) => kind === 'cook')).toBe(false)
    expect(frozen.some(({ id }) => id.endsWith('.freeze'))).toBe(true)
    const later = plan(dinnerOf([dishOf(pies, 'from-frozen')]))
    expect(tasksOf(later).some(({ kind }) => kind === 'dough')).toBe(false)
    const fresh = task(plan(dinnerOf([dishOf(pies)])), 'cook.1').minutes
    // 10 to 12 min longer, common practice.
    expect(task(later, 'cook.1').minutes - fresh).toBeGreaterThanOrEqual(10)
    expect(task(later, 'cook.1').minutes - fresh).toBeLessThanOrEqual(12)
  })

  it('leaves to the evening before what can be done then', () => {
    const night = { from: 1470, until: 1260, backAt: 180 }
    const dinner = dinnerOf([dishOf(demoRecipe('caraway'), 'night-before')], { night })
    const planned = plan(dinner)
    expect(broken(dinner, planned)).toEqual([])
    for (const one of tasksOf(planned).filter(({ ahead }) => ahead))
      expect(one.end).toBeGreaterThanOrEqual(night.until)
    for (const one of tasksOf(planned).filter(({ hands }) => hands))
      expect((one.end >= night.until && one.start <= night.from) || one.start <= 180, one.id).toBe(true)
    expect(task(planned, 'dough.cold').minutes).toBeGreaterThanOrEqual(480)
  })

  it.each(demo)('of $name leaves the evening before and a return at five in peace', ({ recipe }) => {
    // Eight to half past ten the evening before, back at five, on the table at half past seven.
    const night = { from: 1410, until: 1260, backAt: 150 }
    const dinner = dinnerOf([dishOf(recipe, 'night-before')], { night, roomC: 22 })
    const planned = plan(dinner)
    expect(broken(dinner, planned)).toEqual([])
    for (const one of tasksOf(planned).filter(({ hands }) => hands))
      expect((one.end >= night.until && one.start <= night.from) || one.start <= 150, one.id).toBe(true)
  })

  it('of every few recipes of the reading corpus can be kept', () => {
    let planned = 0
    for (const { intake } of everyFewOfCorpus()) {
      const { recipe } = intake
      if (
        !recipe.parts.some((part) => part.kind === 'shell' && part.lines.some(({ grams }) => grams !== null))
      )
        continue
      const dinner = dinnerOf([dishOf(recipe)])
      let looks = 0
      const found = planDinner(dinner, reference, timeTable, { expired: () => ++looks > 3000 })
      expect(broken(dinner, found), recipe.title).toEqual([])
      planned++
    }
    expect(planned).toBeGreaterThan(30)
  })

  it('of hundreds of small pieces can be kept: a pinch each takes less than a turnover', () => {
    const small = readRecipe(
      'Manti\n\nDough\n300 g flour\n130 g water\n1 egg\n\nFilling\n250 g lamb mince\n1 onion\n\nMethod\nKnead, rest 30 min. Roll thin, cut into 3 cm squares. Fill, pinch the four corners together. Boil 9 minutes.',
      reference.foods,
    ).recipe
    expect(small.pieces).toBeGreaterThan(150)
    const dinner = dinnerOf([dishOf(small)])
    const planned = plan(dinner)
    expect(broken(dinner, planned)).toEqual([])
    const shaping = tasksOf(planned).filter(({ kind }) => kind === 'shape')
    const minutes = shaping.reduce((sum, one) => sum + one.minutes, 0)
    expect(minutes / small.pieces).toBeLessThan(0.35)
    expect(minutes / small.pieces).toBeGreaterThan(0.1)
  })

  it('steams longer what was made whole-grain', () => {
    const steamed = demoRecipe('steamed')
    const whole = adapt(steamed, ['whole-grain'], reference).recipe
    const usual = task(plan(dinnerOf([dishOf(steamed)])), 'cook.1').minutes
    const longer = task(plan(dinnerOf([dishOf(whole)])), 'cook.1').minutes
    expect(longer).toBeGreaterThan(usual * 1.15)
    expect(longer).toBeLessThanOrEqual(Math.ceil(usual * 1.5))
  })

  it('rests and soaks for what an adaptation brings', () => {
    const text = (flour: string, filling: string) =>
      readRecipe(
        `Makes 12\nDough\n500 g ${flour}\n300 g water\n8 g salt\nFilling\n200 g ${filling}\n200 g onions\nFry the filling. Roll, fill, fold and boil 5 minutes.`,
        reference.foods,
      ).recipe
    const plain = plan(dinnerOf([dishOf(text('plain flour', 'minced beef'))]))
    const whole = plan(dinnerOf([dishOf(text('whole wheat flour', 'textured vegetable protein'))]))
    expect(task(whole, 'dough.rest').minutes).toBeGreaterThan(task(plain, 'dough.rest').minutes)
    expect(tasksOf(whole).some(({ kind }) => kind === 'soak')).toBe(true)
    expect(tasksOf(plain).some(({ kind }) => kind === 'soak')).toBe(false)
  })
})

describe('a dinner of two', () => {
  const pairs = demo.flatMap((one, at) => demo.slice(at + 1).map((other) => [one, other] as const))
  it.each(
    pairs.map(([one, other]) => ({
      name: `${one.name} and ${other.name}`,
      pair: [one.recipe, other.recipe],
    })),
  )('of $name can be kept by one cook', ({ pair }) => {
    const dinner = dinnerOf(pair.map((recipe) => dishOf(recipe)))
    expect(broken(dinner, plan(dinner))).toEqual([])
  })
})

it('bakes a second dish in the oven that is hot already', () => {
  const two = ['caraway', 'curd-leek'].map((word) => dishOf(demoRecipe(word)))
  const planned = plan(dinnerOf(two))
  expect(task(planned, '2.cook.hot')).toMatchObject({ minutes: 4, name: 'Set the oven to 180 °C' })
  expect(task(planned, '2.cook.hot').start).toBeLessThanOrEqual(task(planned, '1.cook.2').end)
})

describe('a dinner', () => {
  const three = ['caraway', 'steamed', 'plantain'].map((word) => dishOf(demoRecipe(word)))
  const TWO = [ME, { name: 'You', from: null, does: 'everything' } as const]

  it('of three dishes and two cooks can be kept and is proven', () => {
    const dinner = dinnerOf(three, { people: TWO })
    const planned = plan(dinner)
    expect(broken(dinner, planned)).toEqual([])
    expect(planned.proven).toBe(true)
  })

  it('gives a helper only filling and closing, and only from when they come', () => {
    const dinner = dinnerOf(three, { people: [ME, { name: 'Helper', from: 60, does: 'shaping' }] })
    const planned = plan(dinner)
    expect(broken(dinner, planned)).toEqual([])
    expect(tasksOf(planned).some(({ person }) => person === 1)).toBe(true)
  })

  it('with a helper is proven only where no sharing out of the closing is shorter', () => {
    let proven = 0
    for (const from of [null, 90, 60, 30])
      for (const pick of [[0], [1], [2], [0, 1], [1, 2]]) {
        const dishes = pick.map((at) => three[at]!)
        const helped = dinnerOf(dishes, { people: [ME, { name: 'Helper', from, does: 'shaping' }] })
        const planned = plan(helped)
        expect(broken(helped, planned)).toEqual([])
        // A second cook who can do everything is never slower than one who only closes.
        const cook = plan(dinnerOf(dishes, { people: [ME, { name: 'Cook', from, does: 'everything' }] }))
        expect(planned.boundMinutes).toBeGreaterThanOrEqual(cook.proven ? cook.makespanMinutes! : 0)
        expect(planned.makespanMinutes!).toBeLessThanOrEqual(plan(dinnerOf(dishes)).makespanMinutes!)
        if (!planned.proven) continue
        proven++
        expect(planned.boundMinutes).toBe(planned.makespanMinutes)
      }
    expect(proven).toBeGreaterThan(15)
  })

  it('takes a dish with something unknown in it for one that may hold anything', () => {
    const plain = { ...demoRecipe('plantain'), title: 'Plain' }
    const shell = plain.parts.find(({ kind }) => kind === 'shell')!
    const strange = {
      ...plain,
      title: 'Strange',
      parts: plain.parts.map((part) =>
        part === shell
          ? { ...part, lines: [...part.lines, newLine({ id: 'x', raw: '20 g glimmer', grams: 20 })] }
          : part,
      ),
    }
    const planned = plan(dinnerOf([dishOf(strange), dishOf(plain)], { keepApart: true }))
    expect(planned.warnings.join()).toContain('Plain is worked before Strange')
  })

  it('keeps dishes apart: what holds least first, or cleaned between, and promises nothing', () => {
    const dinner = dinnerOf([three[2]!, three[1]!], { keepApart: true })
    const planned = plan(dinner)
    expect(broken(dinner, planned)).toEqual([])
    const shaping = (dish: number) =>
      tasksOf(planned).filter((one) => one.dish === dish && one.kind === 'shape')
    const order =
      Math.max(...shaping(0).map(({ start }) => start)) > Math.max(...shaping(1).map(({ start }) => start))
    const [first, second] = order ? [0, 1] : [1, 0]
    expect(Math.min(...shaping(first!).map(({ end }) => end))).toBeGreaterThanOrEqual(
      Math.max(...shaping(second!).map(({ start }) => start)),
    )
    if (!order) expect(tasksOf(planned).some(({ kind }) => kind === 'clean')).toBe(true)
    expect(planned.warnings.join(' ')).toContain('cannot promise')
  })

  it('says what is in the way and when it could be, where there is too little time', () => {
    const planned = plan(dinnerOf([three[1]!], { availableMinutes: 100 }))
    expect(planned.tasks).toBe(null)
    expect(planned.conflict!.wishes.map(({ id }) => id)).toEqual(['from'])
    const enough = plan(dinnerOf([three[1]!], { availableMinutes: 100 + planned.conflict!.laterMinutes! }))
    expect(enough.tasks).not.toBe(null)
    const short = plan(dinnerOf([three[1]!], { availableMinutes: 99 + planned.conflict!.laterMinutes! }))
    expect(short.tasks).toBe(null)
  })

  it('names an oven that this kitchen does not have', () => {
    const dinner = dinnerOf([three[0]!])
    expect(() => plan({ ...dinner, equipment: { ...dinner.equipment, oven: 0 } })).toThrow(/no oven/)
  })

  it('keeps what has begun where it is when it is planned again, and moves the rest', () => {
    const dinner = dinnerOf([three[1]!])
    const first = plan(dinner)
    const knead = task(first, 'dough.knead')
    // Weighed in time, kneading begun ten minutes late.
    const weigh = task(first, 'dough.weigh')
    const late: Dinner = {
      ...dinner,
      now: knead.start - 10,
      begun: {
        [weigh.id]: { start: weigh.start, end: weigh.end },
        [knead.id]: { start: knead.start - 10, end: null },
      },
    }
    const again = plan(late)
    expect(again.tasks).toBe(null)
    expect(again.conflict!.laterMinutes).toBe(10)
    const shifted = plan({
      ...late,
      now: late.now! + 10,
      begun: {
        [weigh.id]: { start: weigh.start + 10, end: weigh.end + 10 },
        [knead.id]: { start: knead.start, end: null },
      },
    })
    expect(task(shifted, 'dough.knead')).toMatchObject({ start: knead.start, state: 'begun' })
    expect(task(shifted, 'dough.weigh').state).toBe('done')
  })

  it('lays a task where the cook wants it, or says what holds it', () => {
    const dinner = dinnerOf([three[2]!])
    const filling = task(plan(dinner), '.mix')
    const laid = plan({ ...dinner, edits: { [filling.id]: { start: filling.start + 20 } } })
    expect(task(laid, '.mix').start).toBe(filling.start + 20)
    expect(broken(dinner, laid)).toEqual([])
    const after = plan({ ...dinner, edits: { [filling.id]: { start: filling.minutes } } })
    expect(after.tasks).toBe(null)
    expect(after.conflict!.wishes.map(({ id }) => id)).toContain(`laid:${filling.id}`)
  })

  it('takes the cook’s own minutes', () => {
    const dinner = dinnerOf([three[1]!])
    const rise = task(plan(dinner), 'dough.rise')
    const planned = plan({ ...dinner, edits: { [rise.id]: { minutes: 45 } } })
    expect(task(planned, 'dough.rise')).toMatchObject({ minutes: 45, source: 'yours' })
    expect(planned.makespanMinutes!).toBe(plan(dinner).makespanMinutes! - (rise.minutes - 45))
  })
})

it('a row of the times that is no range is refused by name', () => {
  const row = { id: 'knead', minutes: '8', low: '9', high: '10', most_wait: '', why: 'x', source: 'y' }
  expect(() => timesFromRows([row])).toThrow(/knead/)
})
