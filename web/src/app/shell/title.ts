import { inject, Injectable } from '@angular/core'
import { Title } from '@angular/platform-browser'
import { TitleStrategy, type RouterStateSnapshot } from '@angular/router'

/** `Round · Crescent` in the browser's tab. */
@Injectable({ providedIn: 'root' })
export class CrescentTitle extends TitleStrategy {
  private readonly title = inject(Title)

  override updateTitle(state: RouterStateSnapshot): void {
    const place = this.buildTitle(state)
    this.title.setTitle(place ? `${place} · Crescent` : 'Crescent')
  }
}
