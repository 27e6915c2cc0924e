import type { Unsent } from './outbox'

/*
 * What may be written down without a network and sent later: work done and things seen, by the same list as the house's
 * own. Nothing that plans, decides or belongs to the house itself.
 */

const OF: Record<string, string[]> = {
  batches: ['tasks', 'notes', 'looks', 'strain'],
  boils: ['flame', 'marks', 'warmth', 'signs', 'notes'],
  makings: ['weigh', 'steps', 'stir', 'spoon', 'notes'],
  stove: ['reading', 'tend'],
}

/** What is put off is put off from now on, and what is switched is switched now. */
const NOT_THEN = (body: unknown): boolean => {
  const { outcome, what } = (body ?? {}) as { outcome?: unknown; what?: unknown }
  return outcome === 'later' || (what !== undefined && what !== 'shaken' && what !== 'colour' && what !== 'scent')
}

const parts = (path: string) => path.split('/').slice(3)

/** Whether a POST of this may wait for a network. */
export function mayWait(path: string, body: unknown): boolean {
  const [kind = '', of = '', does = '', ...more] = parts(path)
  if (!path.startsWith('/houses/') || NOT_THEN(body)) return false
  if (kind === 'today') return of === 'shaken' && does === ''
  return more.length === 0 && of !== '' && (OF[kind]?.includes(does) ?? false)
}

/** The thing it is about, as "/batches/…"; "/today" for several. */
export function thingOf(path: string): string {
  const [kind = '', of = ''] = parts(path)
  return kind === 'today' ? '/today' : `/${kind}/${of}`
}

/** The house it is of. */
export const houseOf = (path: string): string => path.split('/')[2] ?? ''

/** Where a note about the same thing is written; null where it has no logbook of its own. */
export function notesOf(path: string): string | null {
  const [kind = ''] = parts(path)
  return kind === 'batches' || kind === 'boils' || kind === 'makings'
    ? `/houses/${houseOf(path)}${thingOf(path)}/notes`
    : null
}

/** The page of the thing in the interface. */
export function pageOf(path: string): string {
  const [kind = '', of = ''] = parts(path)
  const page = { batches: `batch/${of}`, boils: `stove/boil/${of}`, makings: `making/${of}`, stove: `stove/${of}` }[
    kind
  ]
  return `/h/${houseOf(path)}/${page ?? 'today'}`
}

/** What has a form of its own, into which it is put back. */
const RIGHTED = ['strain', 'marks', 'warmth', 'weigh', 'steps', 'stir', 'spoon', 'reading']

/** The page with the form it was written in, where it can be put right; null where it has none. */
export function formOf(path: string): string | null {
  const [, of = '', does = ''] = parts(path)
  if (!RIGHTED.includes(does)) return null
  return does === 'strain' ? `/h/${houseOf(path)}/press/${of}` : pageOf(path)
}

/** A step of a product that was done here, and is not in the house yet. What follows a spoon that was not right is the house's to say. */
export function unsentStep(all: Unsent[], step: string): Unsent | undefined {
  return all.findLast((each) => {
    const body = JSON.parse(each.body) as { step?: string; part?: string; verdict?: string }
    const does = each.path.slice(each.path.lastIndexOf('/') + 1)
    if (each.refused !== undefined) return false
    return (
      { steps: body.step, weigh: `weigh.${body.part}`, spoon: body.verdict === 'right' ? 'spoon' : '' }[does] === step
    )
  })
}

/** A step of a batch that was done here, and is not in the house yet. */
export function unsentTask(all: Unsent[], task: { batch: string; key: string; step: string }): Unsent | undefined {
  return all.findLast((each) => {
    const body = JSON.parse(each.body) as { task?: string; batches?: string[] }
    return each.path.endsWith(`/batches/${task.batch}/tasks`)
      ? body.task === task.key
      : task.step === 'shake' && each.path.endsWith('/today/shaken') && body.batches?.includes(task.batch)
  })
}
