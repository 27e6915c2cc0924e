/** Bottles side by side at one scale: a bottle of eight times the oil is twice as high. */
export function BottleRow({ bottles }: { bottles: { capacity: number; count: number }[] }) {
  const all = bottles.flatMap(({ capacity, count }) => Array.from({ length: Math.min(count, 40) }, () => capacity))
  if (all.length === 0) return null
  const side = (ml: number) => 9 * Math.cbrt(ml)
  const high = Math.max(...all.map(side)) * 1.5
  const starts = all.map((_, i) => all.slice(0, i).reduce((x, ml) => x + side(ml) + 5, 2))
  const wide = all.reduce((x, ml) => x + side(ml) + 5, 2)
  return (
    <svg viewBox={`0 0 ${Math.max(360, wide)} ${high + 4}`} className="max-h-28 w-full" aria-hidden>
      {all.map((ml, i) => {
        const [w, h] = [side(ml), side(ml) * 1.5]
        return (
          <g
            key={starts[i]}
            transform={`translate(${starts[i]} ${high - h + 2})`}
            stroke="var(--rim)"
            strokeWidth={1.5}
          >
            <rect x={w * 0.34} y={0} width={w * 0.32} height={h * 0.2} fill="var(--glass)" />
            <rect x={0} y={h * 0.18} width={w} height={h * 0.82} rx={3} fill="var(--oil-pale)" />
          </g>
        )
      })}
    </svg>
  )
}
