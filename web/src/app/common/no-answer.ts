const AWAY = 'The server does not answer.'
const KEPT = 'What you typed is kept here; try again.'

/** Told where something was to be stored and the server is away. */
export const NO_ANSWER = `${AWAY} ${KEPT}`

/** A failure where something was only read: nothing was typed that could be kept. */
export const asRead = (failure: string): string => failure.replace(` ${KEPT}`, '')
