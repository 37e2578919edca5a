import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { HeldByAnother, holderOf, own, startOf } from './owner.mjs'

let folder: string
beforeEach(() => void (folder = mkdtempSync(join(tmpdir(), 'owner-'))))
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const lock = () => join(folder, 'owner.json')

describe('who holds a data folder', () => {
  it('is one process, which others are told of', () => {
    const mine = own(folder, 'npm start')
    mine.tell({ address: 'http://127.0.0.1:3000' })
    expect(() => own(folder, 'npm run dev')).toThrow(HeldByAnother)
    expect(() => own(folder, 'npm run dev')).toThrow(
      new RegExp(`process ${process.pid} \\(npm start\\), at http://127.0.0.1:3000`),
    )
    mine.release()
    expect(holderOf(folder)).toBeNull()
    own(folder, 'npm run dev').release()
  })

  it('is nobody when the process is gone', async () => {
    const child = spawn(process.execPath, ['-e', 'setTimeout(() => 0, 60000)'])
    const note = {
      instance: 'x',
      pid: child.pid!,
      started: startOf(child.pid!),
      what: 'npm start',
      address: null,
    }
    writeFileSync(lock(), JSON.stringify(note))
    expect(holderOf(folder)?.pid).toBe(child.pid)
    child.kill('SIGKILL')
    await new Promise((resolve) => child.once('exit', resolve))
    expect(holderOf(folder)).toBeNull()
    own(folder, 'npm start')
    expect(holderOf(folder)?.pid).toBe(process.pid)
  })

  it.each([
    [
      'a number that belongs to another by now',
      JSON.stringify({ pid: process.pid, started: '1', instance: 'x' }),
    ],
    ['half a note', '{"pid":'],
    ['nothing', ''],
  ])('is nobody when the lock holds %s', (_, text) => {
    writeFileSync(lock(), text)
    expect(holderOf(folder)).toBeNull()
    const mine = own(folder, 'npm start')
    expect((JSON.parse(readFileSync(lock(), 'utf8')) as { pid: number }).pid).toBe(process.pid)
    mine.release()
  })

  it('does not give up what another has taken since', () => {
    const mine = own(folder, 'npm start')
    writeFileSync(
      lock(),
      JSON.stringify({ pid: process.pid, started: startOf(process.pid), instance: 'other', what: 'x' }),
    )
    mine.release()
    expect(holderOf(folder)).toMatchObject({ instance: 'other' })
  })
})
