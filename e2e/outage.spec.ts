import { clusterAt } from '../scripts/lib/postgres.mjs'
import { expect, pasteToBench, SUPPER, test } from './support'

const home = process.env.SWAP_POCKET_CLUSTER
const port = Number(process.env.SWAP_POCKET_CLUSTER_PORT)

test.describe('while the database is away', () => {
  test('nothing typed is lost, the bench works on, and saving works when it is back', async ({
    page,
    request,
  }) => {
    expect(home, 'run by npm test, which owns the database').toBeTruthy()
    const cluster = clusterAt(home!)
    await pasteToBench(page, SUPPER.replace('Supper', 'Storm'))
    await page.getByLabel('Grams of Butter').fill('180')
    cluster.stop()
    try {
      await page.getByRole('button', { name: 'Save', exact: true }).click()
      await expect(page.getByRole('alert')).toContainText('The database cannot be reached')
      await expect(page.getByRole('alert')).toContainText('What you typed is kept in this browser')
      await expect(page.getByLabel('Grams of Butter')).toHaveValue('180')

      // Reading, evaluating and adapting need no database.
      await page.getByRole('button', { name: 'vegan', exact: true }).click()
      await expect(page.getByLabel('Title')).toHaveValue('Storm turnovers, vegan')
      expect((await request.post('/api/intake', { data: { text: SUPPER } })).status()).toBe(200)
      const health = await request.get('/api/health')
      expect(health.status()).toBe(503)
      expect(await health.json()).toMatchObject({ type: '/problems/database-away', status: 503 })

      await page.reload()
      await expect(page.getByLabel('Title')).toHaveValue('Storm turnovers, vegan')
      await page.goto('/')
      await expect(page.getByRole('alert')).toContainText('The database cannot be reached')
      await page.goto('/bench')
      await expect(page.getByLabel('Title')).toHaveValue('Storm turnovers, vegan')
    } finally {
      await cluster.start(port)
    }
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByRole('button', { name: 'Saved', exact: true })).toBeVisible()
    expect((await request.get('/api/health')).status()).toBe(200)
  })
})
