import { answered } from '../offline/known'
import type { components } from './schema'
import type { Answer } from './typed'

export type Schemas = components['schemas']
export type Fault = NonNullable<Schemas['Problem']['faults']>[number]

/** What the server said when it would not: a sentence, and which fields it was about. */
export class Problem extends Error {
  readonly status: number
  readonly faults: Fault[]
  /** The wish that was refused, in words, as far as it could be read. */
  sentence: Schemas['Problem']['sentence']
  /** Whether it is open what became of it, so that the same may be sent again. */
  readonly again: boolean

  constructor(status: number, sentence: string, faults: Fault[] = [], again = status === 0 || status >= 500) {
    super(sentence)
    this.status = status
    this.faults = faults
    this.again = again
  }

  /** The sentence about one field, if there is one. */
  about(field: string): string | undefined {
    return this.faults.find((fault) => fault.field === field || fault.field.startsWith(field + '.'))?.sentence
  }
}

/** Not refused and not done yet: written down on this machine, and sent when the kettle answers. */
export class WrittenHere extends Problem {
  constructor() {
    super(0, 'Written down on this device. It is sent when the kettle answers.', [], false)
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((part) => part.startsWith(name + '='))
  return found ? decodeURIComponent(found.slice(name.length + 1)) : ''
}

export function newKey(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) => byte.toString(16).padStart(2, '0')).join('')
}

export async function problemOf(response: Response): Promise<Problem> {
  try {
    const body = (await response.json()) as Schemas['Problem']
    const again = response.status >= 500 || (response.status === 409 && response.headers.has('Retry-After'))
    const problem = new Problem(response.status, body.detail, body.faults ?? [], again)
    problem.sentence = body.sentence
    return problem
  } catch {
    return new Problem(response.status, 'The kettle answered in a way that could not be read. Try again.')
  }
}

const TOKEN_IS_OLD = 419

type Send = {
  body?: unknown
  key?: string
  signal?: AbortSignal
  raw?: string
  /** How long ago it was done, s, where it could not be sent then. */
  agoS?: number
}

/**
 * Asks or writes. Where a page stood open for long, or a late answer put an older token back, the token is given anew and the same is
 * sent again: nothing was done, and what was typed need not be lost by a reload.
 */
export function send<T>(method: string, path: string, options: Send = {}): Promise<T> {
  const same = { ...options, key: options.key ?? newKey() }
  return withToken(() => sendOnce<T>(method, path, same))
}

async function withToken<T>(run: () => Promise<T>): Promise<T> {
  try {
    return await run()
  } catch (problem) {
    if (!(problem instanceof Problem) || problem.status !== TOKEN_IS_OLD) throw problem
    await sendOnce('GET', '/me').catch(() => {})
    return run()
  }
}

async function sendOnce<T>(method: string, path: string, { body, key, signal, raw, agoS }: Send = {}): Promise<T> {
  const headers: Record<string, string> = { Accept: 'application/json' }
  if (method !== 'GET') {
    headers['X-XSRF-TOKEN'] = cookie('XSRF-TOKEN')
    headers['Idempotency-Key'] = key ?? newKey()
    headers['Content-Type'] = 'application/json'
    if (agoS !== undefined) headers['Done-Ago'] = String(agoS)
  }
  const content = raw ?? (body === undefined ? null : JSON.stringify(body))
  let response: Response
  try {
    response = await fetch('/api' + path, {
      method,
      headers,
      body: content,
      signal: signal ?? null,
      credentials: 'same-origin',
      // What was pressed just before the page is left is still sent; only small bodies may be.
      keepalive: method !== 'GET' && (content?.length ?? 0) < 30_000,
    })
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    throw new Problem(0, 'The kettle cannot be reached. What you entered is kept; try again in a moment.')
  }
  answered(response.headers)
  if (!response.ok) throw await problemOf(response)
  try {
    return (response.status === 204 ? undefined : await response.json()) as T
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error
    // Done, and the answer lost on the way.
    throw new Problem(
      0,
      'The answer of the kettle was lost on the way. What you entered is kept; try again in a moment.',
    )
  }
}

export const get = <const P extends string>(path: P, signal?: AbortSignal) =>
  send<Answer<'get', P>>('GET', path, signal ? { signal } : {})

/** Asks something that takes more than an address to say; nothing is written. */
export const ask = <const P extends string>(path: P, body: unknown, signal?: AbortSignal) =>
  send<Answer<'post', P>>('POST', path, { body, ...(signal ? { signal } : {}) })

/** Asks for a file that is made from what is sent, such as a PDF of a wish. */
export const sendForFile = (path: string, body: unknown): Promise<Blob> => withToken(() => fileOnce(path, body))

async function fileOnce(path: string, body: unknown): Promise<Blob> {
  const response = await fetch('/api' + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': cookie('XSRF-TOKEN') },
    body: JSON.stringify(body),
    credentials: 'same-origin',
  }).catch(() => {
    throw new Problem(0, 'The kettle cannot be reached. What you entered is kept; try again in a moment.')
  })
  if (!response.ok) throw await problemOf(response)
  return response.blob()
}
