import { lazy, Suspense, useState } from 'react'
import { Button } from '../parts/Button'
import type { HandsStep } from './Hands'

const Hands = lazy(() => import('./Hands'))

/** The way into following steps one at a time, in letters that are read from afar. */
export function HandsFull({ name, title, steps }: { name: string; title: string; steps: HandsStep[] }) {
  const [open, setOpen] = useState(false)
  if (steps.length === 0) return null
  return (
    <>
      <Button onClick={() => setOpen(true)}>With hands full</Button>
      {open ? (
        <Suspense fallback={null}>
          <Hands name={name} title={title} steps={steps} close={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
  )
}
