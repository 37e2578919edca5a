import { randomUUID } from 'node:crypto'
import { closeSync, existsSync, openSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** When a process began, in ticks since the machine did: with its number it names one process and no other. */
export function startOf(pid) {
  try {
    // The name stands in brackets and may hold blanks; the fields behind it are counted from there.
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? null
  } catch {
    return null
  }
}

/** Whether the process that wrote a note still runs: its number alone may belong to another by now. */
export const isAlive = ({ pid, started }) => started !== null && startOf(pid) === started

/** Who holds a folder, as it stands in its lock; null when nobody does or the holder is gone. */
export function holderOf(folder) {
  try {
    const note = JSON.parse(readFileSync(join(folder, 'owner.json'), 'utf8'))
    return isAlive(note) ? note : null
  } catch {
    return null
  }
}

/** The lock on a data folder: who has it starts and stops its database, and nobody else. */
export class Ownership {
  constructor(folder, note) {
    this.file = join(folder, 'owner.json')
    this.note = note
  }

  /** Writes down what is known now, such as the address. */
  tell(more) {
    Object.assign(this.note, more)
    writeFileSync(this.file, JSON.stringify(this.note))
  }

  release() {
    try {
      if (JSON.parse(readFileSync(this.file, 'utf8')).instance === this.note.instance) rmSync(this.file)
    } catch {
      // Gone already.
    }
  }
}

/** Thrown when another process holds the folder. */
export class HeldByAnother extends Error {
  constructor(holder) {
    const at = holder.address ? `, at ${holder.address}` : ''
    super(`Swap Pocket runs already: process ${holder.pid} (${holder.what})${at}. Stop that one first`)
    this.holder = holder
  }
}

/**
 * Takes a folder for this process. A lock whose process is gone is taken over.
 *
 * @param what the command that holds it, to be named to others: "npm start"
 * @throws HeldByAnother
 */
export function own(folder, what) {
  const file = join(folder, 'owner.json')
  const note = {
    instance: randomUUID(),
    pid: process.pid,
    started: startOf(process.pid),
    what,
    address: null,
  }
  for (let turn = 0; turn < 5; turn++) {
    try {
      const handle = openSync(file, 'wx', 0o600)
      writeFileSync(handle, JSON.stringify(note))
      closeSync(handle)
      return new Ownership(folder, note)
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
      const holder = holderOf(folder)
      if (holder) throw new HeldByAnother(holder)
      // Its process is gone, or was killed while it wrote.
      if (existsSync(file)) rmSync(file, { force: true })
    }
  }
  throw new Error(`${file} could not be taken`)
}
