/** For tests: perimeter of an ellipse by the arithmetic-geometric mean: P = 2 pi (a^2 - sum 2^(n-1) c_n^2) / M(a, b). */
export function ellipsePerimeter(a: number, b: number): number {
  let [x, y] = [a, b]
  let sum = (a * a - b * b) / 2
  for (let power = 1; Math.abs(x - y) > 1e-15 * a; power *= 2) {
    const c = (x - y) / 2
    ;[x, y] = [(x + y) / 2, Math.sqrt(x * y)]
    sum += power * c * c
  }
  return ((2 * Math.PI) / x) * (a * a - sum)
}
