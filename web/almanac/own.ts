import type { Shape } from '../api/hooks'

export type OwnKind = 'plant' | 'oil' | 'wax' | 'scent' | 'measure' | 'school'

/** A thing of the house's own as it is typed: numbers and names as text, lists with what was ticked, null where nobody has said. */
export type OwnTyped = {
  kind: OwnKind
  name: string
  concerns?: string[] | null
  /** Of one that is there already: put away, and no longer offered. */
  away?: boolean
  [field: string]: string | string[] | boolean | null | undefined
}

export const OF: Record<OwnKind, string> = {
  plant: 'plant',
  oil: 'oil or fat',
  wax: 'wax or butter',
  scent: 'essential oil',
  measure: 'measure',
  school: 'school',
}

export function isOwnKind(kind: string): kind is OwnKind {
  return kind in OF
}

/** What is sent of it: what was left empty is not said, and is no empty word. */
export function toSend(typed: OwnTyped): Shape<'Own'> {
  const own: Record<string, unknown> = {}
  for (const [field, value] of Object.entries(typed)) {
    if (value !== '' && value !== undefined) own[field] = value
  }
  return { name: '', ...own } as Shape<'Own'>
}

/** What was kept, as it would be typed. */
export function asTyped(own: Shape<'Own'>): OwnTyped {
  const typed: OwnTyped = { kind: own.kind, name: own.name }
  for (const [field, value] of Object.entries(own)) {
    if (field === 'id' || field === 'away') continue
    if (field === 'concerns') typed.concerns = (value as string[] | null) ?? null
    else if (field === 'fatty_acids')
      typed.fatty_acids = Object.entries((value as Record<string, number> | null) ?? {})
        .map(([acid, percent]) => `${acid} ${percent}`)
        .join(', ')
    else if (Array.isArray(value))
      typed[field] = value.length === 0 && field === 'allergens' ? 'none' : value.join(', ')
    else typed[field] = value === null || value === undefined ? '' : String(value)
  }
  return typed
}
