import { TestBed } from '@angular/core/testing'
import { FocusKept } from './focus-kept'

const rested = () => new Promise((done) => setTimeout(done, 160))
const by = (id: string) => document.getElementById(id)!

describe('FocusKept', () => {
  let page: HTMLElement
  beforeEach(() => {
    page = document.createElement('main')
    page.innerHTML = `
      <h1 id="title">Round</h1>
      <p id="row"><button id="first">Move</button><button id="second">Start visit</button></p>
      <section id="part"><button id="alone">Save</button></section>`
    document.body.append(page)
    TestBed.inject(FocusKept).watch()
  })
  afterEach(() => page.remove())

  it('goes to what stands beside what went away', async () => {
    by('second').focus()
    by('second').remove()
    await rested()
    expect(document.activeElement).toBe(by('first'))
  })

  it('goes beside what can be pressed no more', async () => {
    by('first').focus()
    by('first').setAttribute('disabled', '')
    // A browser lets go of it; the page of a test does not.
    by('first').blur()
    await rested()
    expect(document.activeElement).toBe(by('second'))
  })

  it('goes to the heading where nothing else of it is left, and the next Tab goes on from there', async () => {
    by('alone').focus()
    by('part').remove()
    await rested()
    expect(document.activeElement).toBe(by('title'))
  })

  it('goes with what was moved', async () => {
    by('second').focus()
    by('row').prepend(by('second'))
    by('second').blur()
    await rested()
    expect(document.activeElement).toBe(by('second'))
  })

  it('leaves it where somebody else has put it, or a hand has left it', async () => {
    by('second').focus()
    by('second').remove()
    by('alone').focus()
    await rested()
    expect(document.activeElement).toBe(by('alone'))
    by('alone').blur()
    await rested()
    by('part').remove()
    await rested()
    expect(document.activeElement).toBe(document.body)
  })
})
