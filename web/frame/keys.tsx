import { createContext, type ReactNode, useContext, useEffect, useMemo, useRef, useState } from 'react'

type Key = { key: string; says: string; run: () => void }
type Keys = { add: (key: Key) => () => void; all: () => Key[]; on: boolean; setOn: (on: boolean) => void }

const Context = createContext<Keys | null>(null)
const STORE = 'kettle.keys'

function typing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
}

/** Every action has a key. They can be turned off, for those who speak to their machine. */
export function KeysProvider({ children }: { children: ReactNode }) {
  const list = useRef<Key[]>([])
  const [on, setOn] = useState(() => localStorage.getItem(STORE) !== 'off')
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || typing(event.target)) return
      if (!on && event.key !== '?') return
      if (document.querySelector('[role="dialog"]')) return
      const found = list.current.findLast((key) => key.key === event.key)
      if (found) {
        event.preventDefault()
        found.run()
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [on])
  const value = useMemo<Keys>(
    () => ({
      add: (key) => {
        list.current.push(key)
        return () => {
          list.current = list.current.filter((other) => other !== key)
        }
      },
      all: () => list.current,
      on,
      setOn: (next) => {
        localStorage.setItem(STORE, next ? 'on' : 'off')
        setOn(next)
      },
    }),
    [on],
  )
  return <Context value={value}>{children}</Context>
}

export function useKeys(): Keys {
  const keys = useContext(Context)
  if (!keys) throw new Error('useKeys wants a KeysProvider around it.')
  return keys
}

/** Binds a key to an action for as long as the screen is there. */
export function useKey(key: string, says: string, run: () => void, enabled = true): void {
  const { add } = useKeys()
  const latest = useRef(run)
  useEffect(() => {
    latest.current = run
  })
  useEffect(() => (enabled ? add({ key, says, run: () => latest.current() }) : undefined), [add, key, says, enabled])
}
