import { backupsText, goesText, tracesText } from './erasure-text'

describe('what goes with a record that is erased', () => {
  const goes = { horses: ['Ash', 'Elm'], visits: 1, feet: 4, patterns: 2, backups: 0 }
  it('is named and counted', () => {
    expect(goesText(goes)).toBe(
      '2 horses (Ash, Elm), 1 visit, 4 measured feet, 2 patterns with all versions go.',
    )
    expect(goesText({ ...goes, horses: [], feet: 1 })).toMatch(/^1 visit, 1 measured foot/)
  })
  it('says who still has it', () => {
    expect(backupsText(goes)).toContain('taken elsewhere')
    expect(backupsText({ ...goes, backups: 3 })).toContain('3 backups')
  })
  it('says what is done where the file still holds it', () => {
    expect(tracesText('Ash')).toMatch(/^Ash is erased.*make room, then start Crescent anew/)
  })
})
