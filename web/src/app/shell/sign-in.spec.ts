import { HttpClient, provideHttpClient, withInterceptors } from '@angular/common/http'
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing'
import { TestBed } from '@angular/core/testing'
import { MatDialog } from '@angular/material/dialog'
import { Subject } from 'rxjs'
import { signInFirst } from './sign-in'

describe('a practice with a password', () => {
  it('asks once for all requests that wait, and then sends each again', async () => {
    const closed = new Subject<void>()
    let opened = 0
    const dialog = { open: () => (opened++, { afterClosed: () => closed }) }
    TestBed.configureTestingModule({
      providers: [
        provideHttpClient(withInterceptors([signInFirst])),
        provideHttpClientTesting(),
        { provide: MatDialog, useValue: dialog },
      ],
    })
    const http = TestBed.inject(HttpClient)
    const server = TestBed.inject(HttpTestingController)
    const got: unknown[] = []
    for (const path of ['/api/round', '/api/workshop']) http.get(path).subscribe((answer) => got.push(answer))
    const out = { status: 401, statusText: 'out' }
    server.expectOne('/api/round').flush(null, out)
    server.expectOne('/api/workshop').flush(null, out)
    await vi.waitFor(() => expect(opened).toBe(1))
    closed.next()
    closed.complete()
    await new Promise((done) => setTimeout(done))
    server.expectOne('/api/round').flush('round')
    server.expectOne('/api/workshop').flush('workshop')
    expect(got).toEqual(['round', 'workshop'])
    // The password itself being wrong is told where it was typed.
    let failed = false
    http.post('/api/session', {}).subscribe({ error: () => (failed = true) })
    server.expectOne('/api/session').flush(null, out)
    expect([failed, opened]).toEqual([true, 1])
  })
})
