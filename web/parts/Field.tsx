import { type ComponentProps, type ReactNode, useId } from 'react'
import { asTime } from './day'

type Frame = { label: string; hint?: ReactNode; fault?: string | undefined }

function Around({
  id,
  label,
  hint,
  fault,
  children,
}: Frame & { id: string; children: (described: { 'aria-describedby'?: string }) => ReactNode }) {
  const described = [hint ? `${id}-hint` : '', fault ? `${id}-fault` : ''].filter(Boolean).join(' ')
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="font-semibold">
        {label}
      </label>
      {children(described ? { 'aria-describedby': described } : {})}
      {hint ? (
        <p id={`${id}-hint`} className="text-soft">
          {hint}
        </p>
      ) : null}
      {fault ? (
        <p id={`${id}-fault`} className="text-warmth font-semibold" role="alert">
          {fault}
        </p>
      ) : null}
    </div>
  )
}

export function Field({ label, hint, fault, ...rest }: Frame & ComponentProps<'input'>) {
  const id = useId()
  return (
    <Around id={id} label={label} hint={hint} fault={fault}>
      {(described) => (
        <input id={id} className="field" aria-invalid={fault ? true : undefined} {...described} {...rest} />
      )}
    </Around>
  )
}

/** A time of day, by 24 hours as everything else here is, whatever the machine's own habit. */
export function TimeField({
  value,
  onTime,
  ...rest
}: Frame & Omit<ComponentProps<'input'>, 'value' | 'onChange'> & { value: string; onTime: (time: string) => void }) {
  return (
    <Field
      inputMode="numeric"
      placeholder="07:30"
      maxLength={8}
      pattern="([01][0-9]|2[0-3]):[0-5][0-9]"
      title="A time such as 07:30 or 22:00"
      {...rest}
      value={value}
      onChange={(event) => onTime(event.target.value)}
      onBlur={(event) => onTime(asTime(event.target.value))}
    />
  )
}

export function Area({ label, hint, fault, ...rest }: Frame & ComponentProps<'textarea'>) {
  const id = useId()
  return (
    <Around id={id} label={label} hint={hint} fault={fault}>
      {(described) => (
        <textarea id={id} className="field" rows={3} aria-invalid={fault ? true : undefined} {...described} {...rest} />
      )}
    </Around>
  )
}

export function Select({
  label,
  hint,
  fault,
  choices,
  ...rest
}: Frame & ComponentProps<'select'> & { choices: { id: string; name: string }[] }) {
  const id = useId()
  return (
    <Around id={id} label={label} hint={hint} fault={fault}>
      {(described) => (
        <select id={id} className="field" aria-invalid={fault ? true : undefined} {...described} {...rest}>
          {choices.map((choice) => (
            <option key={choice.id} value={choice.id}>
              {choice.name}
            </option>
          ))}
        </select>
      )}
    </Around>
  )
}
