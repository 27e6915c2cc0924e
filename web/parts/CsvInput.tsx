import type { ReactNode } from 'react'
import { base64 } from './base64'
import { FileInput } from './FileInput'

/** A CSV file to be chosen, its bytes as they are. */
export function CsvInput({ label, onText }: { label: ReactNode; onText: (text: string, name: string) => void }) {
  return (
    <FileInput
      label={label}
      accept=".csv,.tsv,.txt,text/csv"
      onFile={(file) => base64(file).then((text) => onText(text, file.name))}
    />
  )
}
