import { Field } from '../parts/Field'

/** A field of a draft, kept as it is typed. */
export function Typed<Draft extends object>({
  name,
  label,
  draft,
  change,
  fault,
  placeholder = '',
  about = name,
  max = 40,
}: {
  name: keyof Draft & string
  label: string
  draft: Draft
  change: (part: Partial<Draft>) => void
  fault: (field: string) => string | undefined
  placeholder?: string
  /** What it is called where it is refused. */
  about?: string
  max?: number
}) {
  return (
    <Field
      label={label}
      placeholder={placeholder}
      value={String(draft[name])}
      maxLength={max}
      fault={fault(about)}
      onChange={(event) => change({ [name]: event.target.value } as Partial<Draft>)}
    />
  )
}

/** How wide and how high a pot is inside. */
export function PotSize<Draft extends { width: string; height: string }>(its: {
  draft: Draft
  change: (part: Partial<Draft>) => void
  fault: (field: string) => string | undefined
}) {
  return (
    <>
      <Typed {...its} name="width" label="The pot is wide, inside" placeholder="26 cm" />
      <Typed {...its} name="height" label="and high" placeholder="24 cm" />
    </>
  )
}
