import { computed, inject, Injectable, signal } from '@angular/core'
import type { Course } from '@crescent/core/courses'
import { firstValueFrom } from 'rxjs'
import { Tells } from '../common/tells'
import { Api, conflictOf, failureText } from '../state/api'

/** The courses of one horse: read, changed and kept. What is shown is what is stored, but for the moment it is being kept. */
@Injectable()
export class HorseCourses {
  private readonly api = inject(Api)
  private readonly tells = inject(Tells)
  private horseId = ''
  private readonly all = signal<readonly Course[] | undefined>(undefined)
  readonly failure = signal('')
  readonly busy = signal(false)

  /** Those that run before those that ended; nothing while they are being read. */
  readonly list = computed(() => this.all()?.filter(({ archived }) => !archived))
  readonly running = computed(() => (this.list() ?? []).filter(({ ended }) => ended === null))

  open(horseId: string): void {
    if (horseId === this.horseId) return
    this.horseId = horseId
    this.all.set(undefined)
    void this.read()
  }

  async read(): Promise<void> {
    const { horseId } = this
    this.failure.set('')
    try {
      const courses = await firstValueFrom(this.api.courses(horseId))
      // Another horse may have been opened meanwhile.
      if (horseId === this.horseId) this.all.set(courses)
    } catch (error) {
      if (horseId === this.horseId) this.failure.set(failureText(error))
    }
  }

  /**
   * Keeps a course as it was changed.
   *
   * @returns whether it is kept: where it is not, why is said, and what was typed can stay where it is
   */
  async put(course: Course, said: string): Promise<boolean> {
    if (this.busy()) return false
    this.busy.set(true)
    try {
      this.take(await firstValueFrom(this.api.putCourse(course)))
      void this.tells.done(said)
      return true
    } catch (error) {
      const current = conflictOf<Course>(error)
      if (current) this.take(current)
      void this.tells.warn(
        current
          ? 'It was changed elsewhere meanwhile: look at it as it is now, then once more.'
          : failureText(error),
      )
      return false
    } finally {
      this.busy.set(false)
    }
  }

  private take(course: Course): void {
    this.all.update((all = []) =>
      all.some(({ id }) => id === course.id)
        ? all.map((one) => (one.id === course.id ? course : one))
        : [course, ...all],
    )
  }
}
