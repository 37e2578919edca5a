/** Something that occupies a lane from one minute to another; counted as minutes before the end, `start` the larger. */
export interface Occupies {
  id: string
  start: number
  end: number
}

/**
 * Shares what runs at once out to lanes, so that nothing shares a lane with what it overlaps: each goes to the lane
 * that was free last, so that one pair of hands keeps at it.
 *
 * @param lanes until when each is away at the beginning, as minutes before the end; Infinity for always there
 * @returns by id the lane; where there are too few, the last takes what is over
 */
export function shareOutLanes(jobs: readonly Occupies[], lanes: readonly number[]): Map<string, number> {
  const free = [...lanes]
  const of = new Map<string, number>()
  for (const job of [...jobs].sort((a, b) => b.start - a.start || b.end - a.end)) {
    let best = -1
    for (let lane = 0; lane < free.length; lane++)
      if (free[lane]! >= job.start && (best < 0 || free[lane]! < free[best]!)) best = lane
    if (best < 0) best = free.length - 1
    free[best] = job.end
    of.set(job.id, best)
  }
  return of
}
