/** The parts of the statistics library that tests take as a second opinion; it ships no types. */
declare module 'jstat' {
  const jstat: {
    mean(values: readonly number[]): number
    stdev(values: readonly number[], ofSample: boolean): number
    normal: { inv(probability: number, mean: number, deviation: number): number }
    studentt: { inv(probability: number, freedom: number): number }
    models: { ols(values: number[], rows: number[][]): { coef: number[]; t: { sigmaHat: number } } }
  }
  export default jstat
}
