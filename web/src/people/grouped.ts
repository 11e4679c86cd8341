/** The items by what `key` gives, in the order in which the keys first come. */
export function grouped<K, T>(items: readonly T[], key: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const item of items) {
    const group = groups.get(key(item))
    if (group) {
      group.push(item)
    } else {
      groups.set(key(item), [item])
    }
  }
  return groups
}
