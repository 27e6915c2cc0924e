import { useState, type ReactNode } from 'react'

/** A file to be chosen. The same one again, mended meanwhile, is chosen again. */
export function FileInput({
  label,
  accept,
  onFile,
}: {
  label: ReactNode
  accept: string
  onFile: (file: File) => void | Promise<unknown>
}) {
  const [unread, setUnread] = useState(false)
  return (
    <label className="flex flex-col gap-1 font-semibold">
      {label}
      <input
        type="file"
        accept={accept}
        className="field font-normal"
        // A browser says nothing when the same file is chosen a second time, unless it has forgotten the first.
        onClick={(event) => {
          event.currentTarget.value = ''
        }}
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (!file) return
          setUnread(false)
          // Moved, or changed since it was chosen.
          Promise.resolve(onFile(file)).catch(() => setUnread(true))
        }}
      />
      {unread ? <span className="text-warmth">That file could not be read. Choose it again.</span> : null}
    </label>
  )
}
