import type { Problem } from '../api/client'
import { Field } from '../parts/Field'

type Form = { value: string; fault: string | undefined; onChange: (event: { target: { value: string } }) => void }

/** Shown where an account has a second step at the door, once that is known. */
export function CodeField({ field, problem }: { field: Form; problem: Problem | null }) {
  if (field.value === '' && !problem?.about('code')) return null
  return (
    <Field label="Code" autoComplete="one-time-code" autoCapitalize="none" spellCheck={false} required {...field} />
  )
}
