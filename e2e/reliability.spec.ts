import { randomUUID } from 'node:crypto'
import { clusterAt } from '../scripts/lib/postgres.mjs'
import type { Intake } from '../core/reading/readRecipe'
import { expect, pasteToBench, SUPPER, test } from './support'

const home = process.env.SWAP_POCKET_CLUSTER
const port = Number(process.env.SWAP_POCKET_CLUSTER_PORT)

const readSupper = async (request: import('@playwright/test').APIRequestContext, title: string) => {
  const answer = await request.post('/api/intake', { data: { text: SUPPER.replace('Supper', title) } })
  return ((await answer.json()) as Intake).recipe
}

test.describe('what is typed', () => {
  test('is kept for each recipe by itself, shown on the shelf, and thrown away only by the cook', async ({
    page,
    request,
  }) => {
    const ids: string[] = []
    for (const title of ['Alder', 'Birch']) {
      const made = await request.post('/api/recipes', { data: { recipe: await readSupper(request, title) } })
      ids.push(((await made.json()) as { id: string }).id)
    }
    for (const [at, grams] of ['111', '222'].entries()) {
      await page.goto(`/bench/${ids[at]}`)
      await page.getByLabel('Grams of Butter').fill(grams)
      await page.getByLabel('Grams of Butter').press('Enter')
      await expect(page.getByRole('button', { name: 'Save', exact: true })).toBeEnabled()
    }
    // Back by the address, and loaded again.
    await page.goto(`/bench/${ids[0]}`)
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('111')
    await page.reload()
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('111')

    await page.goto('/')
    const drafts = page.getByRole('region', { name: 'Not saved yet' })
    await expect(drafts.getByText('Alder turnovers')).toBeVisible()
    await expect(drafts.getByText('Birch turnovers')).toBeVisible()
    await drafts.getByRole('button', { name: 'Throw away the unsaved changes to Alder turnovers' }).click()
    await expect(drafts.getByText('The unsaved changes to Alder turnovers were thrown away.')).toBeVisible()
    await drafts.getByRole('button', { name: 'Undo' }).click()
    await drafts.getByRole('button', { name: 'Go on with Alder turnovers' }).click()
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('111')
    await page.goto(`/bench/${ids[1]}`)
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('222')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
    await page.goto('/')
    await expect(drafts.getByText('Birch turnovers')).toHaveCount(0)
  })

  test('in two tabs at once is lost in neither', async ({ page, context, request }) => {
    const made = await request.post('/api/recipes', { data: { recipe: await readSupper(request, 'Cedar') } })
    const { id } = (await made.json()) as { id: string }
    await page.goto(`/bench/${id}`)
    await page.getByLabel('Grams of Butter').fill('133')
    await page.getByLabel('Grams of Butter').press('Enter')
    const other = await context.newPage()
    await other.goto(`/bench/${id}`)
    await expect(other.getByText('This recipe has unsaved changes in another tab')).toBeVisible()
    await other.getByLabel('Grams of Butter').fill('144')
    await other.getByLabel('Grams of Butter').press('Enter')
    await expect(page.getByText('This recipe has unsaved changes in another tab')).toBeVisible()
    await page.reload()
    await expect(page.getByLabel('Grams of Butter')).toHaveValue('133')
    await other.reload()
    await expect(other.getByLabel('Grams of Butter')).toHaveValue('144')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
    await other.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(other.getByRole('alert')).toContainText('saved elsewhere')
    await expect(other.getByLabel('Grams of Butter')).toHaveValue('144')
  })

  test('while the database is away is saved by itself when it is back, also after a reload', async ({
    page,
  }) => {
    const cluster = clusterAt(home!)
    await pasteToBench(page, SUPPER.replace('Supper', 'Gale'))
    cluster.stop()
    try {
      await page.getByRole('button', { name: 'Save', exact: true }).click()
      await expect(page.getByRole('alert')).toContainText('It is saved by itself as soon as it can be')
      await page.reload()
      await expect(page.getByRole('alert')).toContainText('not saved yet')
    } finally {
      await cluster.start(port)
    }
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
  })
})

