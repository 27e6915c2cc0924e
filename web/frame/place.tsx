import { type ComponentType, lazy } from 'react'

/**
 * A place whose code comes when it is gone to. Fetched before anything is drawn, it is drawn at once: what React waits for
 * it keeps out of sight for a third of a second, however soon it is there.
 */
export function place(load: () => Promise<{ default: ComponentType }>) {
  let There: ComponentType | undefined
  const Later = lazy(load)
  const Place = () => (There ? <There /> : <Later />)
  return Object.assign(Place, {
    fetch: async () => {
      There = (await load()).default
    },
  })
}
