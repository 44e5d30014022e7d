'use client';

import { useCallback, useState } from 'react';
import type { WantedCut } from '@/core/pattern/pattern';
import type { ShorterCourse, ShortWire } from '@/core/pattern/shorterCourse';
import { formatToMark, mm, sumLengths, um, type Micrometres } from '@/core/units/length';
import { readInput } from '@/studio/kernel/readInput';
import { ShortWireInput } from '@/studio/sittings/sittings.input';
import { LengthField } from '@/ui/form/fields';
import { FormEnd } from '@/ui/form/FormEnd';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { Said } from '@/ui/house';
import { Reckoned, useLengths } from '@/ui/lengths';
import { shorterWireAction } from './actions';

/** What was found for a wire of a length. */
interface Found extends ShortWire {
  readonly length: Micrometres;
}

/** What a piece can do with a wire that was cut too short, once it is told how long it is: keep it with shorter ends, or with less of something. */
export function TooShort({
  sitting,
  wire,
  onKept,
}: {
  readonly sitting: string;
  readonly wire: WantedCut;
  /** It is kept at that length, and what is done otherwise then. */
  readonly onKept: (length: Micrometres, does: string) => void;
}) {
  const [found, setFound] = useState<Found>();
  const { form, submit, sending, problem } = useStudioForm({
    input: ShortWireInput,
    defaultValues: { cutIndex: wire.cutIndex, length: '' },
    send: useCallback(
      async (_: string, typed: ShortWireInput) => {
        const answer = await shorterWireAction(sitting, typed);
        if (!answer.ok) return answer;
        const { length } = await readInput(ShortWireInput, typed);
        return { ok: true as const, value: { ...answer.value, length } };
      },
      [sitting],
    ),
    onDone: setFound,
    // What is found of it is not kept either.
    typedFor: null,
  });
  const stays = um(wire.length - sumLengths(wire.tails));
  return (
    <FormBox onSubmit={submit} className="no-print mt-3" label={`${wire.name}, too short`}>
      <p className="muted">
        Of it <Reckoned of={stays} /> stay in the piece: what is longer still does, with shorter ends to hold.
        What is shorter may do with less of something.
      </p>
      <div className="mt-1 max-w-64">
        <LengthField control={form.control} name="length" label="How long it is" />
      </div>
      <FormEnd problem={problem} sending={sending} action="What it could do" busy="Looking…" quiet />
      <div aria-live="polite">
        {found && !sending && <WhatItDoes found={found} wire={wire} onKept={onKept} />}
      </div>
    </FormBox>
  );
}

function WhatItDoes({
  found: { length, stays, courses },
  wire,
  onKept,
}: {
  found: Found;
  wire: WantedCut;
  onKept: (length: Micrometres, does: string) => void;
}) {
  const { system } = useLengths();
  if (length >= wire.length) return <p>That is as long as is planned: it need not be lost.</p>;
  const isEnough = length > stays;
  if (!isEnough && courses.length === 0) return <p>No measure by itself can take up so much: cut another.</p>;
  const told = (of: number, { kind }: ShorterCourse) =>
    kind === 'count' ? String(of) : formatToMark(mm(of), system);
  return (
    <ul aria-label="What it could do" className="mt-2 space-y-2">
      {isEnough && (
        <Choice
          does={`Shorter ends to hold, ${formatToMark(um(length - stays), system)} in all`}
          onTaken={(does) => onKept(length, does)}
        />
      )}
      {courses.map((course) => (
        <Choice
          key={`${course.name} ${course.label}`}
          does={`“${course.label}” of ${course.name.toLowerCase()} ${told(course.value, course)} instead of ${told(course.was, course)}`}
          besides={course.others.map(
            ({ name, cut, was }) =>
              `${name} takes ${formatToMark(mm(cut), system)} then, not ${formatToMark(mm(was), system)}.`,
          )}
          onTaken={(does) => onKept(length, does)}
        />
      ))}
    </ul>
  );
}

function Choice({
  does,
  besides = [],
  onTaken,
}: {
  does: string;
  /** What else changes with it. */
  besides?: readonly string[];
  onTaken: (does: string) => void;
}) {
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-3">
      <span>
        <Said>{does}</Said>
        {besides.map((each) => (
          <span key={each} className="muted block">
            <Said>{each}</Said>
          </span>
        ))}
      </span>
      <button
        type="button"
        className="btn min-h-12"
        aria-label={`Keep it: ${does}`}
        onClick={() => onTaken(does)}
      >
        Keep it so
      </button>
    </li>
  );
}
