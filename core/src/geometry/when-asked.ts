/**
 * An object whose properties are worked out when they are first read, each once: what is only looked at costs nothing
 * until somebody looks. They are listed, copied and written as JSON like any others.
 */
export const whenAsked = <T extends object>(work: { readonly [K in keyof T]: () => T[K] }): T =>
  addWhenAsked({}, work)

/** Puts onto an object itself what is worked out when it is first read; what of it waits to be asked for goes on waiting. */
export function addWhenAsked<T extends object, M extends object>(
  object: T,
  work: { readonly [K in keyof M]: () => M[K] },
): T & M {
  for (const key of Object.keys(work) as (keyof M)[])
    Object.defineProperty(object, key, {
      enumerable: true,
      configurable: true,
      get: () => {
        const value = work[key]()
        Object.defineProperty(object, key, { enumerable: true, value })
        return value
      },
    })
  return object as T & M
}

/** One thing that is worked out when it is first asked for, once. */
export function onceAsked<T>(work: () => T): () => T {
  let known: { value: T } | undefined
  return () => (known ??= { value: work() }).value
}

/** Adds to an object what is worked out when it is first read; its own properties stay as they are. */
export function alsoWhenAsked<T extends object, M extends object>(
  object: T,
  work: { readonly [K in keyof M]: () => M[K] },
): T & M {
  const more = whenAsked<M>(work)
  for (const key of Object.keys(object) as (keyof T)[])
    Object.defineProperty(more, key, { enumerable: true, value: object[key] })
  return more as T & M
}
