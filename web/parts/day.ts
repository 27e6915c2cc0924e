const WORDS = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })

/** A day as the core says it, "Saturday 12 December", where what was typed is said again; what is no day stays as it is. */
export function dayText(day: string): string {
  const at = /^\d{4}-\d\d-\d\d$/.test(day) ? new Date(`${day}T00:00:00Z`) : null
  if (!at || Number.isNaN(at.getTime())) return day
  const parts = Object.fromEntries(WORDS.formatToParts(at).map(({ type, value }) => [type, value]))
  return [parts.weekday, parts.day, parts.month].join(' ')
}

/** "7", "730", "7:30", "7 am" as "07:00" or "07:30", "10.30pm" as "22:30"; what is no time stands as it was typed. */
export function asTime(typed: string): string {
  const read = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(?:([ap])\.?m\.?)?\s*$/i.exec(typed)
  if (!read) return typed
  const [, hours = '', minutes = '00', half] = read
  if (half && !/^0?[1-9]$|^1[0-2]$/.test(hours)) return typed
  const hour = half ? (Number(hours) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(hours)
  return `${String(hour).padStart(2, '0')}:${minutes}`
}
