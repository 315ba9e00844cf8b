/** For tests, ms: a reader that works longer than this on one file hangs. */
export const HANGS = 2_000

/** For tests, ms: how long this process has worked so far. What else a busy machine does is not counted. */
export function worked(): number {
  const { user, system } = process.cpuUsage()
  return (user + system) / 1000
}
