import { HttpClient, HttpErrorResponse, HttpParams } from '@angular/common/http'
import { inject, Injectable } from '@angular/core'
import type {
  Beginning,
  DayIron,
  DatedJob,
  DatedTry,
  Erasure,
  FootInput,
  FootRecord,
  Horse,
  HorsePage,
  HorseSummary,
  Look,
  FoundPattern,
  ImportReport,
  Job,
  LearnedCut,
  LengthUnit,
  ListedPicture,
  Losses,
  Section,
  Side,
  Size,
  Owner,
  Pattern,
  PatternFile,
  PromisedCall,
  PracticeFacts,
  RegionDifference,
  Refusal,
  Round,
  RoundWeek,
  StoredPattern,
  StoredPicture,
  Told,
  Try,
  Visit,
  VisitPage,
  NailTurning,
  WorkshopRecord,
  DrawnOutline,
  ReadOutlines,
  Taps,
  TracedFoot,
} from '@crescent/core'
import type { Course } from '@crescent/core/courses'
import type { Forecast } from '@crescent/core/weeks'
import type { TriesOverTime } from '@crescent/core/anvil'
import type { Observable } from 'rxjs'
import { upload, type Upload } from './upload'
import { NO_ANSWER } from '../common/no-answer'

/** A foot and its pattern as they are stored. */
export interface Shoeing {
  pattern: StoredPattern
  record: FootRecord
}

/** What is sent of several feet of a visit. */
export interface SeveralFeet {
  visit?: Visit
  feet: { pattern: Pattern; record: FootRecord }[]
}

/** A visit and the feet that were stored with it. */
export interface StoredFeet {
  visit: Visit
  feet: Shoeing[]
}

/** What of several feet was changed elsewhere. */
export interface StaleFeet {
  visit?: Visit
  feet: Partial<Record<Side, Partial<Shoeing>>>
}

/** What a file of sizes holds, row by row. */
export interface SizesRead {
  rows: {
    line: number
    name: string
    size?: Omit<Size, 'id' | 'version'>
    errors: { path: string; message: string }[]
  }[]
  errors: { path: string; message: string }[]
  /** Headings that are not known, whose cells are not taken. */
  unread: string[]
  kept: number
}

/** Somebody who is signed in. */
export interface SignedIn {
  id: string
  begun: string
  seen: string
  /** What the browser calls itself. */
  what: string
  /** The one that asks. */
  own: boolean
}

/** A drawn line as the outline of a foot, and what there is to say of it. */
export interface PlacedOutline {
  foot: TracedFoot
  notes: Told[]
}

const OCTETS = { headers: { 'Content-Type': 'application/octet-stream' } }

