import { useEffect, useRef, useState } from 'react'
import { Button } from '../parts/Button'
import { sound } from './sound'

const KEPT = 'kettle.bell'

type Alarm = { id: string; rank: string; says: string }

/**
 * An alarm that is heard with the page behind others: a sound, a buzz, and a notice where they were allowed. Off until somebody
 * turns it on, for a browser is mute until it is pressed, and asks before it shows a notice.
 */
export function Bell({ title, alarms }: { title: string; alarms: readonly Alarm[] }) {
  const [on, setOn] = useState(() => localStorage.getItem(KEPT) === 'on')
  const told = useRef<Set<string> | null>(null)
  useEffect(() => {
    const loud = alarms.filter((each) => each.rank === 'stop' || each.rank === 'care')
    const before = told.current
    told.current = new Set(loud.map((each) => each.id))
    // What stood there when the page was opened is seen by who opened it.
    const fresh = before === null ? [] : loud.filter((each) => !before.has(each.id))
    if (!on || fresh.length === 0) return
    sound()
    if ('Notification' in window && Notification.permission === 'granted') {
      // By the worker, for a phone shows none but by it.
      for (const each of fresh) {
        void navigator.serviceWorker?.getRegistration().then((worker) => {
          const say = { body: each.says, tag: each.id, icon: '/icon-192.png' }
          void worker?.showNotification(title, say)
        })
      }
    }
  }, [alarms, on, title])
  const turn = async () => {
    localStorage.setItem(KEPT, on ? 'off' : 'on')
    setOn(!on)
    if (!on) {
      sound()
      if ('Notification' in window && Notification.permission === 'default') await Notification.requestPermission()
    }
  }
  return (
    <section className="no-print flex flex-wrap items-center gap-3" aria-label="Alarms that are heard">
      <span className="text-soft">
        {on ? 'Alarms sound here, also with this page behind others.' : 'Alarms are shown here, without a sound.'}
      </span>
      <Button onClick={() => void turn()} aria-pressed={on}>
        {on ? 'Turn the sound off' : 'Let alarms sound'}
      </Button>
      {on ? <Button onClick={sound}>Sound it now</Button> : null}
    </section>
  )
}
