import type { ReactNode } from 'react'

/** The name of a column. */
export const Head = ({ children }: { children: ReactNode }) => (
  <h2 className="column-head font-text mb-2 text-base">{children}</h2>
)
