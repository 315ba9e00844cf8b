import * as z from 'zod'

/** Made by the client, so that a repeated request is harmless. */
export const idSchema = z.uuid()

/** A calendar day, `2026-11-23`, without a time zone. */
export const daySchema = z.iso.date()

/** One line of text. */
export const lineSchema = z.string().trim().max(200)

/** Free text. */
export const textSchema = z.string().max(20_000)

/** What every stored record carries: 0 before it is first stored, one more at each change. */
export const versionSchema = z.number().int().min(0)

/** Set by the server; ignored when sent. */
export const stampSchema = z.iso.datetime().optional()
