import { TestBed } from '@angular/core/testing'
import { Store } from '@ngrx/store'
import { settingsActions, settingsFeature } from '../state/settings/settings.feature'
import { STORE } from '../testing/samples'
import { FigureText } from './figure-text'

describe('FigureText', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: STORE }))
  const use = (unit: 'in' | 'mm', denominator: 16 | 32 = 16) => {
    TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit, denominator } }))
    return TestBed.inject(FigureText)
  }

  it('writes in the chosen unit and fraction', () => {
    expect(use('in').length(123.825)).toBe('4 7/8"')
    expect(use('in', 32).length(25.4 * (1 + 1 / 32))).toBe('1 1/32"')
    expect(use('mm').length(123.825)).toBe('124 mm')
    expect(use('mm').weight(362.5)).toBe('363 g')
    expect(use('in').difference(-25.4 / 8)).toBe('-1/8"')
  })

  it('says of a heel whether it is too long or too short, not with a sign', () => {
    const text = use('in')
    expect(text.heelLeft((-5 / 16) * 25.4)).toBe('5/16" short')
    expect(text.heelLeft(25.4 / 4)).toBe('1/4" left over')
    expect(text.heelLeft(-0.5)).toBe('right')
  })

  it('takes a length apart so that only the fraction is set as one', () => {
    const text = use('in')
    expect(text.parts(123.825)).toEqual({ whole: '4', fraction: '7/8', sign: '"' })
    expect(text.parts(22.225)).toEqual({ whole: '', fraction: '7/8', sign: '"' })
    expect(text.parts(304.8)).toEqual({ whole: '12', fraction: '', sign: '"' })
    expect(use('mm').parts(298.6)).toMatchObject({ whole: '298.5', fraction: '' })
  })

  it('keeps the settings it was given', () => {
    use('mm', 32)
    expect(TestBed.inject(Store).selectSignal(settingsFeature.selectSettingsState)()).toMatchObject({
      unit: 'mm',
      denominator: 32,
    })
  })
})
