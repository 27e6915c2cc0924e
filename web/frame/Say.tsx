import { createContext, type ReactNode, useCallback, useContext, useMemo, useRef, useState } from 'react'
import { Button } from '../parts/Button'
import { useKey } from './keys'

type Said = { text: string; undo?: (() => void) | undefined; wrong?: boolean }
const Context = createContext<(said: Said) => void>(() => undefined)

/** Says what was done at the foot of the screen, with the way back beside it. */
export function SayProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState<Said | null>(null)
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const goes = useCallback((next: Said) => {
    clearTimeout(timer.current)
    timer.current = setTimeout(() => setSaid(null), next.undo || next.wrong ? 12_000 : 5_000)
  }, [])
  const say = useCallback(
    (next: Said) => {
      setSaid(next)
      goes(next)
    },
    [goes],
  )
  const undo = said?.undo
  const back = () => {
    setSaid(null)
    undo?.()
  }
  useKey('z', 'Undo what was just done', back, undo !== undefined)
  return (
    <Context value={useMemo(() => say, [say])}>
      {children}
      <div
        role="status"
        className="no-print pointer-events-none fixed inset-x-0 bottom-16 z-40 flex justify-center p-3 lg:bottom-2 max-sm:[body:has([data-thumb])_&]:bottom-28"
      >
        {said ? (
          // While somebody is at it, it stays.
          <div
            onPointerEnter={() => clearTimeout(timer.current)}
            onFocus={() => clearTimeout(timer.current)}
            onPointerLeave={() => goes(said)}
            onBlur={() => goes(said)}
            className={`bg-plate pointer-events-auto flex items-center gap-4 rounded-rim border-2 px-4 py-2 ${said.wrong ? 'border-warmth' : 'border-rim'}`}
          >
            <span>{said.text}</span>
            {undo ? (
              <Button look="quiet" aria-keyshortcuts="z" onClick={back}>
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
