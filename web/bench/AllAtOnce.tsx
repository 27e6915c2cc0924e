import { type Shape, useHouseId } from '../api/hooks'
import { Button } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { useKept } from '../parts/kept'
import { Sheet } from '../parts/Sheet'
import { useReadWish } from './ask'

/** The whole wish typed or pasted as one sentence: it becomes the sentence, and what was not understood is said. */
export function AllAtOnce({
  open,
  onOpenChange,
  onRead,
}: {
  open: boolean
  onOpenChange: (open: boolean) => void
  onRead: (read: Shape<'ReadWishView'>) => void
}) {
  const house = useHouseId()
  const [text, setText] = useKept(`sentence.${house}`)
  const { reading, read, fault } = useReadWish(text, (answer) => {
    setText('')
    onRead(answer)
    onOpenChange(false)
  })
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title="Type it all at once">
      <form className="flex flex-col gap-4" onSubmit={sent(read)}>
        <Area
          label="As you would say it"
          rows={3}
          maxLength={1000}
          placeholder="a pint of calendula and yarrow in olive, slow cooker, for a salve, by 12 December"
          value={text}
          fault={fault}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey) return
            event.preventDefault()
            read()
          }}
        />
        <Button type="submit" look="strong" className="self-start" disabled={reading.isPending || text.trim() === ''}>
          Make it the sentence
        </Button>
      </form>
    </Sheet>
  )
}
