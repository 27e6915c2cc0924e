import { type Shape, useBatchWrite, useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button } from './Button'
import { Notice, Trouble } from './Notice'
import { Why } from './Why'

type Caution = Shape<'CautionView'>

/** The cautions of a batch where something is decided; those that want it are read first. */
export function Cautions({ batch, place }: { batch: Shape<'BatchView'>; place: string }) {
  const house = useHouseId()
  const { works } = usePart()
  const write = useBatchWrite()
  const here = batch.cautions.filter((caution) => caution.places.includes(place as Caution['places'][number]))
  if (here.length === 0) return null
  return (
    <div className="flex flex-col gap-3">
      {here.map((caution) => (
        <div key={caution.id}>
          <CautionLine caution={caution} />
          {caution.read ? (
            <p className="text-soft ps-4">Read by {caution.read}.</p>
          ) : caution.acknowledge && works ? (
            <Button
              className="mt-1 ms-4"
              disabled={write.isPending}
              onClick={() =>
                write.mutate({
                  path: `/houses/${house}/batches/${batch.id}/acknowledge`,
                  body: { caution: caution.id },
                })
              }
            >
              I have read this
            </Button>
          ) : null}
        </div>
      ))}
      <Trouble problem={write.error} />
    </div>
  )
}

export function CautionLine({ caution }: { caution: Caution }) {
  return (
    <Notice rank={caution.rank}>
      {caution.says} <Why about={caution.says} why={caution.why} source={caution.source} />
    </Notice>
  )
}
