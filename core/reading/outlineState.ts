import { foodIs } from '../food/groups'
import type { Foods } from '../food/food'
import { isLiquid, isPassed } from './drafts'
import type { Heading } from './headings'
import { matchFood } from './match'
import type { TimeOfWhole } from './headRow'
import { readLine } from './readLine'
import { readYields, type Yields } from './servings'
import { splitLine } from './splitLine'
import type { Row } from './tidy'

/** What a row of the text became. */
export type Became = 'title' | 'heading' | 'ingredient' | 'step' | 'remark' | 'count' | 'left-out'

/** An ingredient's text with where it stood. */
export interface OutlineItem {
  text: string
  at: number
  blankBefore: boolean
}

/** "For 20 discs (bought)". */
const BOUGHT_COUNT =
  /^\W*(?:for )?\d{1,3} (?:[a-zß-öø-ɏ-]+ ){0,2}(?:dis[ck]s|wrappers|skins|tapas|tortillas|sheets)\b[^.]{0,20}\b(?:bought|ready[- ]made)\b/i
/** A run of ingredient lines under one heading, or under none. */
export interface Section {
  heading: Heading | null
  items: OutlineItem[]
}

export interface OutlineStep {
  text: string
  at: number
  /** The method's own heading above it: "Filling". '' without one. */
  under: string
  /** The part among whose lines it stands, with other parts still to come: its work is that part's. */
  within: string
}

export interface Outline {
  title: string
  /** Counts in the order they stand, each with its words. */
  counts: { pieces: number | null; servings: number | null; perServing: number | null; text: string }[]
  sections: Section[]
  steps: OutlineStep[]
  remarks: { text: string; at: number }[]
  /** "Prep 30 min": kept as facts. */
  times: { kind: NonNullable<TimeOfWhole['kind']>; minutes: number; text: string }[]
  became: Map<number, Became>
}

/** Where the reading stands: above the lines, among them, in the method, or in what is kept or left out. */
export type Mode = 'start' | 'lines' | 'method' | 'remarks' | 'noise'

/** A step is cut where it is longer than this. */
const MAX_STEP_CHARACTERS = 2000

/** One egg or yolk that is beaten, alone or with what thins it. */
const BEATEN_EGG =
  /^(?:an? |1 |one )?(?:(?:beaten|small|medium|large) )*(?:egg|egg yolk|yolk)s?(?:,? (?:lightly )?beaten)(?:\W*$|\s+(?:with|\+|and) )/i

/** What has been found of a text so far, and where the reading stands. */
export class OutlineState {
  readonly out: Outline = {
    title: '',
    counts: [],
    sections: [],
    steps: [],
    remarks: [],
    times: [],
    became: new Map(),
  }
  mode: Mode = 'start'
  section: Section | null = null
  /** The method's own heading that is open: "Filling". '' for none. */
  under = ''
  /** What is listed now is for one piece. */
  private isForEach = false
  /** The text says where its method begins. */
  explicitMethod = false
  /** How many steps in a row were numbered one after the other, and the last of those numbers. */
  readonly numbering = { run: 0, last: 0 }

  constructor(readonly foods: Foods) {}

  /** Nothing but perhaps a title has been read. */
  get isAtStart(): boolean {
    return this.mode === 'start' && !this.out.sections.length
  }

  get hasLines(): boolean {
    return this.out.sections.some(({ items }) => items.length > 0)
  }

  is(row: Row, what: Became): void {
    const known = this.out.became.get(row.at)
    // A line that became several things is shown as what weighs most in the recipe.
    if (!known || what === 'ingredient' || (known === 'count' && what !== 'left-out'))
      this.out.became.set(row.at, what)
  }

  /** A heading with nothing under it may be a line that looked like one: its words stay. */
  emptyHeading(): void {
    const { sections, steps, remarks } = this.out
    const last = sections.at(-1)
    const keep = (text: string) => {
      if (!remarks.some((one) => one.text === text)) remarks.push({ text, at: -1 })
    }
    if (last?.heading && !last.items.length && !last.heading.rest) keep(last.heading.name)
    if (this.under && !steps.some((step) => step.under === this.under)) keep(this.under)
  }

