import type { ComponentProps } from 'react'
import { Link, type LinkProps } from 'react-router'

const looks = {
  strong: 'bg-rim text-on-rim border-rim',
  plain: 'bg-transparent text-ink border-rim',
  quiet: 'bg-transparent text-ink border-transparent underline underline-offset-4 decoration-1',
  stop: 'bg-transparent text-warmth border-warmth',
}
const shape =
  'inline-flex min-h-11 items-center justify-center gap-2 rounded-rim border-2 px-4 py-2 ' +
  'font-semibold leading-tight no-underline aria-disabled:opacity-60'

type Look = { look?: keyof typeof looks }

type Pressed = ComponentProps<'button'> & Look & { once?: boolean }

/**
 * One that cannot be pressed just now is said to be so, and stays where the keyboard is: a browser takes the focus from
 * what is disabled in its own way, and whoever pressed it would be nowhere while the answer is waited for.
 */
const asleep = (disabled: boolean | undefined) => (disabled ? { 'aria-disabled': true } : {})

/** @param once the second click of a double press does nothing: what stands there by then may be the next thing */
export function Button({ look = 'plain', className = '', type = 'button', once, disabled, onClick, ...rest }: Pressed) {
  return (
    <button
      type={type}
      className={`${shape} ${looks[look]} ${className}`}
      onClick={(event) => {
        if (disabled || ((once ?? type === 'submit') && event.detail > 1)) event.preventDefault()
        else onClick?.(event)
      }}
      {...asleep(disabled)}
      {...rest}
    />
  )
}

/** An action within text or a table, as tall as a finger needs and no wider than its words. */
export function TextButton({ className = '', type = 'button', disabled, onClick, ...rest }: ComponentProps<'button'>) {
  return (
    <button
      type={type}
      className={`inline-flex min-h-9 shrink-0 items-center text-start font-semibold underline decoration-1 underline-offset-4 aria-disabled:opacity-60 ${className}`}
      onClick={(event) => (disabled ? event.preventDefault() : onClick?.(event))}
      {...asleep(disabled)}
      {...rest}
    />
  )
}

export function ButtonLink({ look = 'plain', className = '', ...rest }: LinkProps & Look) {
  return <Link className={`${shape} ${looks[look]} ${className}`} {...rest} />
}

/** A file the server makes: a download, or a PDF in a page of its own. It looks like the other buttons. */
export function FileLink({ look = 'plain', className = '', children, ...rest }: ComponentProps<'a'> & Look) {
  const apart = rest.download === undefined ? { target: '_blank', rel: 'noreferrer' } : {}
  return (
    <a className={`${shape} ${looks[look]} ${className}`} {...apart} {...rest}>
      {children}
    </a>
  )
}
