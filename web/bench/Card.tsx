import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { type Problem, sendForFile, ask } from '../api/client'
import { useHouseId } from '../api/hooks'
import { Button, ButtonLink } from '../parts/Button'
import { stepsOfCard } from '../hands/card'
import { HandsFull } from '../hands/HandsFull'
import { KitchenCard } from '../parts/KitchenCard'
import { Trouble, Waiting } from '../parts/Notice'
import { useDraftAsItIs } from './wish'

/** The kitchen card of the wish that lies on the bench. */
export default function Card() {
  const house = useHouseId()
  const wish = useDraftAsItIs(house)
  const [trouble, setTrouble] = useState<Problem | null>(null)
  const card = useQuery({
    queryKey: ['house', house, 'card', wish],
    queryFn: ({ signal }) => ask(`/houses/${house}/card`, { wish }, signal),
    retry: false,
  })
  const back = <ButtonLink to={`/h/${house}/bench`}>Back to the bench</ButtonLink>
  if (card.isError)
    return (
      <div className="flex flex-col items-start gap-4">
        <Trouble problem={card.error} />
        {back}
      </div>
    )
  if (!card.data) return <Waiting what="the card" />
  const pdf = () =>
    sendForFile(`/houses/${house}/card.pdf`, { wish }).then(
      (blob) => window.open(URL.createObjectURL(blob), '_blank', 'noreferrer'),
      (problem: Problem) => setTrouble(problem),
    )
  return (
    <div className="flex flex-col gap-5">
      <div className="no-print flex flex-wrap gap-2">
        <Button look="strong" onClick={() => window.print()}>
          Print this page
        </Button>
        <HandsFull name={`card.bench.${house}`} title={card.data.name} steps={stepsOfCard(card.data)} />
        <Button onClick={() => void pdf()}>As PDF</Button>
        {back}
      </div>
      <Trouble problem={trouble} />
      <KitchenCard card={card.data} />
    </div>
  )
}
