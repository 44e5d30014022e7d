import { tag } from '@/core/tag';
import { sayMoreThanPlanned } from '@/core/learning/sayMore';
import { counted } from '@/core/units/counted';
import type { Advice } from '@/studio/logbook/advice';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { Cost } from '@/ui/money';

/** What comes out otherwise than planned again and again, each with where it is mended. */
export function Advised({ advice: { wires, steps, rings, spoiled, composed } }: { advice: Advice }) {
  if (wires.length + steps.length + rings.length === 0 && spoiled === null) return null;
  const change = (number: number) =>
    `/patterns/${tag('pattern', number)}/${composed.has(number) ? 'compose' : 'edit'}`;
  return (
    <section className="leaf mt-4 p-4">
      <h2>What to change by it</h2>
      <ul className="mt-2 space-y-2" aria-label="What to change">
        {wires.map(({ of: { number, name, wire }, learned: { value, count } }) => (
          <Item key={`${number} ${wire}`} href={change(number)} act="Change its length">
            “{wire}” of {name} takes {sayMoreThanPlanned(Math.exp(value) - 1)}
            <From makings={count} />
          </Item>
        ))}
        {steps.map(({ of: { number, name, step, planned }, learned: { value, count } }) => (
          <Item key={`${number} ${step}`} href={change(number)} act="Change its minutes">
            “<Said>{step}</Said>” of {name} takes{' '}
            <Said>{`${figure(planned * Math.exp(value))} min rather than ${figure(planned)}`}</Said>
            <From makings={count} />
          </Item>
        ))}
        {rings.map(({ of: { number, name }, learned: { value, count } }) => (
          <Item key={number} href={change(number)} act="Change the size it is begun at">
            {name} comes out <Said>{Math.abs(value).toFixed(1)}</Said> US sizes{' '}
            {value > 0 ? 'large' : 'small'}
            <From makings={count} />
          </Item>
        ))}
        {spoiled && (
          <Item href="/ledger?kind=spoiled" act="See what was spoiled">
            Most is lost by “{spoiled.reason}”: <Cost of={spoiled.cost} /> of <Cost of={spoiled.all} /> in a
            year, {counted(spoiled.times, 'time')}
          </Item>
        )}
      </ul>
    </section>
  );
}

const figure = (minutes: number): string => String(Math.round(minutes * 10) / 10);

const From = ({ makings }: { makings: number }) => (
  <span className="muted">, from {counted(makings, 'making')}</span>
);

function Item({ href, act, children }: { href: string; act: string; children: React.ReactNode }) {
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 [overflow-wrap:anywhere]">
      <span>{children}.</span>
      <Link href={href} className="link no-print">
        {act}
      </Link>
    </li>
  );
}
