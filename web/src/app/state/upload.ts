import { HttpErrorResponse } from '@angular/common/http'
import { Observable } from 'rxjs'

/** How far a file has been sent; at the end, what was answered. */
export interface Upload<T> {
  /** 0 to 1. */
  share: number
  answer?: T
}

/**
 * Sends a file piece by piece, with its progress; unsubscribing breaks it off. By the old request object: the newer one
 * tells no progress of what is sent.
 */
export const upload = <T>(url: string, file: Blob): Observable<Upload<T>> =>
  new Observable((subscriber) => {
    const request = new XMLHttpRequest()
    request.open('POST', url)
    request.responseType = 'json'
    request.setRequestHeader('Content-Type', 'application/json')
    request.upload.onprogress = ({ loaded, total }) =>
      subscriber.next({ share: total > 0 ? loaded / total : 0 })
    const fail = () =>
      subscriber.error(
        new HttpErrorResponse({ status: request.status, error: request.response as unknown, url }),
      )
    request.onload = () => {
      if (request.status !== 200) return fail()
      subscriber.next({ share: 1, answer: request.response as T })
      subscriber.complete()
    }
    request.onerror = fail
    request.send(file)
    return () => request.abort()
  })
