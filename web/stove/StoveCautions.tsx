import { useOfHouse } from '../api/hooks'
import { CautionLine } from '../parts/Cautions'
import { Trouble } from '../parts/Notice'

/** What to heed with these jars, before the pot is switched on and while it is. */
export function StoveCautions({ batches }: { batches: string[] }) {
  const asked = [...batches].sort().join(',')
  const list = useOfHouse(`/cautions?batches=${asked}`, {
    stale: 600_000,
    enabled: asked !== '',
  })
  // Nothing shown would say that there is nothing to heed.
  if (list.error) return <Trouble problem={list.error} />
  if (!list.data || list.data.cautions.length === 0) return null
  return (
    <div className="flex flex-col gap-2">
      {list.data.cautions.map((caution) => (
        <CautionLine key={caution.id + caution.says} caution={caution} />
      ))}
    </div>
  )
}
