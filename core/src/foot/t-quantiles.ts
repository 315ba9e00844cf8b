/** Student's t, 95 % quantile (two-sided 90 %) for 1 to 30 degrees of freedom; standard table, checked against a library. */
const TABLE = [
  6.3138, 2.92, 2.3534, 2.1318, 2.015, 1.9432, 1.8946, 1.8595, 1.8331, 1.8125, 1.7959, 1.7823, 1.7709, 1.7613,
  1.7531, 1.7459, 1.7396, 1.7341, 1.7291, 1.7247, 1.7207, 1.7171, 1.7139, 1.7109, 1.7081, 1.7056, 1.7033,
  1.7011, 1.6991, 1.6973,
]

/** Two-sided 90 % quantile of Student's t. Beyond the table by its first-order expansion about the normal quantile. */
export const t90 = (freedom: number): number => {
  const z = 1.644854
  return TABLE[freedom - 1] ?? z + (z ** 3 + z) / (4 * freedom)
}
