'use client';

import { useEffect, useRef, useState } from 'react';
import { useFormState, useWatch, type Control, type UseFormReturn } from 'react-hook-form';
import { tag } from '@/core/tag';
import { formatLengthShort, um, writableLength, type Micrometres } from '@/core/units/length';
import type { Choice, MakingProposal } from '@/studio/making/proposeMaking';
import { readSoFar } from '@/studio/kernel/readInput';
import { DoneCutInput, SpoiledInput, type MakePieceInput } from '@/studio/making/makePiece.input';
import { MarkList } from '@/ui/craft/MarkList';
import { ChoiceField, LengthField } from '@/ui/form/fields';
import { Length, Reckoned, useLengths } from '@/ui/lengths';
import { WireBar } from '@/ui/WireBar';
import { WireChip } from '@/ui/WireChip';
import { LearnedLength } from './LearnedLength';

type Form = UseFormReturn<MakePieceInput>;
type FormControl = Control<MakePieceInput>;
type Cut = MakingProposal['cuts'][number];

/** A cut with its place in the form. */
interface PlacedCut {
  readonly cut: Cut;
  readonly index: number;
}

/** Cuts that are the same but for which copy they are, and that are proposed from the same wire. */
export function alikeIn(cuts: readonly Cut[]): PlacedCut[][] {
  const groups: PlacedCut[][] = [];
  for (const [index, cut] of cuts.entries()) {
    const group = groups.at(-1);
    const first = group?.[0]?.cut;
    const isAlike =
      first?.cutIndex === cut.cutIndex && first.from === cut.from && first.length === cut.length;
    if (group && isAlike) group.push({ cut, index });
    else groups.push([{ cut, index }]);
  }
  return groups;
}

/** What was done with a wire, without which one it is. */
const doneWith = ({ from, cut, back }: MakePieceInput['cuts'][number]): string =>
  JSON.stringify([from, cut, back]);

/**
 * Has what was done with the first of some wires be what was done with all of them, until somebody says otherwise of one: then, or when
 * something is wrong with another than the first, they stand one by one.
 */
function useAlike({ control, setValue, getValues }: Form, alike: readonly PlacedCut[]) {
  const [first = 0, ...others] = alike.map(({ index }) => index);
  const [apart, setApart] = useState(false);
  const done = useWatch({ control, name: `cuts.${first}` });
  const { errors } = useFormState({ control, name: 'cuts' });
  const now = doneWith(done);
  const before = useRef(now);
  useEffect(() => {
    const theirs = others.map((index) => doneWith(getValues(`cuts.${index}`)));
    const known = new Set([before.current, now]);
    before.current = now;
    if (apart) return;
    if (!theirs.every((each) => known.has(each))) {
      setApart(true);
      return;
    }
    for (const index of others) {
      const { cutIndex, copy } = getValues(`cuts.${index}`);
      setValue(`cuts.${index}`, { ...done, cutIndex, copy });
    }
    // Only what is done with the first one matters.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [now, apart]);
  const isWrong = (index: number) => errors.cuts?.[index] !== undefined;
  return { isApart: apart || (!isWrong(first) && others.some(isWrong)), setApart };
}

/** Wires that are cut alike, told once; or one by one, when they were not. */
export function AlikeWires({
  form,
  alike,
  proposal: { pattern, choices, learned },
  span,
}: {
  form: Form;
  alike: readonly PlacedCut[];
  proposal: MakingProposal;
  span: Micrometres;
}) {
  const { control, setValue } = form;
  const { system } = useLengths();
  const { isApart, setApart } = useAlike(form, alike);
  const [first] = alike;
  if (!first) return null;
  const { cut } = first;
  const spec = pattern.specs[cut.specId];
  const { name = cut.name, marks = [] } = pattern.body.cuts[cut.cutIndex] ?? {};
  const isOne = alike.length === 1;
  const known = learned.find(({ cutIndex }) => cutIndex === cut.cutIndex);
  return (
    <li className="py-3">
      {spec && (
        <WireBar
          spec={spec}
          length={cut.length}
          span={span}
          height={20}
          marks={marks.map(({ at, what }) => ({ at, name: what }))}
        />
      )}
      <MarkList marks={marks} on={cut.name} />
      <div className="mt-1 grid items-start gap-x-4 gap-y-2 lg:grid-cols-[minmax(15rem,5fr)_11fr]">
        <div>
          <p className="text-2xl font-semibold [overflow-wrap:anywhere]">
            {isOne ? cut.name : `${alike.length} × ${name}`}
          </p>
          <p>
            <strong>
              <Reckoned of={cut.length} cut />
            </strong>
            {!isOne && ' each'}
          </p>
          {spec && <WireChip spec={spec} />}
          {known && (
            <LearnedLength
              learned={known}
              pattern={tag('pattern', pattern.number)}
              planned={cut.length}
              onCut={(length) => {
                for (const { index } of isApart ? alike : [first])
                  setValue(`cuts.${index}.cut`, writableLength(length, system), { shouldDirty: true });
              }}
            />
          )}
          {!isOne && (
            <p className="mt-1">
              <button type="button" className="btn btn-sm" onClick={() => setApart(!isApart)}>
                {isApart ? 'All as the first' : 'One by one'}
              </button>
            </p>
          )}
        </div>
        <div className="space-y-2">
          {(isApart ? alike : [first]).map(({ index }) => (
            <div key={index} className="grid items-start gap-x-4 gap-y-2 sm:grid-cols-[5fr_3fr_3fr]">
              <ChoiceField
                control={control}
                name={`cuts.${index}.from`}
                label={
                  isApart || isOne
                    ? `Cut ${index + 1} from`
                    : `Cuts ${first.index + 1} ${alike.length === 2 ? 'and' : 'to'} ${first.index + alike.length} from`
                }
                choices={choicesFor(choices, cut.specId, system)}
                hint={<LeftOn control={control} index={index} choices={choices} />}
              />
              <LengthField control={control} name={`cuts.${index}.cut`} label="Really cut" />
              <LengthField control={control} name={`cuts.${index}.back`} label="Came back" several />
            </div>
          ))}
        </div>
      </div>
    </li>
  );
}

/** What a wire may be cut from. */
export function choicesFor(choices: readonly Choice[], specId: string, system: 'in' | 'mm') {
  return choices
    .filter((choice) => choice.specId === specId)
    .map(({ id, number, form, length }) => ({
      value: id,
      text: `${tag('wire', number)} · ${form} · ${formatLengthShort(length, system)}`,
    }));
}

/** What stays on the chosen length after every cut of this form from it. */
function LeftOn({
  control,
  index,
  choices,
}: {
  control: FormControl;
  index: number;
  choices: readonly Choice[];
}) {
  const cuts = useWatch({ control, name: 'cuts' });
  const spoiled = useWatch({ control, name: 'spoiled' });
  const from = cuts[index]?.from;
  const choice = choices.find(({ id }) => id === from);
  if (!choice) return null;
  const total =
    cuts
      .filter((each) => each.from === from)
      .reduce((sum, each) => sum + (readSoFar(DoneCutInput, each).cut ?? 0), 0) +
    spoiled
      .filter((each) => each.from === from)
      .reduce((sum, each) => sum + (readSoFar(SpoiledInput, each).length ?? 0), 0);
  const left = choice.length - total;
  return left >= 0 ? (
    <>
      <Length of={um(left)} /> stays on it
    </>
  ) : (
    <strong className="text-error">
      <Length of={um(-left)} /> more than there is on it
    </strong>
  );
}
