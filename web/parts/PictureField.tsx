import { useState } from 'react'
import { FileInput } from './FileInput'
import { smaller } from './picture'

/** A file chosen, and made small before it is sent; what is no picture is said. */
export function PictureInput({
  label,
  onChange,
  onWrong,
}: {
  label: string
  onChange: (photo: string) => void
  onWrong: (says: string) => void
}) {
  return (
    <FileInput
      label={label}
      accept="image/*"
      onFile={(file) => {
        onWrong('')
        return smaller(file).then(onChange, () =>
          onWrong('That could not be read as a picture. Take a JPEG, PNG or WebP.'),
        )
      }}
    />
  )
}

/** A picture off the camera or out of a folder, made small before it is sent; shown, and taken away again. */
export function PictureField({
  label,
  photo,
  fault,
  onChange,
}: {
  label: string
  photo: string
  fault?: string | undefined
  onChange: (photo: string) => void
}) {
  const [wrong, setWrong] = useState('')
  return (
    <div className="flex flex-col gap-2">
      {photo ? (
        <figure className="flex items-end gap-3">
          <img src={photo} alt="As it will be kept" className="border-line max-h-40 rounded-rim border" />
          <button type="button" className="min-h-11 underline underline-offset-4" onClick={() => onChange('')}>
            Take it away
          </button>
        </figure>
      ) : (
        <PictureInput label={label} onChange={onChange} onWrong={setWrong} />
      )}
      {wrong || fault ? <p className="text-warmth font-semibold">{wrong || fault}</p> : null}
    </div>
  )
}
