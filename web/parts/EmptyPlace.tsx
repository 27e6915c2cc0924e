import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useOfHouse } from '../api/hooks'
import { ButtonLink } from './Button'

/** A place with nothing in it yet: in its own drawing what will stand there, and the one thing to do. */
export function EmptyPlace({
  title,
  says,
  action,
  to,
  also,
  children,
}: {
  title: string
  says: string
  action: string
  to: string
  /** Other ways to begin. */
  also?: { name: string; to: string }[]
  children: ReactNode
}) {
  return (
    <div className="flex flex-col gap-6">
      <h1 className="text-4xl">{title}</h1>
      {children}
      <p className="max-w-prose text-lg">{says}</p>
      <ButtonLink look="strong" to={to} className="self-start">
        {action}
      </ButtonLink>
      {also?.map((way) => (
        <Link key={way.to} to={way.to} className="flex min-h-11 items-center self-start font-semibold underline">
          {way.name}
        </Link>
      ))}
    </div>
  )
}

/** The house's own jars in outline on the board, to one scale: as large as what will stand there. */
export function EmptyBoard({ cloth = false }: { cloth?: boolean }) {
  const house = useOfHouse('')
  const jars = (house.data?.jars ?? []).filter((jar) => jar.kind === 'jar' && jar.height_mm < 180).slice(-4)
  if (jars.length === 0) return null
  const scale = 1.3
  const foot = Math.max(...jars.map((jar) => jar.height_mm)) * scale + (cloth ? 44 : 6)
  const places = jars.map((jar) => jar.diameter_mm * scale + 60)
  const placed = jars.map((jar, index) => ({
    jar,
    at: 10 + places.slice(0, index).reduce((sum, each) => sum + each, 0),
    wide: jar.diameter_mm * scale,
    brim: foot - jar.height_mm * scale,
  }))
  const x = 10 + places.reduce((sum, each) => sum + each, 0)
  return (
    <svg
      viewBox={`0 0 ${x} ${foot + 34}`}
      style={{ maxWidth: x }}
      className="w-full"
      role="img"
      aria-label={`Room for ${jars.map((jar) => `a ${jar.called}`).join(', ')}`}
    >
      {placed.map(({ jar, at, wide, brim }) => (
        <g key={jar.id}>
          <rect
            x={at}
            y={brim}
            width={wide}
            height={jar.height_mm * scale}
            rx={7}
            fill="none"
            stroke="var(--soft)"
            strokeWidth={2}
            strokeDasharray="7 6"
          />
          {cloth ? (
            <path
              d={`M${at - 8} ${brim - 8} Q${at + wide / 2} ${brim + 46} ${at + wide + 8} ${brim - 8}`}
              fill="var(--herb-pale)"
              stroke="var(--herb)"
              strokeWidth={2}
            />
          ) : null}
          <text x={at + wide / 2} y={foot + 26} textAnchor="middle" fontSize={15} fill="var(--soft)">
            {jar.called}
          </text>
        </g>
      ))}
      <line x1={0} x2={x} y1={foot + 2} y2={foot + 2} stroke="var(--rim)" strokeWidth={5} />
    </svg>
  )
}
