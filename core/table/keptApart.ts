interface KeptApart {
  id: string
  madeFor: readonly string[]
}

const nameOf = ({ madeFor }: KeptApart) =>
  madeFor.length ? `the ${madeFor.join(' and ')} kind` : 'the kind as it is'

/** What is kept apart, in plain words: what each later kind brings, and what a home kitchen cannot promise. */
export function apartOf(
  inOrder: readonly KeptApart[],
  held: ReadonlyMap<string, ReadonlySet<string>>,
): string[] {
  if (inOrder.length < 2) return []
  const had = new Set<string>(held.get(inOrder[0]!.id))
  const words = [
    `Work and cook ${nameOf(inOrder[0]!)} first: clean board, bowl, spoon, oil, water, steamer and serving plate`,
  ]
  for (const kind of inOrder.slice(1)) {
    const brings = [...held.get(kind.id)!].filter((one) => !had.has(one))
    for (const one of held.get(kind.id)!) had.add(one)
    words.push(
      brings.length
        ? `${nameOf(kind)} brings ${brings.join(', ')}: after the others, or in a pot and with a spoon of its own`
        : `${nameOf(kind)} brings nothing that the ones before it do not hold`,
    )
  }
  words.push('A home kitchen cannot promise that nothing is carried over: ask whoever reacts to traces')
  return words.map((text) => text[0]!.toUpperCase() + text.slice(1))
}
