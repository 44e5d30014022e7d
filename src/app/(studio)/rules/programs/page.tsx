import { pageOwner } from '@/app/lib/member';
import { TECHNIQUES } from '@/core/techniques/registry';
import { ENDPOINTS, answerTechnique } from '@/studio/calculate/endpoints';
import { listTokens } from '@/studio/tokens/tokens';
import { Day } from '@/ui/When';
import { MakeToken } from './MakeToken';
import { RevokeToken } from './RevokeToken';

export const metadata = { title: 'Programs' };

const TECHNIQUE_EXAMPLE = { stone: { outline: 'oval', lengthMm: 18, widthMm: 13, edgeMm: 2 }, wires: 3 };

export default async function ProgramsPage() {
  const { session } = await pageOwner();
  const tokens = await listTokens(session);
  const working = tokens.filter(({ revokedAt }) => !revokedAt);
  const asked = await Promise.all(
    Object.entries(ENDPOINTS).map(async ([name, { summary, example, answer }]) => ({
      address: `/api/v1/calculate/${name}`,
      summary,
      example,
      answer: await answer(example, session),
    })),
  );
  const technique = await answerTechnique('bundle-frame', TECHNIQUE_EXAMPLE);
  return (
    <>
      <h1>
        {working.length === 0
          ? 'No program may ask your studio yet'
          : `${working.length} ${working.length === 1 ? 'program' : 'programs'} may ask your studio`}
      </h1>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(18rem,2fr)_5fr]">
        <section className="leaf p-4">
          <h2>Tokens</h2>
          <p className="muted mt-1">
            A program signs in with a token of its own. Taken back, it is refused at once.
          </p>
          <ul className="mt-2">
            {tokens.map(({ tokenId, name, role, madeAt, revokedAt }) => (
              <li
                key={tokenId}
                className="flex min-h-12 flex-wrap items-center gap-x-3 border-b border-base-300 py-1 last:border-b-0"
              >
                <span className="font-semibold">{name}</span>
                <span className="muted text-sm">
                  as {role} · made <Day at={madeAt} />
                  {revokedAt && (
                    <>
                      {' '}
                      · taken back <Day at={revokedAt} />
                    </>
                  )}
                </span>
                {!revokedAt && <RevokeToken tokenId={tokenId} name={name} />}
              </li>
            ))}
          </ul>
          <MakeToken />
        </section>
        <section className="leaf min-w-0 p-4">
          <h2>What may be asked</h2>
          <p className="mt-1">
            Requests are JSON, sent with <code>Authorization: Bearer</code> and the token. Lengths are in mm,
            masses in g. A wrong field is answered with 400 and a sentence that says what was given and what
            is allowed; an unknown one is refused too. All of it is described in{' '}
            <a className="link" href="/api/v1/openapi.json">
              openapi.json
            </a>
            .
          </p>
          <ul className="mt-3 divide-y divide-base-300">
            {asked.map(({ address, summary, example, answer }) => (
              <li key={address}>
                <Asked
                  address={address}
                  summary={summary}
                  example={example}
                  answer={answer.ok ? answer.value : {}}
                />
              </li>
            ))}
            <li>
              <Asked
                address="/api/v1/calculate/technique/bundle-frame"
                summary={`Cuts, marks, steps and judgements of a technique, one of ${TECHNIQUES.length}`}
                example={TECHNIQUE_EXAMPLE}
                answer={technique.ok ? technique.value : {}}
              />
            </li>
          </ul>
          <h3 className="mt-4">Techniques by name</h3>
          <p className="mt-1 [overflow-wrap:anywhere]">
            {TECHNIQUES.map(({ id, title }, index) => (
              <span key={id}>
                {index > 0 && ' · '}
                <code>{id}</code> <span className="muted">{title}</span>
              </span>
            ))}
          </p>
        </section>
      </div>
    </>
  );
}

/** One question with its answer, as a program sends and gets it. */
function Asked({
  address,
  summary,
  example,
  answer,
}: {
  address: string;
  summary: string;
  example: object;
  answer: object;
}) {
  return (
    <details className="py-2">
      <summary className="min-h-11 cursor-pointer">
        <code className="font-semibold [overflow-wrap:anywhere]">POST {address}</code>
        <span className="muted block text-sm">{summary}</span>
      </summary>
      <div className="grid gap-3 pb-3 md:grid-cols-2">
        <Json title="Sent" of={example} />
        <Json title="Answered" of={answer} />
      </div>
    </details>
  );
}

const Json = ({ title, of }: { title: string; of: object }) => (
  <figure className="min-w-0">
    <figcaption className="text-sm font-semibold">{title}</figcaption>
    <pre className="mt-1 max-h-96 overflow-auto border border-base-300 bg-base-200 p-3 text-sm" tabIndex={0}>
      {JSON.stringify(of, null, 2)}
    </pre>
  </figure>
);
