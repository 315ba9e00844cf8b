import type { Provider } from '@angular/core'
import { MAT_FORM_FIELD_DEFAULT_OPTIONS } from '@angular/material/form-field'

/** Framed form fields. Given by the screens that have fields, so that the first load need not bring them. */
export const OUTLINED_FIELDS: Provider = {
  provide: MAT_FORM_FIELD_DEFAULT_OPTIONS,
  useValue: { appearance: 'outline' },
}
