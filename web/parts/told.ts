/** Who is told when something changes that React does not hold; `watch` is for `useSyncExternalStore`. */
export function listeners() {
  const all = new Set<() => void>()
  return {
    watch: (told: () => void) => {
      all.add(told)
      return () => void all.delete(told)
    },
    tell: () => {
      for (const told of all) told()
    },
  }
}
