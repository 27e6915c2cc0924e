type Line = { line: string; as: string; says: string; guess: boolean }

/** What was made of each line of a recipe, every guess marked. */
export function ReadLines({ lines, as }: { lines: Line[]; as: Record<string, string> }) {
  return (
    <ul>
      {lines.map((line, index) => (
        <li key={`${line.line}-${index}`} className="border-line border-b py-2">
          <q>{line.line}</q>
          <span className="block">
            <strong>{as[line.as] ?? line.as}</strong>
            {line.guess ? <strong className="border-oil ms-2 border-b-2 border-dashed">a guess</strong> : null}{' '}
            {line.says}
          </span>
        </li>
      ))}
    </ul>
  )
}
