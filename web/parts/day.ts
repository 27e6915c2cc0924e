const WORDS = new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })

/** A day as the core says it, "Saturday 12 December", where what was typed is said again; what is no day stays as it is. */
export function dayText(day: string): string {
  const at = /^\d{4}-\d\d-\d\d$/.test(day) ? new Date(`${day}T00:00:00Z`) : null
  if (!at || Number.isNaN(at.getTime())) return day
  const parts = Object.fromEntries(WORDS.formatToParts(at).map(({ type, value }) => [type, value]))
  return [parts.weekday, parts.day, parts.month].join(' ')
}
