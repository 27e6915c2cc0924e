/** Something that was typed or chosen beside what was done, with what it is called; it says nothing where it is blank. */
type Told = string | [name: string, typed: string | null | undefined]

/**
 * What was done, with all that was entered of it: this is what is read of it until the house has it, and it is the note
 * that is kept where the house does not take it.
 */
export function whole(done: string, ...told: Told[]): string {
  const said = told.map((each) =>
    typeof each === 'string' ? each.trim() : each[1]?.trim() ? `${each[0]} ${each[1].trim()}` : '',
  )
  // A sentence that is gone on with has no point in its midst.
  return [done.replace(/\.$/, ''), ...said.filter((each) => each !== '')].join('; ')
}

/** The names of what was chosen, in the order of the list. */
export const namesOf = (list: { id: string; name?: string; says?: string }[], chosen: string[]): string =>
  list
    .filter((each) => chosen.includes(each.id))
    .map((each) => each.name ?? each.says ?? '')
    .join(', ')
