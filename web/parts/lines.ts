/** The lines of a text less some, each of them once; of two alike one stays. */
export function without(text: string, lines: string[]): string {
  const left = text.split('\n')
  for (const line of lines) {
    const at = left.findIndex((each) => each.trim() === line)
    if (at >= 0) left.splice(at, 1)
  }
  return left.join('\n').trim()
}
