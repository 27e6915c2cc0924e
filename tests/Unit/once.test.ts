import { describe, expect, it } from 'vitest'
import { Problem } from '../../web/api/client'
import { OpenWrites, sendingAgain } from '../../web/api/once'

describe('a write whose answer is lost', () => {
  it('is sent under one key until its answer is final, and under another after', () => {
    const open = new OpenWrites()
    const key = open.keyFor('POST /batches {}')
    expect(key).toMatch(/^[0-9a-f]{32}$/)
    expect(open.keyFor('POST /batches {}')).toBe(key)
    open.answered('POST /batches {}', new Problem(0, 'lost'))
    open.answered('POST /batches {}', new Problem(503, 'busy'))
    expect(open.keyFor('POST /batches {}')).toBe(key)
    // Refused is an answer: the same pressed again is meant anew.
    open.answered('POST /batches {}', new Problem(422, 'no'))
    expect(open.keyFor('POST /batches {}')).not.toBe(key)
  })

  it('has a key of its own for whatever else is written meanwhile', () => {
    const open = new OpenWrites()
    expect(open.keyFor('a')).not.toBe(open.keyFor('b'))
    open.answered('a')
    const b = open.keyFor('b')
    expect(open.keyFor('b')).toBe(b)
  })

  it('is forgotten after ten minutes, to the millisecond', () => {
    const open = new OpenWrites()
    const key = open.keyFor('a', 1_000)
    expect(open.keyFor('a', 1_000 + 599_999)).toBe(key)
    expect(open.keyFor('a', 1_000 + 600_000)).not.toBe(key)
  })

  it('is sent again four times and no more, each time after a longer while, and only while it is open', () => {
    const lost = new Problem(0, 'lost')
    expect([0, 1, 4].map((failures) => sendingAgain.retry(failures, lost))).toEqual([true, true, true])
    expect(sendingAgain.retry(5, lost)).toBe(false)
    expect(sendingAgain.retry(0, new Problem(422, 'no'))).toBe(false)
    expect([0, 1, 2, 3, 4, 9].map(sendingAgain.retryDelay)).toEqual([300, 600, 1200, 2400, 4800, 8000])
  })
})
