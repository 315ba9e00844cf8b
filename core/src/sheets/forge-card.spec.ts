import { describe, expect, it } from 'vitest'
import { inches } from '../units/length'
import { inMm, made } from '../testing/made'
import { forgeCard } from './forge-card'

describe('the forge card', () => {
  it('tells drill, tap and count of what is drilled: a coarse 1/4 thread by 13/64, clear of the plate', () => {
    const { drilled } = forgeCard(made([{ kind: 'hospital-plate', screws: 2, thread: '1/4-20' }]))
    expect(drilled).toEqual([
      { what: 'Shoe', drill: inches(13 / 64), count: 2, tap: '1/4-20' },
      { what: 'Plate, clear and countersunk', drill: expect.any(Number) as number, count: 2 },
    ])
    // What is clear is wider than the thread, what is tapped is narrower.
    expect(drilled[1]!.drill).toBeGreaterThan(6.35)
    expect(drilled[0]!.drill).toBeLessThan(6.35)
  })

  it('counts the studs that are set', () => {
    const studs = (place: string) => forgeCard(made([{ kind: 'studs', place }])).drilled
    expect(studs('heels')[0]!.count).toBe(2)
    expect(studs('heels and toe quarters')[0]!.count).toBe(4)
    expect(forgeCard(made([])).drilled).toEqual([])
  })

  it('names pieces with their sizes, bevelled where they are welded, and stamps the side', () => {
    const card = forgeCard(made([{ kind: 'straight-bar' }]))
    expect(card.pieces.map(inMm).join()).toMatch(/x .* mm, .* mm long, both ends bevelled/)
    expect(card.stamp).toContain('Stamp LF')
    expect(card.chalk.map(({ what }) => what).join()).toContain('Width at the widest')
  })
})
