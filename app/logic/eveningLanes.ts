import type { PlannedTask } from '~~/core/planning/dinner'
import type { Equipment } from '~~/core/planning/tasks'
import { shareOutLanes } from '~~/core/schedule/lanes'

/** A column of the drawing: somebody's hands, a thing of the kitchen, or what lies by itself. */
export interface EveningLane {
  key: string
  name: string
  hands: boolean
  tasks: PlannedTask[]
}

const WORDS: Readonly<Record<Equipment, string>> = {
  board: 'Board',
  burner: 'Burner',
  oven: 'Oven',
  steamer: 'Steamer',
  fridge: 'Fridge',
  freezer: 'Freezer',
}
/** Each is drawn once, on what is scarcest of what it uses; hands' own place is drawn as hands. */
const DRAWN = ['oven', 'steamer', 'burner', 'freezer', 'fridge'] as const satisfies readonly Equipment[]
const drawnOn = (task: PlannedTask) => DRAWN.find((one) => task.uses[one])
/** So many doughs and fillings rest side by side at most in the drawing; more share a column. */
const MOST_RESTING = 4

/** The lanes of an evening: hands first, then what is in use, then what only takes time. */
export function lanesOfEvening(
  tasks: readonly PlannedTask[],
  people: readonly { name: string }[],
): EveningLane[] {
  const lanes: EveningLane[] = people.map(({ name }, at) => ({
    key: `hands-${at}`,
    name: name || `Cook ${at + 1}`,
    hands: true,
    tasks: tasks.filter((task) => task.person === at),
  }))
  for (const thing of DRAWN) {
    const own = tasks.filter((task) => drawnOn(task) === thing)
    const used = [...new Set(own.map((task) => task.lane[thing]!))].sort((a, b) => a - b)
    for (const lane of used)
      lanes.push({
        key: `${thing}-${lane}`,
        name: used.length > 1 ? `${WORDS[thing]} ${lane + 1}` : WORDS[thing],
        hands: false,
        tasks: own.filter((task) => task.lane[thing] === lane),
      })
  }
  const alone = tasks.filter((task) => !task.hands && task.kind !== 'serve' && !drawnOn(task))
  const shared = shareOutLanes(alone, new Array<number>(MOST_RESTING).fill(Infinity))
  for (let lane = 0; lane < MOST_RESTING; lane++) {
    const own = alone.filter((task) => shared.get(task.id) === lane)
    if (own.length)
      lanes.push({
        key: `rest-${lane}`,
        name: lane ? `Rests ${lane + 1}` : 'Rests',
        hands: false,
        tasks: own,
      })
  }
  return lanes
}
