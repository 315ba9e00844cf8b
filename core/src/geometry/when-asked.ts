/** One thing that is worked out when it is first asked for, once. */
interface Asked {
  work: (() => unknown) | undefined
  value?: unknown
}

const ASKED = Symbol('what is worked out when it is asked for')
interface Holder {
  [ASKED]: Record<PropertyKey, Asked>
}

// One getter for a name, whoever asks: objects that differ in their getters are slow to make, to read and to throw away.
const GETTERS = new Map<PropertyKey, (this: Holder) => unknown>()

function getterOf(name: PropertyKey): (this: Holder) => unknown {
  let getter = GETTERS.get(name)
  if (!getter) {
    getter = function (this: Holder) {
      const asked = this[ASKED][name]!
      if (asked.work) {
        asked.value = asked.work()
        asked.work = undefined
      }
      return asked.value
    }
    GETTERS.set(name, getter)
  }
  return getter
}

/**
 * An object whose properties are worked out when they are first read, each once: what is only looked at costs nothing
 * until somebody looks. They are listed, copied and written as JSON like any others.
 */
export const whenAsked = <T extends object>(work: { readonly [K in keyof T]: () => T[K] }): T =>
  addWhenAsked({}, work)

/**
 * Puts onto an object itself, which nobody else holds yet, what is worked out when it is first read; what of it waits to
 * be asked for goes on waiting.
 */
export function addWhenAsked<T extends object, M extends object>(
  object: T,
  work: { readonly [K in keyof M]: () => M[K] },
): T & M {
  if (!Object.hasOwn(object, ASKED)) Object.defineProperty(object, ASKED, { value: {} })
  const asked = (object as unknown as Holder)[ASKED]
  for (const name of Object.keys(work) as (keyof M)[]) {
    asked[name] = { work: work[name] }
    Object.defineProperty(object, name, { enumerable: true, configurable: true, get: getterOf(name) })
  }
  return object as T & M
}

/** One thing that is worked out when it is first asked for, once. */
export function onceAsked<T>(work: () => T): () => T {
  let known: { value: T } | undefined
  return () => (known ??= { value: work() }).value
}
