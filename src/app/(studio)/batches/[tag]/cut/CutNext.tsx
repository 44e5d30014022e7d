'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, useTransition } from 'react';
import { roundSpan } from '@/core/ruler';
import { readTag, tag } from '@/core/tag';
import { um, writableLength } from '@/core/units/length';
import type { NextCut } from '@/studio/cuttingTable/cuttingTable';
import { CutWireInput } from '@/studio/cuttingTable/cutWire.input';
import { MarkList } from '@/ui/craft/MarkList';
import { Field, TextInput } from '@/ui/form/Field';
import { LengthField } from '@/ui/form/fields';
import { FormBox } from '@/ui/form/FormBox';
import { useStudioForm } from '@/ui/form/useStudioForm';
import { Length, Reckoned, useLengths } from '@/ui/lengths';
import { useToast } from '@/ui/toasts';
import { useKeys } from '@/ui/useKeys';
import { WireBar } from '@/ui/WireBar';
import { WireChip } from '@/ui/WireChip';
import { cutWireAction } from '../../actions';
import { Said } from '@/ui/house';

/** The stock piece that was scanned last: while the cuts come from it, it need not be scanned again. */
let scannedLast = '';

/** One cut, large: from which stock piece, how long, where to mark it; a single key says that it is cut. */
export function CutNext({ number, next }: { number: number; next: NextCut }) {
  const router = useRouter();
  const toast = useToast();
  const { system } = useLengths();
  const [coming, startComing] = useTransition();
  const { cut, piece, spec, stock, marks } = next;
  const path = `/batches/${tag('batch', number)}/cut`;
  const goOn = useCallback(
    () =>
      startComing(() => {
        router.replace(path, { scroll: false });
        router.refresh();
      }),
    [router, path],
  );
  const send = useCallback(
    async (key: string, values: CutWireInput) => {
      const answer = await cutWireAction(key, number, values);
      if (!answer.ok && answer.problem.kind === 'refused') {
        // Somebody else was here meanwhile: the table goes on, and what it says must outlive this form.
        toast(answer.problem.message);
        goOn();
      }
      return answer;
    },
    [number, toast, goOn],
  );
  const onDone = useCallback(
    ({ replanned }: { replanned: boolean }) => {
      // An ordinary cut is told by the heading, which goes on to the next.
      if (replanned) toast('Cut. The rest of this wire is planned again.');
      goOn();
    },
    [toast, goOn],
  );
  const { line, piece: index, cutIndex, copy } = cut;
  const { form, submit, problem, sending } = useStudioForm({
    typedFor: null,
    input: CutWireInput,
    defaultValues: {
      line,
      piece: index,
      cutIndex,
      copy,
      from: stock.id,
      length: writableLength(cut.length, system),
    },
    send,
    onDone,
  });
  const button = useRef<HTMLButtonElement>(null);
  const scan = useScan(stock.number, () => button.current?.focus());
  const shut = sending || coming || scan.wrong !== '';
  useKeys([
    { keys: 'c', does: 'It is cut, checked twice', run: () => !shut && void submit() },
    { keys: 's', does: 'Scan the stock piece', run: scan.focus },
    // What a scanner types begins with the letter of the tag: the rest of it goes into the box.
    { keys: 'W', does: 'A scanned tag', run: scan.begin },
  ]);
  const span = roundSpan(um(Math.max(cut.length, 50_000)));
  return (
    <FormBox onSubmit={submit} label="The next cut">
      <WireBar
        spec={spec}
        length={cut.length}
        span={span}
        height={24}
        marks={marks.map(({ at, what }) => ({ at, name: what }))}
      />
      <div className="mt-3 grid items-start gap-x-8 gap-y-4 md:grid-cols-2">
        <div className="space-y-3">
          <div className="at-a-glance font-display font-bold tabular-nums">
            <Reckoned of={cut.length} cut />
          </div>
          <p className="[overflow-wrap:anywhere]">
            {cut.name}, for “{piece}”, piece {index + 1}
          </p>
          <MarkList marks={marks} on={cut.name} />
          <div className="no-print">
            <LengthField control={form.control} name="length" label="Really cut" />
          </div>
        </div>
        <div className="space-y-3">
          <div className="at-a-glance font-display font-bold tabular-nums">{tag('wire', stock.number)}</div>
          <p>
            {stock.form}
            {stock.place && (
              <>
                , <strong>{stock.place}</strong>
              </>
            )}
            {', '}
            {stock.length === cut.length ? (
              'just as long: take all of it'
            ) : (
              <>
                <Length of={stock.length} short /> of it free for this
              </>
            )}
          </p>
          <WireChip spec={spec} />
          <div className="no-print">
            <Field
              label={`Scan or type ${tag('wire', stock.number)} to be sure (s)`}
              error={scan.wrong}
              hint={scan.isSure ? 'That is the one.' : undefined}
            >
              {(ties) => (
                <TextInput
                  {...ties}
                  ref={scan.ref}
                  value={scan.text}
                  onChange={(event) => scan.type(event.target.value)}
                  onKeyDown={(event) => {
                    if (event.key !== 'Enter') return;
                    event.preventDefault();
                    scan.read();
                  }}
                  onBlur={scan.read}
                />
              )}
            </Field>
          </div>
        </div>
      </div>
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          <Said>{problem.message}</Said>
        </p>
      )}
      <div className="no-print mt-4 flex flex-wrap items-center gap-4">
        <button ref={button} type="submit" className="btn btn-primary btn-xl" disabled={shut}>
          {sending ? 'Posting …' : 'Cut, checked twice'} <kbd className="kbd kbd-sm text-base-content">c</kbd>
        </button>
        <p className="muted">Hold both sides of the wire when you cut: ends fly. Wear eye protection.</p>
      </div>
    </FormBox>
  );
}

/** Reads the tag of the stock piece at hand, and says when it is another. */
function useScan(wanted: number, onSure: () => void) {
  const label = tag('wire', wanted);
  const ref = useRef<HTMLInputElement>(null);
  const [text, setText] = useState(scannedLast === label ? label : '');
  const [wrong, setWrong] = useState('');
  const [isSure, setSure] = useState(scannedLast === label);
  // Who scans goes on scanning: the box waits for the next stock piece.
  useEffect(() => {
    if (scannedLast !== '' && scannedLast !== label) ref.current?.focus();
  }, [label]);
  return {
    ref,
    text,
    wrong,
    isSure,
    focus: () => ref.current?.focus(),
    begin: () => {
      ref.current?.focus();
      setText('W');
      setWrong('');
      setSure(false);
    },
    type: (typed: string) => {
      setText(typed);
      setWrong('');
      setSure(false);
    },
    read: () => {
      if (text.trim() === '') {
        setWrong('');
        return;
      }
      const read = readTag(text);
      const right = read?.kind === 'wire' && read.number === wanted;
      setSure(right);
      setWrong(
        right
          ? ''
          : read
            ? `That is ${tag(read.kind, read.number)}; take ${label}.`
            : `“${text.slice(0, 40)}” is no tag; ${label} is wanted.`,
      );
      if (right) {
        scannedLast = label;
        onSure();
      }
    },
  };
}
