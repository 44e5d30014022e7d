'use client';

/** What broke, in words, with the id under which the log tells more. */
export default function ErrorPage({
  error,
  reset,
}: {
  error: Error & { digest?: string };
  reset: () => void;
}) {
  return (
    <main className="mx-auto max-w-xl p-6">
      <title>Something broke · Pewterer</title>
      <h1>Something broke on our side</h1>
      <p className="mt-3">
        Nothing was posted. Try again; if it stays, this number says in the log what happened:
      </p>
      <p className="my-3 font-mono text-lg">{error.digest ?? 'no id: it happened in this browser'}</p>
      <button type="button" className="btn btn-primary btn-lg" onClick={reset}>
        Try again
      </button>
    </main>
  );
}