  open(heading: Heading | null): Section {
    this.isForEach = false
    const before = this.out.sections.at(-1)
    // "DOUGH" over "Tangzhong: 20 g flour, 100 ml milk": the first list of the part that has just been named.
    const isWithin = before?.heading && !before.items.length && !before.heading.rest
    if (isWithin && before.heading!.kind === 'shell' && /^(?:shell|component)$/.test(heading?.kind ?? '')) {
      this.out.remarks.push({ text: heading!.name, at: -1 })
      return before
    }
    this.emptyHeading()
    if (heading && before?.heading && before.items.length)
      for (const one of this.out.steps)
        if (!one.within && !one.under && one.at > before.items.at(-1)!.at) one.within = before.heading.name
    const made: Section = { heading, items: [] }
    this.out.sections.push(made)
    return made
  }

  step(row: Row, text: string): void {
    const { numbering, under } = this
    if (row.number !== null && row.number !== numbering.last) {
      numbering.run = row.number === numbering.last + 1 ? numbering.run + 1 : 1
      numbering.last = row.number
    }
    for (let from = 0; from < text.length; from += MAX_STEP_CHARACTERS)
      this.out.steps.push({
        text: text.slice(from, from + MAX_STEP_CHARACTERS),
        at: row.at,
        under,
        within: '',
      })
    this.is(row, 'step')
  }

  /** Keeps what a text counts; what it counts, or null. */
  count(row: Row, text: string): Yields | null {
    const found = readYields(text)
    if (!found) return null
    const { pieces, servings, perServing } = found
    this.out.counts.push({ pieces, servings, perServing, text })
    this.is(row, 'count')
    // "For 20 discs (bought, 12 cm)": what is counted is bought as well.
    if (BOUGHT_COUNT.test(text) && this.mode !== 'method')
      this.item(row, text.replace(/^\W*(?:for|makes) /i, ''))
    return found
  }

  item(row: Row, text: string): void {
    // "Topping: none".
    if (/^(?:none|nil|nothing|n\/?a)\W*$/i.test(text)) return this.remark(row, row.text)
    if (this.isWashBehindList(row, text)) return this.itemOf('finish', row, text)
    if (this.isBehindDough(row, text)) this.section = null
    this.section ??= this.open(null)
    const plain = text.replace(/\s*;$/, '')
    this.section.items.push({
      text: this.isForEach ? `${plain} per piece` : plain,
      at: row.at,
      blankBefore: row.blankBefore,
    })
    this.is(row, 'ingredient')
    if (this.mode === 'start') this.mode = 'lines'
  }

  /** "In each empanada:" goes on with the filling, by the piece; false where there is none yet. */
  goOnForEach(row: Row): boolean {
    const filling = this.out.sections.findLast(({ heading }) => heading?.kind === 'filling')
    if (!filling?.items.length) return false
    this.emptyHeading()
    this.section = filling
    this.mode = 'lines'
    this.isForEach = true
    this.is(row, 'heading')
    return true
  }

  /** One line of a part that has no heading of its own; what was open goes on behind it. */
  itemOf(kind: 'finish' | 'dip' | 'shell', row: Row, text: string): void {
    const before = this.section
    const name = { finish: 'To finish', dip: 'To serve', shell: 'Bread' }[kind]
    this.section = this.open({ kind, name, rest: '', pieces: null })
    this.item(row, text.replace(/\.$/, ''))
    this.section = before
  }

  remark(row: Row, text: string): void {
    this.out.remarks.push({ text, at: row.at })
    this.is(row, 'remark')
  }

  /** "Filling: 3 apples, sugar" is whole on its row: "1 egg, beaten with milk" on the next is brushed on. */
  private isWashBehindList(row: Row, text: string): boolean {
    const { section } = this
    return (
      section?.heading?.kind === 'filling' &&
      Boolean(section.heading.rest) &&
      section.items.length > 0 &&
      section.items[0]!.at !== row.at &&
      BEATEN_EGG.test(text)
    )
  }

  /** "Shortcrust: 500 g flour, 250 g lard, water" is whole on its row: beef on the next is not of it. */
  private isBehindDough(row: Row, text: string): boolean {
    const { section, foods } = this
    if (section?.heading?.kind !== 'shell' || !section.items.length) return false
    // Under a heading of its own line a blank one has to part them.
    const { rest } = section.heading
    if (!rest && !row.blankBefore) return false
    const lines = rest ? splitLine(rest, foods).length + section.items.length - 1 : section.items.length
    if (lines < 3) return false
    if (section.items[0]!.at === row.at) return false
    const food = matchFood(readLine(text).name, foods)?.food
    return food !== undefined && !foodIs(food, 'of-dough') && !isPassed(food) && !isLiquid(food)
  }
}