test.describe('the API, asked twice or by many', () => {
  test('does what has a key once, however often it is sent', async ({ request }) => {
    const recipe = await readSupper(request, 'Once')
    const headers = { 'idempotency-key': randomUUID() }
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => request.post('/api/recipes', { data: { recipe }, headers })),
    )
    const ids = await Promise.all(answers.map(async (one) => ((await one.json()) as { id: string }).id))
    expect(answers.map((one) => one.status())).toEqual(Array(6).fill(201))
    expect(new Set(ids).size).toBe(1)
    const other = await request.post('/api/recipes', {
      data: { recipe: { ...recipe, title: 'Another' } },
      headers,
    })
    expect(other.status()).toBe(422)
    // The same change from the same revision is no conflict; another one is.
    const change = { recipe: { ...recipe, title: 'Once more' }, revision: 1 }
    for (let n = 0; n < 2; n++) {
      const saved = await request.put(`/api/recipes/${ids[0]}`, { data: change })
      expect(saved.status()).toBe(200)
      expect(((await saved.json()) as { revision: number }).revision).toBe(2)
    }
    const late = await request.put(`/api/recipes/${ids[0]}`, {
      data: { recipe: { ...recipe, title: 'Late' }, revision: 1 },
    })
    expect(late.status()).toBe(409)
  })

  test('notes sixty equal prices once', async ({ request }) => {
    const price = { price: 1.25, packGrams: 1000, note: `mill ${randomUUID()}`, date: '2026-11-01' }
    const answers = await Promise.all(
      Array.from({ length: 60 }, () => request.put('/api/prices/semolina', { data: price })),
    )
    expect([...new Set(answers.map((one) => one.status()))]).toEqual([200])
    const { prices } = (await (await request.get('/api/prices/semolina')).json()) as {
      prices: { note: string }[]
    }
    expect(prices.filter(({ note }) => note === price.note)).toHaveLength(1)
    await request.delete('/api/prices/semolina')
  })

  test('shows the shelf a page at a time, and nothing twice', async ({ request }) => {
    type Page = { recipes: { id: string }[]; next: string | null }
    const whole = ((await (await request.get('/api/recipes')).json()) as Page).recipes.map(({ id }) => id)
    const seen: string[] = []
    let after: string | null = null
    do {
      const query: string = after ? `&after=${encodeURIComponent(after)}` : ''
      const page = (await (await request.get(`/api/recipes?limit=3${query}`)).json()) as Page
      expect(page.recipes.length).toBeLessThanOrEqual(3)
      seen.push(...page.recipes.map(({ id }) => id))
      after = page.next
    } while (after)
    expect(seen).toEqual(whole)
    for (const bad of ['limit=0', 'limit=x', 'limit=5000', 'after=x', 'after=2026-01-01~x'])
      expect((await request.get(`/api/recipes?${bad}`)).status(), bad).toBe(422)
  })

  test('says what is wrong with what cannot be, and never that the database is away', async ({ request }) => {
    const json = { 'content-type': 'application/json' }
    for (const [body, status] of [
      ['"', 400],
      ['{"text":"', 400],
      ['timeout', 400],
      ['{"text": "timeout terminat 08006"}', 200],
    ] as const)
      expect(
        (await request.post('/api/intake', { data: Buffer.from(body), headers: json })).status(),
        body,
      ).toBe(status)
    for (const id of ['%', '%E0%A4%A', '08006', 'timeout', '%00'])
      for (const path of ['recipes', 'foods', 'prices', 'imports'])
        expect([200, 404], `${path}/${id}`).toContain((await request.get(`/api/${path}/${id}`)).status())
    const recipe = await readSupper(request, 'Odd')
    const odd = structuredClone(recipe)
    odd.parts[0]!.lines[0]!.foodId = 'timeout-flour'
    expect((await request.post('/api/evaluate', { data: { recipe: odd } })).status()).toBe(422)
    const tiny = structuredClone(recipe)
    tiny.parts[0]!.lines[0]!.grams = 1e-320
    expect([200, 422]).toContain((await request.post('/api/evaluate', { data: { recipe: tiny } })).status())
  })

  test('answers as JSON under its own name only, and the page lets no script of others run', async ({
    page,
    request,
  }) => {
    expect(
      (
        await request.post('/api/recipes', { data: '{}', headers: { 'content-type': 'text/plain' } })
      ).status(),
    ).toBe(415)
    expect((await request.get('/api/recipes', { headers: { host: 'kitchen.example' } })).status()).toBe(421)
    expect(
      (await request.get('/api/recipes', { headers: { origin: 'http://kitchen.example' } })).status(),
    ).toBe(403)
    const wrong = await request.get('/health')
    expect(wrong.status()).toBe(404)
    expect(wrong.headers()['content-type']).toContain('problem+json')
    const answer = await page.goto('/')
    const policy = answer!.headers()['content-security-policy']!
    expect(policy).toContain("frame-ancestors 'none'")
    expect(policy).not.toMatch(/script-src[^;]*unsafe/)
    expect(answer!.headers()['x-powered-by']).toBeUndefined()
    const blocked = await page.evaluate(() => {
      const script = document.createElement('script')
      script.textContent = 'window.theirs = true'
      document.head.append(script)
      return (window as { theirs?: boolean }).theirs !== true
    })
    expect(blocked).toBe(true)
    expect((await (await request.get('/api/live')).json()) as object).toMatchObject({ status: 'ok' })
    expect((await (await request.get('/api/ready')).json()) as object).toMatchObject({
      ready: true,
      writable: true,
    })
  })
})
