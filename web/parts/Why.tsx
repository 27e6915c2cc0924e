import { Opens } from './panels'

/** Why a caution holds, and where it comes from: one press away. */
export function Why({ about, why, source }: { about: string; why: string; source: string }) {
  return (
    <Opens
      className="text-soft inline-flex min-h-6 items-center underline decoration-dotted underline-offset-4"
      label={`Why: ${about}`}
      panel="Why"
      panelClass="z-50 max-w-[min(24rem,92vw)]"
      behind={() => (
        <>
          <p>{why}</p>
          <p className="text-soft">{source}. Local rules and qualified people come first.</p>
        </>
      )}
    >
      Why?
    </Opens>
  )
}
