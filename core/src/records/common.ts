import * as z from 'zod'
import { DAY_RANGE } from '../terms/days'

/** Made by the client, so that a repeated request is harmless. */
export const idSchema = z.uuid()

/** A calendar day, `2026-11-23`, without a time zone. */
export const daySchema = z.iso
  .date('A day is written 2026-11-23')
  .refine((day) => day >= DAY_RANGE[0] && day <= DAY_RANGE[1], 'A day lies between 1990 and 2099')

/** One line of text. */
export const lineSchema = z.string().trim().max(200)

/** Free text. */
export const textSchema = z.string().max(20_000)

/** What every stored record carries: 0 before it is first stored, one more at each change. */
export const versionSchema = z.number().int().min(0)

/** Set by the server; ignored when sent. */
export const stampSchema = z.iso.datetime().optional()

/** What stands in every record. */
export const stored = { id: idSchema, version: versionSchema, createdAt: stampSchema, updatedAt: stampSchema }
