'use client';

import type { KnownChannel } from '@/studio/selling/channels';
import type { Standing } from '@/studio/selling/standing';
import { StandingInput } from '@/studio/selling/standing.input';
import { ActForm } from '@/ui/form/ActForm';
import { ChoiceField, MoneyField, TextField } from '@/ui/form/fields';
import { newKey } from '@/ui/newKey';
import { Money } from '@/ui/money';
import { useAct } from '@/ui/useAct';
import { useDone } from '@/ui/useDone';
import { Day } from '@/ui/When';
import { strikeStandingAction, writeStandingAction } from './actions';

/** What it cost to stand somewhere, day by day, and the form for another. */
export function StandingCosts({
  channels,
  standing,
  today,
}: {
  channels: readonly Pick<KnownChannel, 'id' | 'name'>[];
  standing: readonly Standing[];
  today: string;
}) {
  const done = useDone(() => 'It is written down: what was sold there that day bears it.');
  return (
    <section className="leaf mt-3 p-4" aria-label="What standing there cost">
      <h2>What standing there cost</h2>
      <p className="muted">
        Stall rent, the way there: shared by what was paid over all that was sold there on the day.
      </p>
      <ul className="mt-2">
        {standing.map((each) => (
          <StandingRow key={each.id} standing={each} />
        ))}
      </ul>
      <div className="no-print mt-3">
        <ActForm
          input={StandingInput}
          defaultValues={{ channel: channels[0]?.id ?? '', day: today, amount: '', note: '' }}
          send={writeStandingAction}
          onDone={done}
          action="Write down what it cost"
          busy="Writing …"
          typedFor="standing"
          className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4"
          key={standing.length}
        >
          {(control) => (
            <>
              <ChoiceField
                control={control}
                name="channel"
                label="Where you stood"
                choices={channels.map(({ id, name }) => ({ value: id, text: name }))}
              />
              <TextField control={control} name="day" label="On" type="date" />
              <MoneyField control={control} name="amount" label="It cost" />
              <TextField control={control} name="note" label="What for" placeholder="Stall and parking" />
            </>
          )}
        </ActForm>
      </div>
    </section>
  );
}

function StandingRow({ standing: { id, channel, day, amount, note } }: { standing: Standing }) {
  const { busy, problem, run } = useAct();
  const done = useDone(() => 'It is taken back.');
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-t border-base-300 py-1">
      <Day at={day} />
      <span className="font-semibold">{channel}</span>
      <span>
        <Money of={amount} />
      </span>
      <span className="muted [overflow-wrap:anywhere]">{note}</span>
      <button
        type="button"
        className="btn btn-ghost no-print ml-auto min-h-11"
        disabled={busy}
        onClick={() => void run(() => strikeStandingAction(newKey(), id), done)}
      >
        Take it back
      </button>
      {problem !== '' && <p className="w-full font-semibold text-error">{problem}</p>}
    </li>
  );
}