/** Every call to the server, by name. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient)

  calls = (horse: string): Observable<PromisedCall[]> =>
    this.http.get<PromisedCall[]>('/api/calls', { params: { horse } })
  call = (id: string): Observable<PromisedCall> => this.http.get<PromisedCall>(`/api/calls/${id}`)
  putCall = (call: PromisedCall): Observable<PromisedCall> =>
    this.http.put<PromisedCall>(`/api/calls/${call.id}`, call)
  courses = (horse: string): Observable<Course[]> =>
    this.http.get<Course[]>('/api/courses', { params: { horse } })
  putCourse = (course: Course): Observable<Course> =>
    this.http.put<Course>(`/api/courses/${course.id}`, course)
  /** Reckoned from the last finished visit, or from one that is being finished. */
  forecast = (horse: string, date: string, visit?: string): Observable<Forecast> =>
    this.http.get<Forecast>(`/api/horses/${horse}/forecast`, {
      params: { date, ...(visit !== undefined && { visit }) },
    })
  roundWeek = (date: string, days: number): Observable<RoundWeek> =>
    this.http.get<RoundWeek>('/api/round/week', { params: { date, days } })
  moveDue = (horse: string, date: string, was: string | null): Observable<HorseSummary> =>
    this.http.put<HorseSummary>(`/api/horses/${horse}/due`, { date, was })
  dayIron = (date: string, due: boolean): Observable<IronOfDay> =>
    this.http.get<IronOfDay>('/api/round/iron', { params: { date, due } })
  round = (date: string): Observable<Round> => this.http.get<Round>('/api/round', { params: { date } })
  horses = (search: string, archived: boolean): Observable<HorseSummary[]> =>
    this.http.get<HorseSummary[]>('/api/horses', { params: listParams(search, archived, 200) })
  horsePage = (id: string): Observable<HorsePage> => this.http.get<HorsePage>(`/api/horses/${id}/page`)
  visitPage = (id: string): Observable<VisitPage> => this.http.get<VisitPage>(`/api/visits/${id}/page`)
  owners = (search: string): Observable<Owner[]> =>
    this.http.get<Owner[]>('/api/owners', { params: listParams(search, false, 50) })
  putOwner = (owner: Owner): Observable<Owner> => this.http.put<Owner>(`/api/owners/${owner.id}`, owner)
  putHorse = (horse: Horse): Observable<Horse> => this.http.put<Horse>(`/api/horses/${horse.id}`, horse)
  /** Takes another record of the same horse or owner into this one. */
  /** Two records become one, as they were seen. */
  join = (
    kind: 'horse' | 'owner',
    id: string,
    seen: { other: string; version: number; otherVersion: number },
  ): Observable<unknown> => this.http.post(`/api/${kind}s/${id}/join`, seen)
  putVisit = (visit: Visit): Observable<Visit> => this.http.put<Visit>(`/api/visits/${visit.id}`, visit)
  /** A foot with the pattern made for it: both are stored or neither. */
  putShoeing = (shoeing: { pattern: Pattern; record: FootRecord }): Observable<Shoeing> =>
    this.http.put<Shoeing>(`/api/visits/${shoeing.record.visitId}/feet/${shoeing.record.side}`, shoeing)
  /** The visit that runs on a day, else the one that would begin: not stored, version 0. */
  nextVisit = (horse: string, date: string): Observable<VisitPage> =>
    this.http.get<VisitPage>(`/api/horses/${horse}/next-visit`, { params: { date } })
  /** Several feet with their patterns, and the visit itself where it is sent: all are stored or none. */
  putSeveralFeet = (visitId: string, sent: SeveralFeet): Observable<StoredFeet> =>
    this.http.put<StoredFeet>(`/api/visits/${visitId}/feet`, sent)
  putLook = (look: Look): Observable<Look> => this.http.put<Look>(`/api/looks/${look.id}`, look)
  putPattern = (pattern: Pattern): Observable<StoredPattern> =>
    this.http.put<StoredPattern>(`/api/patterns/${pattern.id}`, pattern)
  /** Patterns of all horses: by words, modification and bar; those for the nearest width of foot first. */
  findPatterns = (query: {
    search: string
    modification: string
    tag: string
    section: Section | undefined
    width: number | undefined
  }): Observable<FoundPattern[]> => {
    const { search, modification, tag, section, width } = query
    const asked = {
      search,
      ...(modification !== '' && { modification }),
      ...(tag !== '' && { tag }),
      ...(section && { barWidth: section.width, barThickness: section.thickness }),
      ...(width !== undefined && { width }),
    }
    return this.http.get<FoundPattern[]>('/api/patterns', { params: new HttpParams({ fromObject: asked }) })
  }
  /** Patterns of all horses whose feet are most like this one by shape, the nearest first. */
  nearestPatterns = (foot: FootInput, limit: number): Observable<NearPattern[]> =>
    this.http.post<NearPattern[]>('/api/patterns/nearest', { foot, limit })
  /** The lines of a drawing or a list of points, as the server reads them. */
  readOutlines = (name: string, content: string): Observable<ReadOutlines> =>
    this.http.post<ReadOutlines>('/api/outlines', { name, content })
  /** Where toe and heels of a line are likely to lie. */
  likelyTaps = (line: DrawnOutline): Observable<Taps> => this.http.post<Taps>('/api/outlines/taps', line)
  /** A line as the outline of a foot. */
  placeOutline = (line: DrawnOutline, taps: Taps): Observable<PlacedOutline> =>
    this.http.post<PlacedOutline>('/api/outlines/placed', { ...line, taps })
  patternTags = (): Observable<string[]> => this.http.get<string[]>('/api/patterns/tags')
  /** What a pattern's file says, read and not stored. */
  readPatternFile = (file: unknown): Observable<{ file: PatternFile }> =>
    this.http.post<{ file: PatternFile }>('/api/patterns/file', { file })
  patternVersions = (id: string): Observable<StoredPattern[]> =>
    this.http.get<StoredPattern[]>(`/api/patterns/${id}/versions`)
  nailTurning = (): Observable<NailTurning> => this.http.get<NailTurning>('/api/nails/turning')
  workshop = (): Observable<WorkshopRecord> => this.http.get<WorkshopRecord>('/api/workshop')
  putWorkshop = (record: WorkshopRecord): Observable<WorkshopRecord> =>
    this.http.put<WorkshopRecord>('/api/workshop', record)
  sizes = (): Observable<Size[]> => this.http.get<Size[]>('/api/sizes')
  tries = (visit: string): Observable<DatedTry[]> =>
    this.http.get<DatedTry[]>('/api/tries', { params: { visit } })
  triesOverTime = (): Observable<TriesOverTime> => this.http.get<TriesOverTime>('/api/tries/over-time')
  putTry = (one: Try): Observable<Try> => this.http.put<Try>(`/api/tries/${one.id}`, one)
  /** Pictures of a horse over all its visits, without their files. */
  pictures = (horse: string): Observable<ListedPicture[]> =>
    this.http.get<ListedPicture[]>('/api/pictures', { params: { horse } })
  /** How many pictures are kept, and how many bytes they take. */
  picturesWeight = (): Observable<{ pictures: number; bytes: number }> =>
    this.http.get<{ pictures: number; bytes: number }>('/api/pictures/weight')
  picture = (id: string): Observable<StoredPicture> => this.http.get<StoredPicture>(`/api/pictures/${id}`)
  erasePicture = (id: string, version: number): Observable<{ erased: true }> =>
    this.http.post<{ erased: true }>(`/api/pictures/${id}/erase`, { version })
  /** How many pictures of visits before a day can be made smaller, and what they weigh. */
  picturesToThin = (before: string): Observable<{ pictures: number; bytes: number }> =>
    this.http.get<{ pictures: number; bytes: number }>('/api/pictures/thin', { params: { before } })
  /** Makes them smaller; answers how many were, and how many bytes that freed. */
  thinPictures = (before: string): Observable<{ pictures: number; bytes: number; broken: number }> =>
    this.http.post<{ pictures: number; bytes: number; broken: number }>('/api/pictures/thin', { before })
  putPicture = (picture: StoredPicture): Observable<StoredPicture> =>
    this.http.put<StoredPicture>(`/api/pictures/${picture.id}`, picture)
  /** As many of the newest as are learned from, with the day and the horse of each. */
  jobs = (): Observable<DatedJob[]> => this.http.get<DatedJob[]>('/api/jobs', { params: { limit: 400 } })
  putJob = (job: Job): Observable<Job> => this.http.put<Job>(`/api/jobs/${job.id}`, job)
  learned = (): Observable<LearnedCut[]> => this.http.get<LearnedCut[]>('/api/jobs/learned')
  putSize = (size: Size): Observable<Size> => this.http.put<Size>(`/api/sizes/${size.id}`, size)
  /** A table of sizes as it would be read; kept only where it is asked for. */
  readSizes = (csv: string, unit: LengthUnit, keep: boolean): Observable<SizesRead> =>
    this.http.post<SizesRead>('/api/sizes/csv', { csv }, { params: { unit, ...(keep && { keep: 'true' }) } })
  practice = (): Observable<PracticeFacts> => this.http.get<PracticeFacts>('/api/practice')
  beginPractice = (beginning: Beginning): Observable<PracticeFacts & { horseId: string | null }> =>
    this.http.post<PracticeFacts & { horseId: string | null }>('/api/practice', beginning)
  swapPractice = (): Observable<PracticeFacts> => this.http.post<PracticeFacts>('/api/practice/swap', {})
  /** What putting a backup back would lose. */
  lookAtBackup = (file: Blob): Observable<Losses> =>
    this.http.post<Losses>('/api/restore', file, { ...OCTETS, params: { look: 1 } })
  putBack = (file: Blob): Observable<{ kept: string }> =>
    this.http.post<{ kept: string }>('/api/restore', file, OCTETS)
  writeBackup = (): Observable<{ file: string }> => this.http.post<{ file: string }>('/api/backup', {})
  importLibrary = (file: Blob): Observable<Upload<ImportReport>> => upload<ImportReport>('/api/library', file)
  session = (): Observable<{ needed: boolean; in: boolean }> =>
    this.http.get<{ needed: boolean; in: boolean }>('/api/session')
  /** Who is signed in; only where a password is needed. */
  signedIn = (): Observable<SignedIn[]> => this.http.get<SignedIn[]>('/api/session/all')
  signOut = (id: string): Observable<unknown> => this.http.post(`/api/session/${id}/end`, {})
  signIn = (password: string): Observable<unknown> => this.http.post('/api/session', { password })
  /** What would go with a record that is erased for good. */
  whatGoes = (kind: 'owner' | 'horse' | 'visit', id: string): Observable<Erasure> =>
    this.http.get<Erasure>(`/api/${kind}s/${id}/erase`)
  erase = (kind: 'owner' | 'horse' | 'visit', id: string, version: number): Observable<Erasure> =>
    this.http.post<Erasure>(`/api/${kind}s/${id}/erase`, { version })
}

