import { createContext, type ReactNode, useCallback, useContext, useMemo, useRef, useState } from 'react'
import { Button } from '../parts/Button'

type Said = { text: string; undo?: (() => void) | undefined; wrong?: boolean }
const Context = createContext<(said: Said) => void>(() => undefined)

/** Says what was done at the foot of the screen, with the way back beside it. */
export function SayProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const say = useCallback((next: Said) => {
    clearTimeout(timer.current)
    setSaid(next)
    timer.current = setTimeout(() => setSaid(null), next.undo || next.wrong ? 12_000 : 5_000)
  }, [])
  const undo = said?.undo
  return (
    <Context value={useMemo(() => say, [say])}>
      {children}
      <div
        role="status"
        className="no-print pointer-events-none fixed inset-x-0 bottom-16 z-40 flex justify-center p-3 lg:bottom-2 max-sm:[body:has([data-thumb])_&]:bottom-28"
      >
        {said ? (
          <div
            className={`bg-plate pointer-events-auto flex items-center gap-4 rounded-rim border-2 px-4 py-2 ${said.wrong ? 'border-warmth' : 'border-rim'}`}
          >
            <span>{said.text}</span>
            {undo ? (
              <Button
                look="quiet"
                onClick={() => {
                  setSaid(null)
                  undo()
                }}
              >
                Undo
              </Button>
            ) : null}
          </div>
        ) : null}
      </div>
    </Context>
  )
}

export const useSay = () => useContext(Context)
