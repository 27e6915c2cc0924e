import type { Shape } from '../api/hooks'

/** How far somebody is with a made-up jar: which task is open, and what was said of each and how it was judged. */
export type Progress = {
  at: string
  done: Record<string, { answer: string; judged: Shape<'PracticeJudged'> }>
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null

/** From what this browser kept, of which anything may be left over from an older house: what is not of this jar is not taken. */
export function readProgress(kept: unknown, tasks: string[]): Progress {
  const { at, done } = isRecord(kept) ? kept : {}
  const there: Progress['done'] = {}
  for (const id of tasks) {
    const said = isRecord(done) ? done[id] : undefined
    if (!isRecord(said) || typeof said.answer !== 'string' || !isRecord(said.judged)) continue
    const { verdict, is, slip, why } = said.judged
    if (typeof verdict !== 'string' || typeof is !== 'string' || typeof slip !== 'string' || !Array.isArray(why))
      continue
    there[id] = { answer: said.answer, judged: said.judged as Shape<'PracticeJudged'> }
  }
  return { at: typeof at === 'string' && tasks.includes(at) ? at : (tasks[0] ?? ''), done: there }
}
