import { describe, expect, it } from 'vitest'
import { dialled } from './phone'

describe('a telephone number', () => {
  it('is dialled without what only makes it readable', () => {
    expect(dialled('01632 960 123')).toBe('tel:01632960123')
    expect(dialled('+44 (0)1632-960.123')).toBe('tel:+4401632960123')
    expect(dialled(' 112 ')).toBe('tel:112')
  })

  it('is no link where it is none', () => {
    expect(dialled('Island 33')).toBeUndefined()
    expect(dialled('ask at the mill')).toBeUndefined()
    expect(dialled('33')).toBeUndefined()
    expect(dialled('')).toBeUndefined()
  })
})
