import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Problem, sendForFile, send } from '../api/client'
import { type Shape, useHouse, useHouseId } from '../api/hooks'
import { Button, ButtonLink } from '../parts/Button'
import { KitchenCard } from '../parts/KitchenCard'
import { Trouble, Waiting } from '../parts/Notice'
import { useDraftAsItIs } from './wish'

/** The kitchen card of the wish that lies on the bench. */
export default function Card() {
  const house = useHouseId()
  const settings = useHouse()
  const wish = useDraftAsItIs(house)
  const [trouble, setTrouble] = useState<Problem | null>(null)
  const plan = useQuery<Shape<'Plan'>, Problem>({
    queryKey: ['house', house, 'reckon', wish],
    queryFn: ({ signal }) => send('POST', `/houses/${house}/reckon`, { body: { wish }, signal }),
    retry: false,
  })
  const back = <ButtonLink to={`/h/${house}/bench`}>Back to the bench</ButtonLink>
  if (plan.isError)
    return (
      <div className="flex flex-col items-start gap-4">
        <Trouble problem={plan.error} />
        {back}
      </div>
    )
  if (!plan.data || !settings.data) return <Waiting what="the card" />
  const today = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: settings.data.time_zone }).format(
    new Date(plan.data.schedule.fill_at),
  )
  const pdf = () =>
    sendForFile(`/houses/${house}/card`, { wish }).then(
      (blob) => window.open(URL.createObjectURL(blob), '_blank', 'noreferrer'),
      (problem: Problem) => setTrouble(problem),
    )
  return (
    <div className="flex flex-col gap-5">
      <div className="no-print flex flex-wrap gap-2">
        <Button look="strong" onClick={() => window.print()}>
          Print this page
        </Button>
        <Button onClick={() => void pdf()}>As PDF</Button>
        {back}
      </div>
      <Trouble problem={trouble} />
      <KitchenCard plan={plan.data} corner={today} />
    </div>
  )
}
