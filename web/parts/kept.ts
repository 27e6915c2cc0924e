import { useState } from 'react'

/** Text being written, kept in this browser until it is in, so that nothing typed is lost. */
export function useKept(name: string): [string, (text: string) => void] {
  const store = `kettle.kept.${name}`
  const [text, setText] = useState(() => localStorage.getItem(store) ?? '')
  return [
    text,
    (next) => {
      if (next === '') localStorage.removeItem(store)
      else localStorage.setItem(store, next)
      setText(next)
    },
  ]
}
