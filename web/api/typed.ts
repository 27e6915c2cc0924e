import type { paths } from './schema'

// What an address answers, read off docs/openapi.json by the compiler: nobody says it at the call, and an address that
// is not there is an error.

type Segments<P extends string> = P extends `${infer Before}?${string}`
  ? Segments<Before>
  : P extends `${infer First}/${infer Rest}`
    ? [First, ...Segments<Rest>]
    : [P]

/** Whether an address, segment by segment, is one of a path with its {names}. */
type Fits<A extends string[], K extends string[]> = A extends [infer One extends string, ...infer Rest extends string[]]
  ? K extends [infer Of extends string, ...infer More extends string[]]
    ? Of extends `{${string}}`
      ? Fits<Rest, More>
      : One extends Of
        ? Fits<Rest, More>
        : false
    : false
  : K extends []
    ? true
    : false

type JsonOf<Op> = Op extends { responses: { 200: { content: { 'application/json': infer Json } } } } ? Json : undefined

type Verb = 'post' | 'put' | 'patch' | 'delete'

export type Answer<Method extends 'get' | Verb, Address extends string> = {
  [K in keyof paths]: Fits<Segments<Address>, Segments<K>> extends true
    ? paths[K] extends { [M in Method]: infer Op }
      ? JsonOf<Op>
      : never
    : never
}[keyof paths]

/** A write as the document has it, such as "PATCH /houses/{house}/lots/{lot}". */
export type Operation = {
  [K in keyof paths]: { [V in Verb]: paths[K] extends { [M in V]: object } ? `${Uppercase<V>} ${K}` : never }[Verb]
}[keyof paths]

type Filled<P extends string> = P extends `${infer Before}{${string}}${infer After}`
  ? `${Before}${string}${Filled<After>}`
  : P

type Taken<Op> = Op extends { requestBody: { content: { 'application/json': infer Body } } } ? Body : undefined

/** A form's fields by name; which words one of them takes is the server's to say, in a sentence. */
type Loose<T> = T extends string
  ? string
  : T extends number
    ? number
    : T extends (infer Each)[]
      ? Loose<Each>[]
      : T extends object
        ? string extends keyof T
          ? object
          : { [K in keyof T]: object extends Pick<T, K> ? Loose<T[K]> | undefined : Loose<T[K]> }
        : T

type Described<Op extends Operation> = Op extends `${infer M} ${infer K}`
  ? K extends keyof paths
    ? paths[K] extends { [V in Lowercase<M>]: infer Found }
      ? Found
      : never
    : never
  : never

export type AnswerTo<Op extends Operation> = Op extends Operation ? JsonOf<Described<Op>> : never

/** What is sent for a write: POST where no method is said, to its address, with what its form takes. */
export type WriteOf<Op extends Operation> = Op extends `${infer M} ${infer K}`
  ? (M extends 'POST' ? { method?: 'POST' } : { method: M }) & {
      path: Filled<K>
      body?: Loose<Taken<Described<Op>>>
      raw?: string
      /** What it is, for a person to read: then it may wait on this machine for a network. */
      says?: string
      /** When it was done, by this machine's clock, ms; not said, it is done now. */
      doneAt?: number | undefined
    }
  : never
