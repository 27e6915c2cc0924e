import { type FormEvent, useState } from 'react'
import type { Problem } from '../api/client'

type Typed = { target: { value: string } }

/** What is sent is sent by us: the page stays. */
export const sent = (send: () => void) => (event: FormEvent) => {
  event.preventDefault()
  send()
}

/** What a form holds as it is typed, by the names its answer has for the fields. */
export function useForm<F extends Record<string, string>>(first: F) {
  const [typed, setTyped] = useState(first)
  const put = (part: Partial<F>) => setTyped((now) => ({ ...now, ...part }))
  return {
    typed,
    put,
    clear: () => setTyped(first),
    /** What was wrong, each beside its field, and what is about none of them. */
    beside: (problem: Problem | null) => ({
      field: (name: keyof F & string) => ({
        value: typed[name] ?? '',
        fault: problem?.about(name),
        onChange: (event: Typed) => put({ [name]: event.target.value } as Partial<F>),
      }),
      rest: problem && !Object.keys(first).some((name) => problem.about(name)) ? problem : null,
    }),
  }
}
