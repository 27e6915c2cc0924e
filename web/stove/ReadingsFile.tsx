import { useHouseId, useWrite } from '../api/hooks'
import { TakenFromCsv } from '../parts/TakenFromCsv'

/** A thermometer's own log as CSV. */
export function ReadingsFile({ session }: { session: string }) {
  const house = useHouseId()
  const write = useWrite<'POST /houses/{house}/stove/{session}/csv'>()
  return (
    <TakenFromCsv
      summary="Readings from a file"
      label="CSV with a time and a temperature in each line; times without a zone are by the house’s clock"
      what={['reading', 'readings']}
      taken={write.data}
      error={write.error}
      busy={write.isPending}
      send={(csv, go) => write.mutate({ path: `/houses/${house}/stove/${session}/csv`, body: { csv, do: go } })}
    />
  )
}
