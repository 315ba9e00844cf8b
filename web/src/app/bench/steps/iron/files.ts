import { HttpClient, HttpErrorResponse } from '@angular/common/http'
import { DOCUMENT, inject, Injectable } from '@angular/core'
import { firstValueFrom } from 'rxjs'
import { failureText } from '../../../state/api'

/** Fetches a file that the server makes and hands it to the browser to keep. */
@Injectable({ providedIn: 'root' })
export class Files {
  private readonly http = inject(HttpClient)
  private readonly document = inject(DOCUMENT)

  /**
   * Asks for a file by what it is made of and saves it under the name the server gives it.
   *
   * @returns what went wrong, in words; nothing where it was saved
   */
  async save(url: string, asked: unknown): Promise<string | undefined> {
    try {
      const { body, headers } = await firstValueFrom(
        this.http.post(url, asked, { responseType: 'blob', observe: 'response' }),
      )
      this.keep(body!, nameIn(headers.get('content-disposition') ?? ''))
      return undefined
    } catch (error) {
      return failureText(await readable(error))
    }
  }

  private keep(file: Blob, name: string): void {
    const link = this.document.createElement('a')
    link.href = URL.createObjectURL(file)
    link.download = name
    link.click()
    // The browser has taken it by then.
    setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
  }
}

/** The name of a file as the answer's head gives it (RFC 6266; the encoded form goes first). */
function nameIn(disposition: string): string {
  const encoded = /filename\*=UTF-8''([^;]+)/i.exec(disposition)?.[1]
  if (encoded) return decodeURIComponent(encoded)
  return /filename="?([^";]+)"?/i.exec(disposition)?.[1] ?? 'shoe'
}

/** A refusal whose reasons came as a file because a file was asked for. */
async function readable(error: unknown): Promise<unknown> {
  if (!(error instanceof HttpErrorResponse) || !(error.error instanceof Blob)) return error
  const { status, statusText, url } = error
  const text = await error.error.text()
  try {
    const told: unknown = JSON.parse(text)
    return new HttpErrorResponse({ error: told, status, statusText, ...(url !== null && { url }) })
  } catch {
    return error
  }
}
