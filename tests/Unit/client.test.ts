import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Problem, problemOf, send, sendForFile } from '../../web/api/client'

const answer = (status: number, body: unknown, headers: Record<string, string> = {}) =>
  new Response(body === undefined ? null : JSON.stringify(body), { status, headers })

beforeEach(() => {
  vi.stubGlobal('document', { cookie: 'a=1; XSRF-TOKEN=so%3Dme; b=2' })
})

describe('what is sent', () => {
  it('carries the page’s token and a key when it writes, and neither when it reads', async () => {
    const fetched = vi.fn<typeof fetch>(async () => answer(200, { fine: true }))
    vi.stubGlobal('fetch', fetched)
    await expect(send('POST', '/x', { body: { a: 1 }, key: 'k' })).resolves.toEqual({ fine: true })
    const [address, init] = fetched.mock.calls[0] ?? []
    expect(address).toBe('/api/x')
    expect(init?.headers).toMatchObject({ 'X-XSRF-TOKEN': 'so=me', 'Idempotency-Key': 'k' })
    expect(init?.body).toBe('{"a":1}')
    await send('GET', '/x')
    const headers = fetched.mock.calls[1]?.[1]?.headers as Record<string, string>
    expect(Object.keys(headers)).toEqual(['Accept'])
  })

  it('is still sent when the page is left, while it is small', async () => {
    const fetched = vi.fn<typeof fetch>(async () => answer(200, {}))
    vi.stubGlobal('fetch', fetched)
    await send('POST', '/x', { raw: 'a'.repeat(29_999) })
    await send('POST', '/x', { raw: 'a'.repeat(30_000) })
    await send('GET', '/x')
    expect(fetched.mock.calls.map(([, init]) => init?.keepalive)).toEqual([true, false, false])
  })

  it('answers nothing for nothing, and gives a file as it is', async () => {
    vi.stubGlobal('fetch', async () => answer(204, undefined))
    await expect(send('DELETE', '/x')).resolves.toBeUndefined()
    vi.stubGlobal('fetch', async () => new Response('%PDF'))
    await expect((await sendForFile('/card.pdf', {})).text()).resolves.toBe('%PDF')
  })
})

describe('what goes wrong', () => {
  it('is open when nothing was heard, or the answer broke off', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')))
    await expect(send('POST', '/x')).rejects.toMatchObject({ status: 0, again: true })
    await expect(sendForFile('/x', {})).rejects.toMatchObject({ status: 0, again: true })
    vi.stubGlobal('fetch', async () => new Response('{"half', { status: 200 }))
    await expect(send('POST', '/x')).rejects.toMatchObject({ status: 0, again: true })
  })

  it('is no problem of the kettle’s when it was called off', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new DOMException('off', 'AbortError')))
    await expect(send('GET', '/x')).rejects.toBeInstanceOf(DOMException)
  })

  it.each([
    [422, {}, false],
    [409, {}, false],
    [409, { 'Retry-After': '1' }, true],
    [500, {}, true],
    [503, {}, true],
  ])('%i is final or open (%o)', async (status, headers, again) => {
    const problem = await problemOf(answer(status, { detail: 'A sentence.', faults: [] }, headers))
    expect(problem).toMatchObject({ status, message: 'A sentence.', again })
  })

  it('says a sentence also where the answer has none', async () => {
    const problem = await problemOf(new Response('<html>', { status: 502 }))
    expect(problem).toMatchObject({ status: 502, again: true })
    expect(problem.message).toMatch(/could not be read/)
  })

  it('finds what was said of a field, or of a part of it', () => {
    const problem = new Problem(422, 'no', [
      { field: 'oils.0.parts', reason: 'x', sentence: 'Of a part.' },
      { field: 'jar', reason: 'x', sentence: 'Of the jar.' },
    ])
    expect(problem.about('oils')).toBe('Of a part.')
    expect(problem.about('jar')).toBe('Of the jar.')
    expect(problem.about('ja')).toBeUndefined()
  })
})
