import { seen, soleView, svgPath, unseen } from './svg-path'

describe('the sole, toe up', () => {
  it('has lateral on the right of a left foot and on the left of a right foot', () => {
    expect(seen([50, 0], soleView('LF', 60))).toEqual([50, 60])
    expect(seen([50, 0], soleView('RH', 60))).toEqual([-50, 60])
    // The toe lies at the top.
    expect(seen([0, 60], soleView('LF', 60))).toEqual([0, 0])
  })

  it('comes back from the picture to the foot', () => {
    for (const side of ['LF', 'RF']) {
      const view = soleView(side, 59.7)
      const [x, y] = unseen(seen([-12.5, 33], view), view)
      expect(x).toBeCloseTo(-12.5, 9)
      expect(y).toBeCloseTo(33, 9)
    }
  })

  it('writes path data, open or closed', () => {
    expect(
      svgPath(
        [
          [1, 2],
          [3, -4],
        ],
        soleView('LF', 0),
        true,
      ),
    ).toBe('M1 -2L3 4Z')
  })
})
