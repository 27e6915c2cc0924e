/** "today at 14:02", or the day with its hour: a moment of this machine, by its own clock. */
export function asOf(moment: Date): string {
  const clock = moment.toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
  return moment.toDateString() === new Date().toDateString()
    ? `today at ${clock}`
    : `on ${moment.toLocaleDateString(undefined, { day: 'numeric', month: 'long' })} at ${clock}`
}
