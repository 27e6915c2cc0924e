import { expectTypeOf, test } from 'vitest'
import type { Schemas } from '../../web/api/client'
import type { Answer, AnswerTo, WriteOf } from '../../web/api/typed'

// Checked by the compiler: what an address answers is what docs/openapi.json says of it, and nothing else is an address.

test('an address is known by its segments, whatever stands for a name or behind a question mark', () => {
  expectTypeOf<Answer<'get', '/me'>>().toEqualTypeOf<Schemas['Me']>()
  expectTypeOf<Answer<'get', `/houses/${string}/batches/${string}`>>().toEqualTypeOf<Schemas['BatchView']>()
  expectTypeOf<Answer<'get', `/houses/${string}/batches/${string}/label`>>().toEqualTypeOf<Schemas['LabelPage']>()
  expectTypeOf<Answer<'get', `/houses/${string}/yields/one?form=${string}&way=${string}`>>().toEqualTypeOf<
    Schemas['YieldView']
  >()
  expectTypeOf<Answer<'post', `/houses/${string}/reckon`>>().toEqualTypeOf<Schemas['Plan']>()
})

test('an address that is not there, or not for that, answers nothing that could be used', () => {
  expectTypeOf<Answer<'get', `/houses/${string}/batch/${string}`>>().toBeNever()
  expectTypeOf<Answer<'get', `/houses/${string}/reckon`>>().toBeNever()
  expectTypeOf<Answer<'get', `/houses/${string}/batches/${string}/label/more`>>().toBeNever()
})

test('a write is its verb, its address and the fields of its form', () => {
  type Count = WriteOf<'POST /houses/{house}/lots/{lot}/count'>
  expectTypeOf<{ path: '/houses/a/lots/b/count'; body: { amount: string } }>().toExtend<Count>()
  expectTypeOf<{ path: '/houses/a/lots/b'; body: { amount: string } }>().not.toExtend<Count>()
  expectTypeOf<{ path: '/houses/a/lots/b/count'; body: { weight: string } }>().not.toExtend<Count>()
  expectTypeOf<{ path: '/houses/a/lots/b'; body: { version: number; lot: object } }>().not.toExtend<
    WriteOf<'PATCH /houses/{house}/lots/{lot}'>
  >()
  expectTypeOf<AnswerTo<'PATCH /me'>>().toEqualTypeOf<Schemas['Me']>()
  expectTypeOf<AnswerTo<'DELETE /session'>>().toBeUndefined()
})
