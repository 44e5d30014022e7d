import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { MOVEMENT_WORDS } from '@/app/lib/words';
import { isDay } from '@/core/calendar/day';
import { MOVEMENT_KIND_LIST } from '@/core/stock/movement';
import { WARE_WORDS, WARES } from '@/core/stock/ware';
import { tag, TAG_PATHS } from '@/core/tag';
import type { StudioSession } from '@/studio/kernel/useCase';
import { showLedger, type LedgerLine } from '@/studio/ledger/ledgerPage';
import { LedgerPageQuery } from '@/studio/ledger/ledger.input';
import { stockValueOn } from '@/studio/ledger/valueOn';
import { Amount } from '@/ui/Amount';
import { Cost } from '@/ui/money';
import { Day } from '@/ui/When';
import { TakeBack } from './TakeBack';

export const metadata = { title: 'Ledger' };

export default async function LedgerPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { on, before, ...query } = await asked(searchParams, LedgerPageQuery);
  const page = await showLedger(session, before === undefined ? query : { ...query, before });
  const isOwner = session.role === 'owner';
  const filtered = Object.keys(query).length > 0;
  // What was posted together is taken back together: once, at what it began with.
  const begunBy = new Map(page.lines.map(({ postKey, id }) => [postKey, id]));
  return (
    <>
      <h1>{page.lines[0] ? <Latest line={page.lines[0]} /> : 'The ledger is empty'}</h1>
      <form
        action="/ledger"
        role="search"
        aria-label="The ledger"
        className="leaf no-print mt-3 grid grid-cols-2 gap-3 p-3 md:grid-cols-4 xl:grid-cols-7"
      >
        <Box label="Item" name="item" value={query.item} placeholder="W-0042, F-0007, R-0003, words" />
        <Choice
          label="What"
          name="kind"
          value={query.kind}
          choices={MOVEMENT_KIND_LIST.map((kind) => [kind, MOVEMENT_WORDS[kind]])}
        />
        <Choice
          label="Of"
          name="ware"
          value={query.ware}
          choices={WARES.map((ware) => [ware, WARE_WORDS[ware].many])}
        />
        <Choice
          label="By"
          name="person"
          value={query.person}
          choices={page.people.map(({ id, name }) => [id, name])}
        />
        <Box label="From" name="from" value={query.from} type="date" />
        <Box label="To" name="to" value={query.to} type="date" />
        <span className="flex items-end gap-2">
          <button type="submit" className="btn">
            Show
          </button>
          {filtered && (
            <Link href="/ledger" className="btn btn-ghost">
              All
            </Link>
          )}
        </span>
      </form>
      {isOwner && <Value session={session} day={on} />}
      <div className="leaf mt-4 overflow-x-auto p-3">
        <table className="table table-sm">
          <thead>
            <tr>
              <th>When</th>
              <th>What</th>
              <th>Of</th>
              <th className="text-right">How much</th>
              {isOwner && <th className="text-right">Cost</th>}
              <th>For</th>
              <th>By</th>
              {isOwner && <th className="no-print">Take back</th>}
            </tr>
          </thead>
          <tbody>
            {page.lines.map((line) => (
              <Row
                key={line.id}
                line={line}
                isOwner={isOwner}
                begins={line.id === begunBy.get(line.postKey)}
              />
            ))}
          </tbody>
        </table>
        {page.lines.length === 0 && <p className="p-4">Nothing in the ledger is like that.</p>}
      </div>
      {page.next && (
        <nav aria-label="More of the ledger" className="no-print mt-4">
          <Link
            href={{ pathname: '/ledger', query: { ...query, before: page.next } }}
            className="btn"
            rel="next"
          >
            Earlier
          </Link>
        </nav>
      )}
    </>
  );
}

const Latest = ({ line }: { line: LedgerLine }) => (
  <>
    Last in the ledger: {tag(line.ware, line.number)} {MOVEMENT_WORDS[line.kind]}, <Day at={line.at} />
  </>
);

function Row({ line, isOwner, begins }: { line: LedgerLine; isOwner: boolean; begins: boolean }) {
  const { id, at, who, kind, ware, number, article, unit, quantity, cost, reason, pieceNumber, pieceName } =
    line;
  return (
    <tr className={line.reversedBy === null ? '' : 'line-through'}>
      <td>
        <Link
          href={`/ledger?posting=${line.postKey}`}
          className="link link-hover inline-block min-h-6"
          title="Everything that was posted together with it"
        >
          <Day at={at} />
        </Link>
      </td>
      <td>
        {line.reverses !== null && 'taken back: '}
        {MOVEMENT_WORDS[kind]}
        {reason && <span className="muted"> · {reason}</span>}
      </td>
      <td>
        <Link className="link whitespace-nowrap" href={`${TAG_PATHS[ware]}/${tag(ware, number)}`}>
          {tag(ware, number)}
        </Link>{' '}
        {article}
      </td>
      <td className="text-right">
        <Amount ware={ware} unit={unit} of={quantity} signed />
      </td>
      {isOwner && <td className="text-right">{cost !== null && <Cost of={cost} />}</td>}
      <td>
        {pieceNumber !== null && (
          <Link className="link" href={`/shelf/${tag('piece', pieceNumber)}`}>
            {tag('piece', pieceNumber)} {pieceName}
          </Link>
        )}
      </td>
      <td>{who}</td>
      {isOwner && (
        <td className="no-print">
          {begins && line.reverses === null && line.reversedBy === null && <TakeBack movementId={id} />}
        </td>
      )}
    </tr>
  );
}

async function Value({ session, day }: { session: StudioSession; day: string | undefined }) {
  const past = day !== undefined && isDay(day) ? day : undefined;
  const value = await stockValueOn(session, past);
  return (
    <section className="leaf mt-4 p-4" aria-label="What the stock cost">
      <h2>
        {past ? (
          <>
            At the end of <Day at={value.day} /> the stock cost
          </>
        ) : (
          'The stock cost'
        )}{' '}
        <Cost of={value.total} />
      </h2>
      <p className="mt-1 flex flex-wrap gap-x-5">
        {value.wares.map(({ ware, cost }) => (
          <span key={ware}>
            {WARE_WORDS[ware].many} <Cost of={cost} />
            {ware === 'scrap' && <span className="muted"> (not counted in)</span>}
          </span>
        ))}
      </p>
      <form action="/ledger" className="no-print mt-2 flex flex-wrap items-end gap-2">
        <Box label="On another day" name="on" value={past} type="date" />
        <button type="submit" className="btn">
          Look back
        </button>
      </form>
    </section>
  );
}

function Box({
  label,
  name,
  value,
  type = 'text',
  placeholder,
}: {
  label: string;
  name: string;
  value: string | undefined;
  type?: 'text' | 'date';
  placeholder?: string;
}) {
  return (
    <label className="min-w-0 text-sm font-semibold">
      {label}
      <input
        name={name}
        type={type}
        defaultValue={value ?? ''}
        className="input w-full text-base font-normal"
        {...(placeholder === undefined ? {} : { placeholder })}
      />
    </label>
  );
}

function Choice({
  label,
  name,
  value,
  choices,
}: {
  label: string;
  name: string;
  value: string | undefined;
  choices: readonly (readonly [string, string])[];
}) {
  return (
    <label className="min-w-0 text-sm font-semibold">
      {label}
      <select name={name} defaultValue={value ?? ''} className="select w-full text-base font-normal">
        <option value="">all</option>
        {choices.map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
