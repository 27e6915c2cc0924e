import { execFileSync } from 'node:child_process'
import { connect, type Socket } from 'node:net'
import { expect, test } from '@playwright/test'
import { ALONE, ownHouse, token } from './support'

const RULES = [
  'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
  'FREQ=DAILY;BYHOUR=25',
  'FREQ=SECONDLY',
  'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29;BYDAY=5MO',
]

function calendar(rule: string): string {
  return [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//t//t//EN',
    'BEGIN:VEVENT',
    'UID:a',
    'DTSTAMP:20261124T100000Z',
    'DTSTART:20261124T100000Z',
    'DTEND:20261124T110000Z',
    `RRULE:${rule}`,
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n')
}

test(
  'clients that send half, read nothing or bring endless calendars hold up nobody',
  ALONE,
  async ({ page, context, baseURL }) => {
    const api = (await ownHouse(page)).replace('/h/', '/api/houses/')
    const cookies = await context.cookies()
    const cookie = cookies.map((each) => `${each.name}=${each.value}`).join('; ')
    const xsrf = await token(page)
    const { hostname, port, pathname } = new URL(api)
    const open: Socket[] = []
    const send = (text: string, reads = true) => {
      const socket = connect(Number(port), hostname, () => socket.write(text))
      socket.on('error', () => undefined)
      if (!reads) socket.pause()
      open.push(socket)
    }
    const head =
      `Host: ${hostname}:${port}\r\nCookie: ${cookie}\r\nX-XSRF-TOKEN: ${xsrf}\r\n` +
      'Accept: application/json\r\nContent-Type: application/json\r\n'
    for (let i = 0; i < 16; i++) {
      send('GET /api/me HTTP/1.1\r\nHost: ')
      send(
        `POST ${pathname}/batches HTTP/1.1\r\n${head}Idempotency-Key: half-a-write-${i}\r\nContent-Length: 5000\r\n\r\n{"wish":`,
      )
      send(`GET ${pathname}/materials HTTP/1.1\r\n${head}\r\n`, false)
    }
    const endless = RULES.concat(RULES, RULES, RULES).map((rule, i) =>
      fetch(`${api}/calendars`, {
        method: 'POST',
        headers: {
          cookie,
          'X-XSRF-TOKEN': xsrf,
          Accept: 'application/json',
          'Content-Type': 'application/json',
          'Idempotency-Key': `calendar-${i}-${Date.now()}`,
        },
        body: JSON.stringify({ called: `c${i}`, ics: calendar(rule) }),
      }),
    )
    expect(open.length + endless.length).toBe(64)
    const took: number[] = []
    for (let i = 0; i < 12; i++) {
      const begun = Date.now()
      const today = await fetch(`${api}/today`, { headers: { cookie, Accept: 'application/json' } })
      expect(today.status).toBe(200)
      took.push(Date.now() - begun)
      await new Promise((soon) => setTimeout(soon, 150))
    }
    took.sort((a, b) => a - b)
    expect(took[6]).toBeLessThan(1000)
    for (const answer of await Promise.all(endless)) {
      expect([200, 422]).toContain(answer.status)
      if (answer.status === 422) expect((await answer.json()).detail).toMatch(/there never is|so often|more than/)
    }
    for (const socket of open) socket.destroy()
    expect((await fetch(`${baseURL}/api/me`)).status).toBe(200)
  },
)

test('every part that is killed is there again soon, and stop leaves nothing', ALONE, async () => {
  test.setTimeout(240_000)
  const shell = (script: string) =>
    execFileSync(
      'bash',
      [
        '-c',
        `ROOT=${process.cwd()}; cd $ROOT; for part in say install instance binlog; do source bin/kettle.d/$part.sh; done; ` +
          `instance test; read_env; ${script}`,
      ],
      { encoding: 'utf8' },
    )
  // Time and again all of them at once, and each is up and answers within five seconds, by its own door where it has one.
  const slowest = shell(`
    worst=0
    for round in $(seq 1 6); do
      for p in $PARTS; do kill -9 "$(cat "$RUN/$p.pid")" 2>/dev/null; done
      begun=$(date +%s%N)
      for p in $PARTS; do
        for i in $(seq 1 200); do
          alive $p && case $p in mariadb|fpm|caddy|live) answers $p ;; *) true ;; esac && break
          sleep 0.05
        done
      done
      took=$((($(date +%s%N) - begun) / 1000000))
      [ $took -gt $worst ] && worst=$took
    done
    echo $worst`)
  expect(Number(slowest.trim().split('\n').pop())).toBeLessThan(5000)
  // No worker is left of a master that was killed: each has a living master for its parent, or is gone in a moment.
  const orphans = () =>
    shell(
      `for pool in $(pgrep -f "[p]hp-fpm: pool"); do
         parent=$(ps -o ppid= -p $pool | tr -d ' ')
         [ -z "$parent" ] || ps -o args= -p $parent | grep -q "php-fpm: master" || echo $pool
       done`,
    ).trim()
  await expect.poll(orphans, { timeout: 5000 }).toBe('')
})
