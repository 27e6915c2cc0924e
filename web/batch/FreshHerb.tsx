import { useNavigate } from 'react-router'
import { get, type Problem } from '../api/client'
import { type Shape, useHouseId } from '../api/hooks'
import { putOnBench } from '../bench/wish'
import { useSay } from '../frame/Say'
import { Button } from '../parts/Button'

/** A second charge: its oil goes to the Bench, to be put on herb once more. */
export function FreshHerb({ batch }: { batch: Shape<'BatchView'> }) {
  const house = useHouseId()
  const go = useNavigate()
  const say = useSay()
  if (!batch.charge) return null
  return (
    <Button
      onClick={() =>
        void get(`/houses/${house}/batches/${batch.id}/charge`).then(
          (answer) => {
            putOnBench(house, answer.wish)
            void go(`/h/${house}/bench`)
          },
          (problem: Problem) => say({ text: problem.message, wrong: true }),
        )
      }
    >
      Fresh herb in this oil
    </Button>
  )
}
