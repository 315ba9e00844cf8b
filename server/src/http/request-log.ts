import { stdSerializers, type Logger } from 'pino'
import { pinoHttp } from 'pino-http'

const { err } = stdSerializers

/** Writes down each request to the API. */
export const requestLog = (logger: Logger) =>
  pinoHttp({
    logger,
    autoLogging: { ignore: (request) => !request.url?.startsWith('/api') },
    // Without the query: what somebody searches for is nobody else's business. No headers: they carry the session.
    serializers: {
      req: ({ id, method, url }: { id: unknown; method: string; url: string }) => ({
        id,
        method,
        url: url.split('?')[0],
      }),
      res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      // Who is asked to come again is no fault of the server: a line, without the way it went through the code.
      err: (error: Error) =>
        error.message.startsWith('failed with status code') ? error.message : err(error),
    },
  })
