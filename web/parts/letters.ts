/** As it begins a sentence or a line. */
export const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

/** As it stands within one. */
export const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
