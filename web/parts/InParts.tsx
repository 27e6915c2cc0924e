import { Children, type ReactNode, startTransition, useEffect, useState } from 'react'

/** A page's parts drawn one after another, the first at once: a finger is answered between them. */
export function InParts({ children }: { children: ReactNode }) {
  const parts = Children.toArray(children)
  const [drawn, draw] = useState(1)
  useEffect(() => {
    if (drawn < parts.length) startTransition(() => draw(drawn + 1))
  }, [drawn, parts.length])
  return parts.slice(0, drawn)
}
