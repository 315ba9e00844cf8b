/** A sentence as somebody typed it, with the stop it ends in: one that has one gets no second. */
export const sentence = (text: string): string => (/[.!?…]\s*$/.test(text) ? text.trim() : `${text.trim()}.`)

/** The same without its stop: it goes on. */
export const clause = (text: string): string => text.replace(/[.\s]+$/, '')
