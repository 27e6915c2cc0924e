import { createContext, type RefObject, useContext, useEffect } from 'react'

/** Whether a panel may be shut by "That is it"; one that may not be yet has begun to see to what stands in the way. */
type MayShut = () => boolean

export const BeforeShut = createContext<RefObject<MayShut | null>>({ current: null })

/** What is typed in a panel and not yet taken is seen to before the panel is shut. */
export function useBeforeShut(may: MayShut) {
  const askedRef = useContext(BeforeShut)
  useEffect(() => {
    askedRef.current = may
    return () => {
      askedRef.current = null
    }
  })
}
