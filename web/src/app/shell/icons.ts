import { inject, provideEnvironmentInitializer, type EnvironmentProviders } from '@angular/core'
import { MatIconRegistry } from '@angular/material/icon'
import { DomSanitizer } from '@angular/platform-browser'
import add from '@material-symbols/svg-400/outlined/add.svg'
import archive from '@material-symbols/svg-400/outlined/archive.svg'
import back from '@material-symbols/svg-400/outlined/arrow_back.svg'
import bench from '@material-symbols/svg-400/outlined/hardware.svg'
import caliper from '@material-symbols/svg-400/outlined/straighten.svg'
import camera from '@material-symbols/svg-400/outlined/photo_camera.svg'
import caution from '@material-symbols/svg-400/outlined/warning.svg'
import check from '@material-symbols/svg-400/outlined/check_circle.svg'
import close from '@material-symbols/svg-400/outlined/close.svg'
import copy from '@material-symbols/svg-400/outlined/history.svg'
import dark from '@material-symbols/svg-400/outlined/dark_mode.svg'
import download from '@material-symbols/svg-400/outlined/download.svg'
import edit from '@material-symbols/svg-400/outlined/edit.svg'
import fit from '@material-symbols/svg-400/outlined/fit_screen.svg'
import folder from '@material-symbols/svg-400/outlined/folder_open.svg'
import help from '@material-symbols/svg-400/outlined/help.svg'
import light from '@material-symbols/svg-400/outlined/light_mode.svg'
import mirror from '@material-symbols/svg-400/outlined/flip.svg'
import more from '@material-symbols/svg-400/outlined/more_vert.svg'
import note from '@material-symbols/svg-400/outlined/info.svg'
import pause from '@material-symbols/svg-400/outlined/pause_circle.svg'
import person from '@material-symbols/svg-400/outlined/person.svg'
import print from '@material-symbols/svg-400/outlined/print.svg'
import rack from '@material-symbols/svg-400/outlined/shelves.svg'
import redo from '@material-symbols/svg-400/outlined/redo.svg'
import reset from '@material-symbols/svg-400/outlined/restart_alt.svg'
import round from '@material-symbols/svg-400/outlined/route.svg'
import save from '@material-symbols/svg-400/outlined/save.svg'
import search from '@material-symbols/svg-400/outlined/search.svg'
import settings from '@material-symbols/svg-400/outlined/tune.svg'
import stable from '@material-symbols/svg-400/outlined/cottage.svg'
import stop from '@material-symbols/svg-400/outlined/dangerous.svg'
import undo from '@material-symbols/svg-400/outlined/undo.svg'
import unarchive from '@material-symbols/svg-400/outlined/unarchive.svg'
import upload from '@material-symbols/svg-400/outlined/upload.svg'

/** Every icon by the name the screens use; drawn files of a published icon set, shipped inside the program. */
const ICONS = {
  add,
  archive,
  back,
  bench,
  caliper,
  camera,
  caution,
  check,
  close,
  copy,
  dark,
  download,
  edit,
  fit,
  folder,
  help,
  light,
  mirror,
  more,
  note,
  pause,
  person,
  print,
  rack,
  redo,
  reset,
  round,
  save,
  search,
  settings,
  stable,
  stop,
  undo,
  unarchive,
  upload,
}

/** Makes the icons known to `mat-icon` before the first screen. */
export const provideIcons = (): EnvironmentProviders =>
  provideEnvironmentInitializer(() => {
    const registry = inject(MatIconRegistry)
    const sanitizer = inject(DomSanitizer)
    for (const [name, text] of Object.entries(ICONS)) {
      registry.addSvgIconLiteral(name, sanitizer.bypassSecurityTrustHtml(text))
    }
  })
