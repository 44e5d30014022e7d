import type { Instrumentation } from 'next';

/** Logs every fault that reaches the framework, under the id that the error page shows. */
export const onRequestError: Instrumentation.onRequestError = async (error, request, context) => {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { log } = await import('./studio/kernel/log');
  const { digest } = error as { digest?: string };
  log.error(
    {
      errorId: digest,
      requestId: request.headers['x-request-id'],
      method: request.method,
      path: request.path.split('?')[0],
      route: context.routePath,
      err: error instanceof Error ? { message: error.message, stack: error.stack } : String(error),
    },
    'request failed',
  );
};
