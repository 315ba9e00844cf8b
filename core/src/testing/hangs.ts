/**
 * For tests, ms: longer than this for one file, and the reader hangs. Two seconds are asked of it on a quiet machine; ten
 * times that tell a hang from a machine that is busy with something else.
 */
export const HANGS = 20_000
