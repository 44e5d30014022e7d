import pino from 'pino';

/** Structured log on standard output; one JSON object a line. Secrets and what people type are never logged. */
export const log = pino({
  level: process.env['LOG_LEVEL'] ?? 'info',
  base: { app: 'pewterer' },
  timestamp: pino.stdTimeFunctions.isoTime,
});
