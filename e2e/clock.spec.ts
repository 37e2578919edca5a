import AxeBuilder from '@axe-core/playwright'
import { readFile } from 'node:fs/promises'
import ICAL from 'ical.js'
import type { ScheduleAnswer } from '~~/shared/api/schedule'
import { BUNS, expect, pasteToBench, read, test } from './support'

/** The same, proved and brushed with egg. */
const WASHED = BUNS.replace('\n\n1. ', '\n\nTo finish\n1 egg, beaten\n\n1. ')
  .replace('fill and close.', 'fill, close and prove 25 minutes.')
  .replace('4. Bake', '4. Brush with the egg and bake')

const NOON = new Date('2026-11-26T13:00:00Z')

test.describe('the clock', () => {
  test('plans a pasted and adapted dish for half past seven, runs late, and goes into a calendar', async ({
    page,
  }) => {
    await page.clock.setFixedTime(NOON)
    await pasteToBench(page, WASHED)
    await page.getByRole('button', { name: 'vegan', exact: true }).click()
    await expect(page.getByLabel('Title')).toHaveValue('Leek and bacon buns, vegan')
    await page.getByRole('link', { name: 'Tray' }).click()
    await expect(page.getByRole('region', { name: 'What comes out' })).toContainText('12 pieces')
    await page.getByRole('link', { name: 'Clock' }).click()

    await expect(page.getByRole('heading', { level: 1 })).toHaveText('On the table at 19:30')
    const said = page.getByRole('status').filter({ hasText: 'Begin at' })
    await expect(said).toContainText('proven')
    const chart = page.getByRole('group', { name: /The evening, lane by lane/ })
    await expect(chart.getByRole('button', { name: /Mix and knead the dough/ })).toBeVisible()
    await expect(chart.getByRole('region', { name: 'Oven' }).getByRole('button')).not.toHaveCount(0)
    await expect(page.getByRole('heading', { name: 'Between 5 and 57 °C' })).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])

    // Why so long, and the words of the recipe.
    await chart.getByRole('button', { name: /Dough rises to double/ }).click()
    const detail = page.getByRole('region', { name: 'Dough rises to double' })
    await expect(detail).toContainText('let it double')
    await expect(detail).toContainText('Source: the recipe')
    await detail.getByLabel('Your own minutes').fill('60')
    await detail.getByLabel('Your own minutes').press('Enter')
    await expect(detail).toContainText('60 min, by itself')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(detail).not.toContainText('60 min, by itself')

    // Laid elsewhere by hand: the rest follows.
    const wash = chart.getByRole('button', { name: /Stir the wash/ })
    const before = await wash.getAttribute('aria-label')
    await wash.focus()
    await page.keyboard.press('Alt+ArrowUp')
    await expect(wash).not.toHaveAttribute('aria-label', before!)
    await expect(page.getByText('You laid it there')).toBeVisible()
    await page.getByRole('button', { name: 'Let it move again' }).click()
    await expect(wash).toHaveAttribute('aria-label', before!)

    // It got late: what is in the way is said, and when it could be.
    await page.clock.setFixedTime(new Date('2026-11-26T17:30:00Z'))
    await page.getByLabel('Time of serving').fill('19:31')
    await page.getByLabel('Time of serving').blur()
    await expect(page.getByRole('heading', { name: 'It cannot be done like this' })).toBeVisible()
    await expect(page.getByText('not enough time left')).toBeVisible()
    await expect(page.getByText('what was last possible')).toBeVisible()
    const later = page.getByRole('button', { name: /^Serve at/ })
    const when = /\d\d:\d\d/.exec(await later.innerText())![0]
    await later.click()
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(`On the table at ${when}`)
    await expect(said).toContainText('Begin at 17:30')

    // What has begun stays where it is.
    await chart.getByRole('button', { name: /Weigh out the dough/ }).click()
    await page.getByRole('button', { name: 'It has begun' }).click()
    await expect(chart.getByRole('button', { name: /17:30 to .*Weigh out the dough, begun/ })).toBeVisible()

    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Into a calendar' }).click(),
    ])
    const events = new ICAL.Component(ICAL.parse(await readFile(await download.path(), 'utf8')))
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one))
    const served = events.find(({ summary }) => summary === 'On the table')!
    expect(served.startDate.toJSDate().toISOString()).toContain(`T${when}:00`)
    for (const event of events) expect(event.startDate.compare(served.startDate)).toBeLessThanOrEqual(0)
    expect(events.length).toBeGreaterThan(6)
  })

  test('says on the phone what is now, what is next and what can wait', async ({ page }) => {
    await page.clock.setFixedTime(NOON)
    await page.setViewportSize({ width: 390, height: 844 })
    await pasteToBench(page, WASHED)
    await page.getByRole('link', { name: 'Clock' }).click()
    const now = page.getByRole('region', { name: 'Now, next, can wait' }).first()
    await expect(now).toContainText('Begin at')
    await expect(now).toContainText('Next')
    await expect(page.getByRole('heading', { name: 'Everything in its order' })).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(wide).toBeLessThanOrEqual(0)
  })

  test('keeps what was typed where it cannot be, and says what would be right', async ({ page }) => {
    await page.clock.setFixedTime(NOON)
    await pasteToBench(page, WASHED)
    await page.getByRole('link', { name: 'Clock' }).click()
    await expect(page.getByText('proven')).toBeVisible()
    await page.locator('summary', { hasText: 'Kitchen' }).click()
    await page.getByLabel('Ovens').fill('0')
    await page.getByLabel('Ovens').blur()
    await expect(page.getByRole('alert').first()).toContainText('no oven')
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText('proven')).toBeVisible()
    await page.getByRole('button', { name: 'Another dinner' }).click()
    await expect(page.getByText('Add a dish: the clock plans')).toBeVisible()
    await page.getByText('Earlier dinners').click()
    await page
      .getByRole('button', { name: /Leek and bacon buns$/ })
      .first()
      .click()
    await expect(page.getByText('proven')).toBeVisible()
    await page.getByLabel('Time of serving').fill('12:00')
    await page.getByLabel('Time of serving').blur()
    await expect(page.getByText('That time has gone by')).toBeVisible()
    await page.reload()
    await expect(page.getByLabel('Time of serving')).toHaveValue('12:00')
  })

  test('shops for the dinner, ticks off without a net, and counts the larder', async ({ page, context }) => {
    await page.request.put('/api/stock/butter', { data: { grams: 500 } })
    await page.request.put('/api/prices/strong-flour', {
      data: { price: 1.2, packGrams: 1000, note: '', date: '2026-11-20' },
    })
    await pasteToBench(page, WASHED)
    await page.getByRole('link', { name: 'Clock' }).click()
    await page.getByRole('link', { name: 'Shopping list' }).click()
    const flour = page.getByRole('listitem').filter({ hasText: 'Strong wheat flour' })
    await expect(flour).toContainText('500 g')
    await expect(flour).toContainText('1 × 1 kg')
    await expect(flour).toContainText('leaves 500 g')
    await expect(flour.locator('b')).toContainText('gluten')
    await expect(page.getByRole('region', { name: 'In the larder' })).toContainText('Butter')
    await expect(page.getByRole('status').first()).toContainText(/\d+ of \d+ to get, at least/)
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])

    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await expect
      .poll(() => page.evaluate(async () => (await (await caches.open('swap-pocket-shell-1')).keys()).length))
      .toBeGreaterThan(20)
    await context.setOffline(true)
    await page.reload()
    await flour.getByRole('checkbox').check()
    await page.reload()
    await expect(flour.getByRole('checkbox')).toBeChecked()
    await context.setOffline(false)

    await page.getByRole('button', { name: 'Put what is ticked into the larder' }).click()
    await expect(page.getByRole('region', { name: 'In the larder' })).toContainText('Strong wheat flour')
    await page.getByRole('button', { name: 'Cooked: take it off the larder' }).click()
    await expect(page.getByText('is taken off the larder')).toBeVisible()
    const { stock } = await (await page.request.get('/api/stock')).json()
    expect(stock).toContainEqual({ foodId: 'strong-flour', grams: 500, keepsUntil: null, note: '' })
    expect(stock).toContainEqual({ foodId: 'butter', grams: 450, keepsUntil: null, note: '' })
  })

  test('answers programs: tasks as they stand, recipes, and what cannot be', async ({ request }) => {
    const tasks = [
      { id: 'knead', minutes: 10, uses: { hands: 1 }, after: [] },
      { id: 'rest', minutes: 60, uses: {}, after: [{ id: 'knead', minMinutes: 0 }] },
      { id: 'filling', minutes: 20, uses: { hands: 1, burner: 1 }, after: [] },
      {
        id: 'fold',
        minutes: 30,
        uses: { hands: 1 },
        after: [
          { id: 'rest', minMinutes: 0, maxMinutes: 30 },
          { id: 'filling', minMinutes: 15 },
        ],
      },
      { id: 'bake', minutes: 25, uses: { oven: 1 }, after: [{ id: 'fold', minMinutes: 0, maxMinutes: 20 }] },
    ]
    const ask = (data: object) => request.post('/api/schedule', { data })
    const good = await ask({ serveAt: '2026-11-26T19:30', hands: 1, capacity: { oven: 1, burner: 2 }, tasks })
    expect(good.status()).toBe(200)
    const answer = (await good.json()) as ScheduleAnswer
    expect(answer).toMatchObject({ makespanMinutes: 125, boundMinutes: 125, proven: true, conflict: null })
    expect(answer.tasks.find(({ id }) => id === 'bake')).toMatchObject({
      start: '2026-11-26T19:05',
      end: '2026-11-26T19:30',
    })
    expect(answer.tasks.find(({ id }) => id === 'knead')!.start).toBe('2026-11-26T17:25')

    const tight = await (
      await ask({ serveAt: '19:30', from: '18:00', hands: 1, capacity: { oven: 1, burner: 2 }, tasks })
    ).json()
    expect(tight).toMatchObject({
      tasks: [],
      proven: true,
      conflict: { wishes: [{ id: 'from' }], earliestServeAt: '20:05' },
    })

    for (const [data, field] of [
      [{ serveAt: 'soon', tasks }, 'serveAt'],
      [{ serveAt: '19:30', from: '20:00', tasks, capacity: { oven: 1, burner: 1 } }, 'serveAt'],
      [{ serveAt: '19:30', tasks, capacity: { burner: 1 } }, 'tasks[4].uses.oven'],
      [{ serveAt: '19:30', tasks: [{ id: 'rest', minutes: 3000 }] }, 'tasks[0].minutes'],
      [
        {
          serveAt: '19:30',
          tasks: [
            { id: 'a', minutes: 1, after: [{ id: 'b' }] },
            { id: 'b', minutes: 1, after: [{ id: 'a' }] },
          ],
        },
        'tasks[1].after',
      ],
      [{ serveAt: '19:30' }, 'recipes'],
    ] as const) {
      const bad = await ask(data)
      expect(bad.status(), JSON.stringify(data).slice(0, 60)).toBe(422)
      expect((await bad.json()).errors[0].field).toBe(field)
    }

    const recipe = await read(request, WASHED)
    const planned = (await (
      await ask({ serveAt: '2026-11-26T19:30:00Z', hands: 2, recipes: [{ recipe }] })
    ).json()) as ScheduleAnswer
    expect(planned.proven).toBe(true)
    expect(planned.foodSafety[0]).toMatchObject({ limitMinutes: 240, caution: '' })
    expect(planned.tasks.at(-1)).toMatchObject({ id: 'serve', end: '2026-11-26T19:30:00Z' })
  })

  test('keeps dinners and the larder by the API, and names what cannot be', async ({ request }) => {
    const id = crypto.randomUUID()
    const recipe = await read(request, WASHED)
    const dinner = {
      serveAt: '2026-11-26T19:30',
      timeZone: 'Etc/UTC',
      people: [{ name: 'Me', from: null, does: 'everything' }],
      equipment: { board: 2, burner: 4, oven: 1, steamer: 1, fridge: 20, freezer: 10 },
      roomC: 22,
      burnerW: 2000,
      dishes: [{ recipeId: null, recipe, stage: 'fresh', plan: null }],
    }
    const put = (data: object) => request.put(`/api/dinners/${id}`, { data: { dinner: data } })
    expect((await put(dinner)).status()).toBe(200)
    expect((await put(dinner)).status()).toBe(200)
    const { dinners } = await (await request.get('/api/dinners')).json()
    expect(dinners.filter((one: { id: string }) => one.id === id)).toEqual([
      expect.objectContaining({ serveAt: dinner.serveAt, titles: ['Leek and bacon buns'] }),
    ])
    expect((await request.get(`/api/dinners/${id}/calendar.ics`)).status()).toBe(409)
    for (const [bad, field] of [
      [{ ...dinner, serveAt: '2026-02-30T19:30' }, 'dinner.serveAt'],
      [{ ...dinner, timeZone: 'Nowhere/Else' }, 'dinner.timeZone'],
      [{ ...dinner, people: [] }, 'dinner.people'],
    ] as const) {
      const answer = await put(bad)
      expect(answer.status()).toBe(422)
      expect((await answer.json()).errors[0].field).toBe(field)
    }
    expect((await request.delete(`/api/dinners/${id}`)).status()).toBe(200)
    expect((await request.get(`/api/dinners/${id}`)).status()).toBe(404)

    const counted = await request.put('/api/stock/leek', { data: { grams: 300, keepsUntil: '2026-12-01' } })
    expect(await counted.json()).toEqual({ foodId: 'leek', grams: 300, keepsUntil: '2026-12-01', note: '' })
    const change = (foodId: string, grams: number) =>
      request.post('/api/stock', { data: { changes: [{ foodId, grams }] } })
    const { stock } = await (await change('leek', -1000)).json()
    expect(stock).toContainEqual({ foodId: 'leek', grams: 0, keepsUntil: '2026-12-01', note: '' })
    expect((await (await change('no-such-food', 5)).json()).errors[0].field).toBe('changes[0].foodId')
    expect((await request.put('/api/stock/leek', { data: { grams: -1 } })).status()).toBe(422)
    expect((await request.delete('/api/stock/leek')).status()).toBe(200)
    expect((await request.delete('/api/stock/leek')).status()).toBe(404)
  })
})
