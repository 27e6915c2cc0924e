import { useCallback, useEffect, useState } from 'react'

/** What was kept as a text; null where nothing was, or it is broken. */
export function asJson(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null')
  } catch {
    return null
  }
}

export const keptDraft = (store: string): unknown => asJson(localStorage.getItem(store))

/**
 * What is being planned, kept in this browser so that nothing typed is lost: the whole, what changes a part of it, and
 * what sets it anew.
 */
export function useKeptDraft<Draft extends object>(
  store: string,
  /** From what was kept, or whatever stands there in its place. */
  read: (kept: unknown) => Draft,
  /** Without what was taken out. */
  tidy: (draft: Draft) => Draft,
): [Draft, (change: { [Key in keyof Draft]?: unknown }) => void, (whole: Draft) => void] {
  const [draft, setDraft] = useState(() => read(keptDraft(store)))
  useEffect(() => localStorage.setItem(store, JSON.stringify(draft)), [store, draft])
  const change = useCallback((part: object) => setDraft((before) => tidy({ ...before, ...part })), [tidy])
  const put = useCallback((whole: Draft) => setDraft(tidy(whole)), [tidy])
  return [draft, change, put]
}
