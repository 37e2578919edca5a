import AxeBuilder from '@axe-core/playwright'
import { BUNS, expect, pasteToBench, read, test } from './support'

test.describe('stove and notebook', () => {
  test('cooks with the scale and the probe, makes a mistake, writes it down, and the next dough is another', async ({
    page,
    context,
    request,
  }) => {
    await pasteToBench(page, BUNS)
    const softness = page.locator('#dough-title button')
    const before = await softness.innerText()
    await page.getByRole('link', { name: 'Stove' }).click()
    await page.getByRole('button', { name: 'Begin to cook' }).click()
    await expect(page.getByText('Step 1 of 4')).toBeVisible()

    // 12 g too much flour: the rest follows.
    await page.getByRole('button', { name: 'Pour 100 g' }).click({ clickCount: 5 })
    await page.getByRole('button', { name: 'Pour 10 g' }).click()
    await page.getByRole('button', { name: 'Pour 1 g', exact: true }).click({ clickCount: 2 })
    await expect(page.getByText('12 g too much').first()).toBeVisible()
    await page.getByRole('button', { name: 'It is in' }).click()
    await expect(page.getByText(/12 g too much strong white flour: add 7.2 g lukewarm water/)).toBeVisible()
    await page.getByRole('button', { name: 'Plan the rest so' }).click()
    await expect(page.getByRole('button', { name: /lukewarm water 307 g/ })).toBeVisible()

    // The line breaks: it is said, and what is typed goes in. This flour drinks more.
    await page.getByRole('button', { name: /lukewarm water/ }).click()
    await page.getByLabel('line broken').check()
    await expect(page.getByText('The scale does not answer')).toBeVisible()
    await page.getByLabel('lukewarm water weighed, in g').fill('-5')
    await page.getByRole('button', { name: 'Take it' }).click()
    await expect(page.getByText('A weight from 0 g to 50 kg is expected')).toBeVisible()
    await page.getByLabel('lukewarm water weighed, in g').fill('330')
    await page.getByRole('button', { name: 'Take it' }).click()
    await page.getByRole('button', { name: /lukewarm water/ }).click()
    await page.getByRole('button', { name: 'A spoon more' }).click()
    await expect(page.getByRole('button', { name: /lukewarm water 345 g in/ })).toBeVisible()

    // A timer outlives a reload.
    await page.getByRole('button', { name: 'Start 10 min' }).click()
    await expect(page.getByLabel('Timers').getByText(/^(?:10:00|9:5\d)$/)).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
    await page.reload()
    await expect(page.getByLabel('Timers').getByText(/^9:\d\d$/)).toBeVisible()
    await expect(page.getByRole('button', { name: /lukewarm water 345 g in/ })).toBeVisible()

    // One key is enough; without a network it goes on, and nothing is lost or stored twice.
    await context.setOffline(true)
    await page.keyboard.press('PageDown')
    await expect(page.getByText('Step 2 of 4')).toBeVisible()
    await page.getByRole('tab', { name: 'Heat' }).click()
    await page.getByLabel('Temperature in °C').fill('400')
    await page.getByRole('button', { name: 'Take it' }).click()
    await expect(
      page.getByText(/Middle of a piece: between -30 and 125 °C is expected; 400 °C was not noted/),
    ).toBeVisible()
    await page.getByLabel('The probe is in').selectOption('Filling at closing')
    await page.getByLabel('Temperature in °C').fill('41')
    await page.getByRole('button', { name: 'Take it' }).click()
    await expect(page.getByText('Noted: Filling at closing 41 °C')).toBeVisible()
    await page.getByRole('tab', { name: 'Count' }).click()
    await page.getByLabel('Pieces in the batch').fill('12')
    await page.getByLabel('Minutes of the batch').fill('21')
    await page.getByRole('button', { name: 'is out' }).click()
    await expect(page.getByLabel('Count the pieces')).toContainText('12 of 12 are done')
    await page.getByLabel('Filling and closing took').fill('24')
    await page.getByLabel('Filling and closing took').blur()
    await expect(page.getByText('kept here, sent when the server answers')).toBeVisible()
    await context.setOffline(false)
    await expect(page.getByText('kept here, sent when the server answers')).toBeHidden({ timeout: 20_000 })

    await page.getByRole('button', { name: 'Finish and write it down' }).click()
    await page.getByRole('group', { name: 'The dough felt' }).getByText('as wanted').click()
    await page.getByRole('group', { name: 'Taste' }).getByText('very good').click()
    await expect(page.getByRole('row', { name: 'lukewarm water 307 g 345 g' })).toBeVisible()

    // Leaked: the warm filling is behind it, by the record's own figure.
    await page.getByLabel('Something that went wrong').selectOption('Leaked at the seam')
    const wrong = page.getByLabel('What went wrong')
    await expect(wrong.getByRole('listitem').first()).toContainText('the filling was warm')
    await expect(wrong.getByText('filling at closing, °C: 41; above 25 speaks for it')).toBeVisible()
    await expect(page.getByLabel('What your bakes taught').getByText(/Strong wheat flour/)).toBeVisible()
    await expect(
      page
        .getByLabel('What your bakes taught')
        .getByText(/since your 1 bake/)
        .first(),
    ).toBeVisible()
    expect((await new AxeBuilder({ page }).analyze()).violations).toEqual([])
    await expect
      .poll(async () => {
        const { records } = await (await request.get('/api/records')).json()
        return records
          .filter((one: { record: { title: string } }) => one.record.title === 'Leek and bacon buns')
          .map((one: { record: { made: number; judgement: { taste: number } } }) => [
            one.record.made,
            one.record.judgement.taste,
          ])
      })
      .toEqual([[12, 4]])

    // The flour drinks more here: the same dough is firmer than was thought, until the cook says otherwise.
    await page.getByRole('link', { name: 'Bench' }).click()
    await expect(softness).not.toHaveText(before)
    await page.getByRole('link', { name: 'Notebook' }).first().click()
    await page.getByLabel('What your bakes taught').getByLabel('use it').first().uncheck()
    await page.getByRole('link', { name: 'Bench' }).click()
    await expect(softness).toHaveText(before)
  })

  test('says when the middle is hot, longer from frozen', async ({ page }) => {
    await pasteToBench(page, BUNS)
    await page.getByRole('link', { name: 'Stove' }).click()
    await page.getByRole('button', { name: 'Begin to cook' }).click()
    await page.getByRole('tab', { name: 'Heat' }).click()
    const heat = page.getByLabel('Watch the heat')
    const minutes = async () => Number(/about\s*([\d.]+)\s*min/.exec(await heat.innerText())?.[1])
    await expect(heat.getByText('never instead of a thermometer')).toBeVisible()
    const fresh = await minutes()
    await heat.getByLabel('Pieces').selectOption('frozen')
    await expect.poll(minutes).toBeGreaterThan(fresh * 1.3)
    await expect(heat.getByText(/FSIS/)).toBeVisible()
  })

  test('heat and learning by the API, and what cannot be is named', async ({ request }) => {
    const body = {
      geometry: 'sphere',
      radiusMm: 20,
      conductivityWmK: 0.5,
      densityKgM3: 1000,
      specificHeatJkgK: 4000,
      surfaceWm2K: 1000,
      startC: 20,
      mediumC: 100,
      targetC: 70,
    }
    const heat = async (data: object) => request.post('/api/heat', { data })
    const ball = await (await heat(body)).json()
    expect(ball.minutesToTarget).toBeGreaterThan(4)
    expect(ball.minutesToTarget).toBeLessThan(14)
    expect(ball.centreC[0]).toEqual([0, 20])
    // A sphere of 33.5 g that is warmed by at most 80 K cannot take up more than c m ΔT.
    expect(ball.energyKJ).toBeLessThan(4 * 0.0335 * 80)
    expect((await (await heat({ ...body, targetC: 120 })).json()).minutesToTarget).toBeNull()
    expect((await (await heat({ ...body, targetC: 20 })).json()).minutesToTarget).toBe(0)
    for (const [data, field] of [
      [{ ...body, geometry: 'cube' }, 'geometry'],
      [{ ...body, radiusMm: -1 }, 'radiusMm'],
      [{ ...body, radiusMm: undefined }, 'halfThicknessMm'],
      [{ ...body, startC: 'warm' }, 'startC'],
      [{ recipe: 7 }, 'recipe'],
    ] as [object, string][]) {
      const answer = await heat(data)
      expect(answer.status(), field).toBe(422)
      expect((await answer.json()).errors.map((one: { field: string }) => one.field)).toContain(field)
    }
    const recipe = await read(request, BUNS)
    const piece = await (await heat({ recipe, startC: 5 })).json()
    expect(piece.band.low).toBeLessThan(piece.minutesToTarget)
    expect(piece.piece.limit.celsius).toBe(74)

    const learn = (data: object) => request.post('/api/learn', { data })
    const learnt = await (
      await learn({
        prior: { mean: 60, sd: 4 },
        observations: [
          { value: 66, sd: 2 },
          { value: 65, sd: 2 },
        ],
      })
    ).json()
    expect(learnt.n).toBe(2)
    expect(learnt.mean).toBeGreaterThan(63)
    expect(learnt.low).toBeLessThan(learnt.mean)
    for (const [data, field] of [
      [{ prior: { mean: 60, sd: 0 }, observations: [] }, 'prior.sd'],
      [{ prior: { mean: 60, sd: 4 }, observations: [{ value: null, sd: 2 }] }, 'observations[0].value'],
    ] as [object, string][]) {
      const answer = await learn(data)
      expect(answer.status()).toBe(422)
      expect((await answer.json()).errors[0].field).toBe(field)
    }
  })

  test('a record sent twice, or late, is there once and as it was last', async ({ request }) => {
    const id = crypto.randomUUID()
    const record = {
      title: 'By the API',
      startedAt: 1_790_000_000_000,
      expected: { pieces: 8, way: 'bake', closing: 'half-moon' },
    }
    const put = (fields: object, sequence: number) =>
      request.put(`/api/records/${id}`, { data: { record: { ...record, ...fields }, sequence } })
    expect((await put({}, 1)).status()).toBe(200)
    expect((await put({ made: 8 }, 3)).status()).toBe(200)
    expect((await (await put({ made: 5 }, 2)).json()).record.made).toBe(8)
    expect((await (await put({ made: 8 }, 3)).json()).sequence).toBe(3)
    const { records } = await (await request.get('/api/records')).json()
    expect(records.filter((one: { id: string }) => one.id === id)).toHaveLength(1)
    const bad = await put({ readings: [{ what: 'oil', celsius: 400, at: 1 }] }, 4)
    expect(bad.status()).toBe(422)
    expect((await bad.json()).errors[0].field).toBe('record.readings[0].celsius')
    expect((await put({ title: 'nul \u0000' }, 5)).status()).toBe(422)

    const photo = crypto.randomUUID()
    const bytes = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(2000, 7)])
    const send = (data: Buffer) =>
      request.put(`/api/records/${id}/photos/${photo}`, {
        data,
        headers: { 'content-type': 'application/octet-stream' },
      })
    expect((await send(bytes)).status()).toBe(200)
    expect((await send(bytes)).status()).toBe(200)
    expect((await (await request.get(`/api/records/${id}`)).json()).photos).toEqual([photo])
    const back = await request.get(`/api/records/${id}/photos/${photo}`)
    expect(back.headers()['content-type']).toBe('image/jpeg')
    expect((await back.body()).equals(bytes)).toBe(true)
    expect((await send(Buffer.from('<script>alert(1)</script> is no picture'))).status()).toBe(422)
    expect((await send(Buffer.alloc(700_000, 1))).status()).toBe(413)
    expect((await request.delete(`/api/records/${id}/photos/${photo}`)).status()).toBe(200)
    expect((await request.get(`/api/records/${id}/photos/${photo}`)).status()).toBe(404)
    expect((await request.delete(`/api/records/${id}`)).status()).toBe(200)
    expect((await request.get(`/api/records/${id}`)).status()).toBe(404)
    expect((await request.get('/api/records/nonsense')).status()).toBe(404)
  })
})
