import { checksOf } from '@/core/bench/checks';
import { writeRounds } from '@/core/bench/rounds';
import { PATTERN_KINDS, type PatternKind } from '@/core/pattern/pattern';
import { Link } from '@/ui/Link';
import { lastBookCheck } from '@/studio/books/lastCheck';
import { listPeople } from '@/studio/people/helpers';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { isCurrencyOpen } from '@/studio/settings/changeCurrency';
import { readSettings } from '@/studio/settings/settings';
import { Money } from '@/ui/money';
import { Moment } from '@/ui/When';
import { pageOwner } from '../../lib/member';
import { areStandInsOffered } from '@/devices/devices';
import { readDevices } from '@/studio/settings/devices';
import { ChecksForm } from './ChecksForm';
import { CurrencyForm } from './CurrencyForm';
import { DevicesForm } from './DevicesForm';
import { HelperForm } from './HelperForm';
import { RoundsForm } from './RoundsForm';
import { RulesForm } from './RulesForm';
import { settingsValues } from './settingsValues';
import { Said } from '@/ui/house';

const mapKinds = <T,>(of: (kind: PatternKind) => T): Readonly<Record<PatternKind, T>> =>
  Object.fromEntries(PATTERN_KINDS.map((kind) => [kind, of(kind)])) as Record<PatternKind, T>;

export const metadata = { title: 'House rules' };

export default async function RulesPage() {
  const { session } = await pageOwner();
  const settings = await readSettings(session);
  const people = await listPeople(session);
  const check = await lastBookCheck(session);
  return (
    <>
      <h1>
        An hour at your bench costs <Money of={settings.hourlyRate} /> and{' '}
        <Money of={settings.overheadPerHour} /> of overhead
      </h1>
      <RulesForm
        key={settings.version}
        values={settingsValues(settings)}
        specs={await listSpecs(session)}
        currency={settings.currency}
      />
      <RoundsForm rounds={writeRounds(settings.rounds)} />
      <ChecksForm checks={mapKinds((kind) => checksOf(settings.checks, kind))} />
      <section className="leaf mt-6 p-4">
        <h2>Currency</h2>
        <div className="mt-2">
          {(await isCurrencyOpen(session)) ? (
            <CurrencyForm key={settings.version} version={settings.version} currency={settings.currency} />
          ) : (
            <p>
              Books are kept in {settings.currency}. There are amounts in them already, so this stays: one
              currency does not become another by renaming it.
            </p>
          )}
        </div>
      </section>
      <section className="leaf mt-6 p-4">
        <h2>The books</h2>
        <p className="mt-2">
          {check ? (
            <>
              Checked <Moment at={check.checkedAt} />: <Said>{check.movements.toLocaleString('en-US')}</Said>{' '}
              movements rebuilt,{' '}
              {check.differences === 0 ? (
                'every length and every cost agrees.'
              ) : (
                <strong>
                  {check.differences} {check.differences === 1 ? 'balance differs' : 'balances differ'}. The
                  first: {check.firstDifference}. Type ./run check-books to list them all.
                </strong>
              )}
            </>
          ) : (
            'Not checked yet. '
          )}{' '}
          <span className="muted">Once a day every balance is rebuilt from its movements and compared.</span>
        </p>
      </section>
      <DevicesForm
        devices={await readDevices(session)}
        standIns={areStandInsOffered(process.env['PEWTERER_MODE'])}
      />
      <section className="leaf mt-6 p-4">
        <h2>Programs</h2>
        <p className="mt-2">
          Spreadsheets and scripts can ask how much wire something takes.{' '}
          <Link className="link" href="/rules/programs">
            Tokens, and what may be asked
          </Link>
        </p>
      </section>
      <section className="leaf mt-6 p-4">
        <h2>People</h2>
        <ul className="mt-2 space-y-1">
          {people.map(({ userId, name, login, role }) => (
            <li key={userId}>
              {name}{' '}
              <span className="muted">
                signs in as {login} · {role}
              </span>
            </li>
          ))}
        </ul>
        <HelperForm key={people.length} />
      </section>
    </>
  );
}
