import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync } from 'node:fs'
import { createServer, request as forward, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, test } from '@playwright/test'
import { Problem } from '../../web/api/client'
import { OpenWrites, sendingAgain } from '../../web/api/once'
import { ALONE, ownHouse, token } from './support'

/** Numbers that are the same each time: a linear congruential generator, Numerical Recipes. */
function chance(seed: number): () => number {
  let state = seed
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32
}

/** Between a client and the kettle: loses questions before they are asked, and answers after. */
async function lossy(to: URL, lose: () => 'question' | 'answer' | 'half' | null): Promise<Server> {
  const server = createServer((question, answer) => {
    const fate = lose()
    if (fate === 'question') return void question.socket.destroy()
    const passed = forward(
      {
        host: to.hostname,
        port: to.port,
        path: question.url,
        method: question.method,
        headers: { ...question.headers, host: to.host },
      },
      (got) => {
        const parts: Buffer[] = []
        got.on('data', (part: Buffer) => parts.push(part))
        got.on('end', () => {
          if (fate === 'answer') return void question.socket.destroy()
          const whole = Buffer.concat(parts)
          answer.writeHead(got.statusCode ?? 502, got.headers)
          if (fate === 'half') {
            answer.write(whole.subarray(0, whole.length / 2))
            return void setTimeout(() => question.socket.destroy(), 5)
          }
          answer.end(whole)
        })
      },
    )
    passed.on('error', () => question.socket.destroy())
    question.pipe(passed)
  })
  await new Promise<void>((up) => server.listen(0, '127.0.0.1', up))
  return server
}

/** Kills one of the workers, as a fault in PHP would. */
function killAWorker(pick: number) {
  const master = readFileSync(`${process.env.KETTLE_VAR}/run/fpm.pid`, 'utf8').trim()
  const workers = execFileSync('sh', ['-c', `pgrep -P ${master} || pgrep -f 'php-fpm: pool kettle'`])
    .toString()
    .trim()
    .split('\n')
  const pid = workers[Math.floor(pick * workers.length)]
  if (pid) execFileSync('sh', ['-c', `kill -9 ${pid} || true`])
}

