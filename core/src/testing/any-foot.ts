import fc from 'fast-check'
import type { FootInput } from '../records/foot'

/** For tests: any possible foot, drawn figure by figure within its range. */
export const anyFoot: fc.Arbitrary<FootInput> = fc
  .record({
    side: fc.constantFrom('LF' as const, 'RF' as const, 'LH' as const, 'RH' as const),
    width: fc.double({ min: 85, max: 210, noNaN: true }),
    shares: fc.array(fc.double({ min: 0.1, max: 0.9, noNaN: true }), { minLength: 10, maxLength: 10 }),
  })
  .map(({ side, width, shares }): FootInput => {
    const [l, h, w, half, lead, toe, quarter, a, b, c] = shares as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ]
    const length = width * (0.85 + 0.35 * l)
    return {
      side,
      width,
      length,
      heelWidth: width * (0.5 + 0.3 * h),
      toeAngle: 42 + 20 * a,
      wallThickness: Math.max(3, width * (0.05 + 0.05 * b)),
      widestFromToe: length * (0.38 + 0.2 * w),
      lateralHalfWidth: width * (0.46 + 0.08 * half),
      quarterLead: length * (0.16 * lead - 0.08),
      toeShape: 1.7 + 0.7 * toe,
      quarterShape: quarter,
      heelAngle: 40 + 20 * c,
    }
  })
