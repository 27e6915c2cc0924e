import { useOfHouse } from '../api/hooks'
import { CautionLine } from '../parts/Cautions'

/** What to heed with these jars, before the pot is switched on and while it is. */
export function StoveCautions({ batches }: { batches: string[] }) {
  const asked = [...batches].sort().join(',')
  const list = useOfHouse(`/cautions?batches=${asked}`, {
    stale: 600_000,
    enabled: asked !== '',
  })
  if (!list.data || list.data.cautions.length === 0) return null
  return (
    <div className="flex flex-col gap-2">
      {list.data.cautions.map((caution) => (
        <CautionLine key={caution.id + caution.says} caution={caution} />
      ))}
    </div>
  )
}
