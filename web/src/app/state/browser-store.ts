/** Small things kept in this browser. A full or forbidden store must never stop the work, so failures are quiet. */
export const browserStore = {
  read<T>(key: string): T | undefined {
    try {
      const text = localStorage.getItem(`crescent.${key}`)
      return text === null ? undefined : (JSON.parse(text) as T)
    } catch {
      return undefined
    }
  },
  write(key: string, value: unknown): void {
    try {
      localStorage.setItem(`crescent.${key}`, JSON.stringify(value))
    } catch {
      // Nothing to do: the work goes on unsaved.
    }
  },
  remove(key: string): void {
    try {
      localStorage.removeItem(`crescent.${key}`)
    } catch {
      // As above.
    }
  },
}