for (const kind of ['answers are lost', 'workers are killed'] as const) {
  const company = kind === 'workers are killed' ? ALONE : {}
  test(`three hundred writes are done once each while ${kind}`, company, async ({ page, context, baseURL }) => {
    test.setTimeout(240_000)
    const base = new URL((await ownHouse(page, 'Ola')).replace('/h/', '/api/houses/'))
    const cookies = await context.cookies()
    const xsrf = await token(page)
    const headers = {
      cookie: cookies.map((each) => `${each.name}=${each.value}`).join('; '),
      'X-XSRF-TOKEN': xsrf,
      Accept: 'application/json',
      'Content-Type': 'application/json',
    }
    const random = chance(2411)
    const log = `${process.env.KETTLE_VAR}/storage/logs/laravel.log`
    const logged = () => (existsSync(log) ? readFileSync(log, 'utf8') : '')
    const loggedBefore = logged().length
    const lost = { question: 0, answer: 0, half: 0 }
    const lose = () => {
      const at = kind === 'workers are killed' ? 1 : random()
      const fate = at < 0.12 ? 'question' : at < 0.32 ? 'answer' : at < 0.4 ? 'half' : null
      if (fate) lost[fate] += 1
      return fate
    }
    const proxy = await lossy(new URL(baseURL ?? ''), lose)
    const via = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}${base.pathname}`
    const open = new OpenWrites()
    let repeated = 0
    /** As the interface writes: the same key until an answer is final, sent again by the same rule. */
    const write = async (method: string, path: string, body: unknown) => {
      const what = `${method} ${path} ${JSON.stringify(body)}`
      for (let failures = 0; ; failures++) {
        let problem: Problem
        try {
          const answer = await fetch(via + path, {
            method,
            headers: { ...headers, 'Idempotency-Key': open.keyFor(what) },
            body: JSON.stringify(body),
          })
          const text = await answer.text()
          if (answer.headers.has('Idempotent-Replay')) repeated += 1
          if (answer.ok) {
            // An answer cut short is no answer: the key is let go only after it was read whole.
            const read = JSON.parse(text)
            open.answered(what)
            return read
          }
          problem = new Problem(answer.status, text, [], answer.status >= 500 || answer.headers.has('Retry-After'))
        } catch (thrown) {
          problem = thrown instanceof Problem ? thrown : new Problem(0, String(thrown))
        }
        open.answered(what, problem)
        // The interface gives up after some tries and the person presses again, which is the same write.
        if (!problem.again) throw problem
        expect(sendingAgain.retry(failures % 5, problem)).toBe(true)
        await new Promise((soon) => setTimeout(soon, Math.min(sendingAgain.retryDelay(failures), 200)))
      }
    }
    const read = async (path: string) => (await fetch(base.href + path, { headers })).json()
    const killing = { on: kind === 'workers are killed' }
    const killer = (async () => {
      while (killing.on) {
        killAWorker(random())
        await new Promise((soon) => setTimeout(soon, 350))
      }
    })()
    try {
      const wish = { herb: { id: 'calendula', amount: '40 g' }, oils: ['sunflower'], method: 'cold' }
      const batch = (await write('POST', '/batches', { wish, origin: 'first' })).id as string
      await write('POST', `/batches/${batch}/tasks`, { task: 'fill', outcome: 'done' })
      const wrote: Record<string, number> = {
        note: 0,
        batch: 1,
        jar: 0,
        bottle: 0,
        lot: 0,
        absence: 0,
        recipe: 0,
        shake: 0,
        count: 0,
      }
      const before = await read('')
      const lot = (await write('POST', '/lots', { lot: { kind: 'herb', material: 'calendula', amount: '900 g' } })).lot
        .id as string
      const one = async (i: number) => {
        const which = ['note', 'jar', 'bottle', 'lot', 'absence', 'recipe', 'batch', 'shake', 'count'][i % 9] as string
        const day = new Date(Date.UTC(2027, 0, 1 + i)).toISOString().slice(0, 10)
        // It is strained on 22 December.
        const soon = `2026-12-${String(1 + (i % 20)).padStart(2, '0')}`
        wrote[which] = (wrote[which] ?? 0) + 1
        const writes: Record<string, () => Promise<unknown>> = {
          note: () => write('POST', `/batches/${batch}/notes`, { note: `note ${i}` }),
          jar: () => write('POST', '/jars', { called: `jar ${i}`, brim: '500 mL', height: '150 mm' }),
          bottle: () => write('POST', '/bottles', { called: `bottle ${i}`, capacity: `${20 + i} mL` }),
          lot: () =>
            write('POST', '/lots', {
              lot: { kind: 'herb', called: `herb ${i}`, material: `herb ${i}`, amount: '50 g' },
            }),
          absence: () => write('POST', '/absences', { from: day, to: day, called: `away ${i}` }),
          recipe: () => write('POST', '/recipes', { name: `recipe ${i}`, wish }),
          batch: () => write('POST', '/batches', { wish, origin: `place ${i}` }),
          shake: () => write('POST', `/batches/${batch}/tasks`, { task: 'shake', outcome: 'later', until: soon }),
          count: () => write('POST', `/lots/${lot}/count`, { amount: `${900 - i} g` }),
        }
        await writes[which]?.()
      }
      // As of four people at once, each of whom waits for an answer before the next.
      let next = 0
      const person = async () => {
        while (next < 297) await one(next++)
      }
      await Promise.all([person(), person(), person(), person()])
      killing.on = false
      await killer
      const after = await read('')
      const logbook = (await read(`/batches/${batch}`)).entries as { kind: string; note: string | null }[]
      expect(logbook.filter((line) => line.kind === 'note')).toHaveLength(wrote.note ?? 0)
      expect(logbook.filter((line) => line.kind === 'task')).toHaveLength(1 + (wrote.shake ?? 0))
      expect(after.jars.length - before.jars.length).toBe(wrote.jar)
      expect(after.bottles.length - before.bottles.length).toBe(wrote.bottle)
      expect((await read('/diary')).absences).toHaveLength(wrote.absence ?? 0)
      expect((await read('/recipes')).recipes).toHaveLength(wrote.recipe ?? 0)
      const exported = await read('/export')
      const origins = exported.batches.map((each: { origin: string }) => each.origin)
      expect(origins.filter((each: string, at: number) => origins.indexOf(each) !== at)).toEqual([])
      expect(origins).toHaveLength(wrote.batch ?? 0)
      expect(exported.lots).toHaveLength(1 + (wrote.lot ?? 0))
      // Four who write at once wait for one another in one order, so that none has to be undone for another.
      expect(logged().slice(loggedBefore)).not.toContain('Deadlock found')
      if (kind === 'answers are lost') {
        expect(lost.answer + lost.half).toBeGreaterThan(60)
        expect(repeated).toBeGreaterThan(60)
      }
    } finally {
      killing.on = false
      proxy.close()
    }
  })
}

test('the interface says that it tries again, and writes once', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/bench')
  let lostAnswers = 2
  await page.route('**/batches', async (route) => {
    if (route.request().method() !== 'POST' || lostAnswers === 0) return route.continue()
    lostAnswers -= 1
    await route.fetch()
    return route.abort()
  })
  await page.getByRole('button', { name: 'Start this batch' }).click()
  await expect(page.getByText('It is being tried again by itself')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  await page.goto(house + '/shelf')
  await expect(page.getByRole('link', { name: /^Calendula/ })).toHaveCount(1)
})
