/**
 * The same pure function, remembering its answers: while a text is read a line is looked at several times, and again
 * at the next key. Forgets everything when it has seen `most` different texts.
 *
 * @param work must depend on its text alone, and its answer must not be changed by whoever gets it
 */
export function remember<T>(work: (text: string) => T, most = 3000): (text: string) => T {
  const known = new Map<string, T>()
  return (text) => {
    const before = known.get(text)
    if (before !== undefined || known.has(text)) return before as T
    if (known.size >= most) known.clear()
    const made = work(text)
    known.set(text, made)
    return made
  }
}

/** The same for work that also asks the larder: answers are kept for each larder by itself. */
export function rememberWith<K extends object, T>(
  work: (text: string, reference: K) => T,
  most = 3000,
): (text: string, reference: K) => T {
  const known = new WeakMap<K, (text: string) => T>()
  return (text, reference) => {
    let own = known.get(reference)
    if (!own) known.set(reference, (own = remember((one) => work(one, reference), most)))
    return own(text)
  }
}
