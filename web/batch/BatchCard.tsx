import { useParams } from 'react-router'
import { useHouseId, useOfHouse } from '../api/hooks'
import { useArrived } from '../parts/arrived'
import { Button, ButtonLink, FileLink } from '../parts/Button'
import { stepsOfCard } from '../hands/card'
import { HandsFull } from '../hands/HandsFull'
import { KitchenCard } from '../parts/KitchenCard'

/** The kitchen card of a batch, as it was planned. */
export default function BatchCard() {
  const { batch: id = '' } = useParams()
  const house = useHouseId()
  const card = useOfHouse(`/batches/${id}/card`)
  const { there, instead } = useArrived(card, 'the card')
  if (!there) return instead
  return (
    <div className="flex flex-col gap-5">
      <div className="no-print flex flex-wrap gap-2">
        <Button look="strong" onClick={() => window.print()}>
          Print this page
        </Button>
        <HandsFull name={`card.${id}`} title={there.name} steps={stepsOfCard(there)} />
        <FileLink href={`/api/houses/${house}/batches/${id}/card.pdf`}>As PDF</FileLink>
        <ButtonLink to={`/h/${house}/batch/${id}`}>Back to the batch</ButtonLink>
      </div>
      <KitchenCard card={there} />
    </div>
  )
}