const listParams = (search: string, archived: boolean, limit: number): HttpParams =>
  new HttpParams({ fromObject: { search, archived, limit } })

/** A pattern whose foot is like another, and by how much that differs where, mm. */
export interface NearPattern extends FoundPattern {
  distance: number
  mirrored: boolean
  byRegion: Omit<RegionDifference, 'band'>[]
}

/** The iron of a day, with what is on the van and who has no pattern yet. */
export interface IronOfDay extends Omit<DayIron, 'sizes'> {
  sizes: (DayIron['sizes'][number] & { onVan: number | null })[]
  unplanned: { id: string; name: string }[]
}

/** Why a request failed, in words for the screen. */
export function failureText(error: unknown): string {
  if (!(error instanceof HttpErrorResponse)) return 'Something went wrong here.'
  if (error.status === 0) return NO_ANSWER
  const refusal = error.error as Refusal | null
  const messages = refusal?.errors?.map(inWords) ?? []
  return messages.length > 0 ? messages.join(' ') : `The server answered ${error.status}.`
}

/** A schema's own words say nothing of which field they are about: its name stands before them. */
function inWords({ path, message }: Refusal['errors'][number]): string {
  const field = path
    .split('.')
    .filter((part) => !/^\d+$/.test(part))
    .slice(-2)
    .join(' ')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
  return field !== '' && /^(Invalid|Too |Unrecognized|Expected)/.test(message)
    ? `${field[0]!.toUpperCase()}${field.slice(1).toLowerCase()}: ${message}`
    : message
}

/** The server is away, in trouble or asks for patience: the same request may pass later. */
export const isPassing = (error: unknown): boolean =>
  error instanceof HttpErrorResponse &&
  (error.status === 0 || error.status >= 500 || error.status === 408 || error.status === 429)

/** There is no such record (any more). */
export const isGone = (error: unknown): boolean => error instanceof HttpErrorResponse && error.status === 404

/** The stored record, where a stale write was refused. */
export function conflictOf<T>(error: unknown): T | undefined {
  if (!(error instanceof HttpErrorResponse) || error.status !== 409) return undefined
  return (error.error as Refusal<T> | null)?.current
}
