import { useParams } from 'react-router'
import { type Shape, useBatch, useHouseId } from '../api/hooks'
import { Button, ButtonLink, FileLink } from '../parts/Button'
import { Trouble, Waiting } from '../parts/Notice'

/** The tag and labels for the browser's own printing, sized in millimetres. */
export default function PrintView() {
  const { batch: id = '' } = useParams()
  const house = useHouseId()
  const batch = useBatch(id)
  if (batch.isError && !batch.data) return <Trouble problem={batch.error} />
  if (!batch.data) return <Waiting what="the labels" />
  const { label, bottles } = batch.data
  const code = `/api/houses/${house}/batches/${id}/code.svg`
  return (
    <div className="flex flex-col gap-6">
      <header className="no-print flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-3xl">Tag and labels</h1>
        <div className="flex flex-wrap gap-2">
          <Button look="strong" onClick={() => window.print()}>
            Print this page
          </Button>
          {bottles.length > 0 ? (
            <FileLink href={`/api/houses/${house}/batches/${id}/labels.pdf`}>Bottle labels, PDF</FileLink>
          ) : null}
          <ButtonLink to={`/h/${house}/batch/${id}`}>Back to the batch</ButtonLink>
        </div>
      </header>
      <Label lines={label} code={code} width="90mm" height="60mm" size="9pt" />
      <div className="flex flex-wrap">
        {bottles.map((bottle) => (
          <Label
            key={bottle.number}
            lines={label}
            code={code}
            width="63.5mm"
            height="38.1mm"
            size="5.6pt"
            net={`${bottle.filled}, no. ${bottle.number}`}
          />
        ))}
      </div>
    </div>
  )
}

type Props = { lines: Shape<'LabelLine'>[]; code: string; width: string; height: string; size: string; net?: string }

function Label({ lines, code, width, height, size, net }: Props) {
  const title = lines.find((line) => line.id === 'title')?.text
  const batch = lines.find((line) => line.id === 'code')?.text
  return (
    <article
      className="relative break-inside-avoid overflow-hidden border border-gray-400 bg-white leading-tight text-black"
      style={{ width, height, padding: '3mm', fontSize: size }}
    >
      <div className="float-right ml-[2mm] text-center font-bold" style={{ width: '27%' }}>
        <img src={code} alt={`Code that opens batch ${batch ?? ''}`} className="w-full" />
        {batch}
      </div>
      <p className="font-bold" style={{ fontSize: '1.35em' }}>
        {title}
      </p>
      {net ? <p className="font-bold">{net}</p> : null}
      {lines
        .filter((line) => line.id !== 'title' && line.id !== 'code')
        .map((line) => (
          <p key={line.id}>{line.text}</p>
        ))}
    </article>
  )
}
