/** A database as the first programs made it, and one of a program that is yet to come. */
const AS_IT_WAS = `
drop table record_photos; drop table records; drop table dinners; drop table stock; drop table kept_requests; drop table own_swaps; drop index prices_noted_once;
alter table imports drop column merging_by, drop column alive_at;
alter table revisions alter column saved_at set default now();
delete from migrations where name >= '005b';
alter table migrations drop column checksum;`

export async function otherVersions(copy, recipe) {
  const wrong = []
  const saved = await copy.ask('POST', '/api/recipes', { recipe: { ...recipe, title: 'From of old' } })
  const sql = (text) => copy.cluster.sql(copy.cluster.running().port, text, 'swap_pocket')
  const change = async (text) => {
    await copy.starter.kill('SIGTERM')
    await copy.starter.ended
    const { cluster } = copy
    const port = await cluster.start()
    cluster.sql(port, text, 'swap_pocket')
    cluster.stop()
  }
  await change(AS_IT_WAS)
  try {
    await copy.start()
    if ((await copy.get('/api/swaps'))?.status !== 200) wrong.push('own swaps cannot be read')
    const found = await copy.get(`/api/recipes/${saved.value.id}`)
    if (found?.value?.recipe?.title !== 'From of old') wrong.push('a recipe was lost')
    if (sql('select count(*) from migrations where checksum is null') !== '0')
      wrong.push('migrations without a sum')
    if (!/it lies in .*before-migration/.test(copy.said)) wrong.push('it was not dumped before')
  } catch (error) {
    wrong.push(`an older database: ${error.message}`)
  }

  const ends = async (text, back, says) => {
    await change(text)
    const child = await copy.begin()
    const code = await child.ended
    if (code === 0 || !says.test(copy.said))
      wrong.push(`it ended with ${code}: ${copy.said.trim().slice(-160)}`)
    if (copy.left().length) wrong.push(`left ${copy.left().join(', ')}`)
    const { cluster } = copy
    cluster.sql(await cluster.start(), back, 'swap_pocket')
    cluster.stop()
    await copy.start()
  }
  await ends(
    "insert into migrations (name, checksum) values ('999_of_tomorrow.sql', 'x')",
    "delete from migrations where name = '999_of_tomorrow.sql'",
    /newer program/,
  )
  await ends(
    "update migrations set checksum = 'changed' || checksum where name = '002_foods.sql'",
    "update migrations set checksum = replace(checksum, 'changed', '') where name = '002_foods.sql'",
    /002_foods\.sql is not the one/,
  )
  return {
    name: 'a database of an older, a newer and a changed program',
    did: 'mended after a dump; refused with a word',
    wrong,
  }
}
