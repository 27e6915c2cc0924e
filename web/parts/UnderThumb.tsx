import type { ReactNode } from 'react'

/**
 * What is pressed next. On a phone it stays above the places, on ground of its own, so that no text shows around it; a page
 * that has it leaves room for it at its end (max-sm:pb-16).
 */
export function UnderThumb({ children }: { children: ReactNode }) {
  return (
    <div
      data-thumb
      className="max-sm:bg-enamel max-sm:border-line flex flex-wrap gap-3 max-sm:fixed max-sm:inset-x-0 max-sm:bottom-[51px] max-sm:z-10 max-sm:justify-between max-sm:border-t max-sm:px-4 max-sm:py-2"
    >
      {children}
    </div>
  )
}
