'use client';

import { OpenFieldset } from '@/ui/form/OpenFieldset';
import { useState } from 'react';
import { CARD_KINDS, ROLL_KINDS, type CardKind } from '@/core/paper/cards';
import { counted } from '@/core/units/counted';
import { useDevice } from '@/app/lib/devices';
import { SimulatedLabelPrinter } from '@/devices/labelPrinter/simulated';
import type { Label } from '@/studio/labels/labels';
import type { PrintedAs } from '@/studio/instruments/instruments.input';
import type { PlaceView } from '@/studio/stock/places';
import { useToast } from '@/ui/toasts';
import { useAct } from '@/ui/useAct';
import { printLabelsAction } from '../parts/instrumentActions';

interface LabelSheetProps {
  readonly labels: readonly Label[];
  /** What is printed of them: labels, or a kind of tag or card. */
  readonly printedAs: string;
  readonly unknown: readonly string[];
  readonly places: readonly PlaceView[];
}

/** Tags and cards of finished pieces, as they are chosen. */
const CARD_SAID: Readonly<Record<CardKind, string>> = {
  'price tag': 'price tags, to be cut',
  'string tag': 'string tags, to be folded',
  'care card': 'care cards for buyers',
  certificate: 'certificates: what each is made of',
};

/** Chooses labels, and how they are printed: a sheet, or the label printer. */
export function LabelSheet({ labels, printedAs, unknown, places }: LabelSheetProps) {
  const printer = useDevice('label printer');
  const [as, setAs] = useState(printedAs);
  const [layout, setLayout] = useState('sheet');
  const [code, setCode] = useState('qr');
  const tags = labels.map(({ tag }) => tag);
  const pieceTags = tags.filter((tag) => tag.startsWith('F-'));
  const isCard = as !== 'label' && pieceTags.length > 0;
  // What is too large for a roll is printed on sheets only.
  const onRoll = isCard ? ROLL_KINDS.find((kind) => kind === as) : 'label';
  const address = isCard
    ? `/labels.pdf?items=${pieceTags.join(',')}&as=${as.replace(' ', '+')}`
    : `/labels.pdf?items=${tags.join(',')}&layout=${layout}&code=${code}`;
  return (
    <>
      <div className="mt-4 grid items-start gap-4 lg:grid-cols-3">
        <form action="/labels" role="search" aria-label="Labels by tag" className="leaf p-4">
          <label className="text-sm font-semibold">
            Tags
            <input
              name="items"
              className="input w-full text-base font-normal"
              defaultValue={tags.join(' ')}
              placeholder="W-0042 B-0003 S-0007"
            />
          </label>
          <button type="submit" className="btn mt-3">
            These labels
          </button>
        </form>
        <form action="/labels" role="search" aria-label="Labels of a place" className="leaf p-4">
          <label className="text-sm font-semibold">
            Or everything in
            <select name="place" className="select w-full text-base font-normal" defaultValue="">
              <option value="">Choose a place…</option>
              {places.map(({ id, name, pieces }) => (
                <option key={id} value={id}>
                  {name} ({pieces})
                </option>
              ))}
            </select>
          </label>
          <button type="submit" className="btn mt-3">
            Its labels
          </button>
        </form>
        <div className="leaf p-4">
          <OpenFieldset className="grid grid-cols-2 gap-3">
            {pieceTags.length > 0 && (
              <label className="col-span-2 text-sm font-semibold">
                As
                <select
                  className="select w-full text-base font-normal"
                  value={as}
                  onChange={(event) => setAs(event.target.value)}
                >
                  <option value="label">labels</option>
                  {CARD_KINDS.map((kind) => (
                    <option key={kind} value={kind}>
                      {CARD_SAID[kind]}
                    </option>
                  ))}
                </select>
              </label>
            )}
            {!isCard && (
              <>
                <label className="text-sm font-semibold">
                  On
                  <select
                    className="select w-full text-base font-normal"
                    value={layout}
                    onChange={(event) => setLayout(event.target.value)}
                  >
                    <option value="sheet">a sheet of labels</option>
                    <option value="small">small labels</option>
                  </select>
                </label>
                <label className="text-sm font-semibold">
                  With
                  <select
                    className="select w-full text-base font-normal"
                    value={code}
                    onChange={(event) => setCode(event.target.value)}
                  >
                    <option value="qr">a QR code</option>
                    <option value="code128">a Code 128</option>
                  </select>
                </label>
              </>
            )}
          </OpenFieldset>
          {labels.length > 0 && (
            <a href={address} target="_blank" rel="noreferrer" className="btn btn-primary mt-3">
              Open the PDF
            </a>
          )}
        </div>
      </div>
      {unknown.length > 0 && (
        <p role="alert" className="mt-3 border-l-4 border-warning bg-warning/20 p-3">
          Nothing has the tag {unknown.slice(0, 8).join(', ')}.
        </p>
      )}
      {labels.length > 0 && (
        <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(16rem,1fr)]">
          <ul className="grid gap-2 sm:grid-cols-2 xl:grid-cols-3">
            {labels.map((label) => (
              <li key={label.tag} className="leaf p-3">
                <span className="font-display text-lg font-bold">{label.tag}</span>
                <span className="block text-sm">{label.name}</span>
                <span className="muted block text-sm">
                  {[label.form, label.place].filter(Boolean).join(' · ')}
                </span>
              </li>
            ))}
          </ul>
          {printer === 'simulated' && onRoll && (
            <PrinterPanel tags={onRoll === 'label' ? tags : pieceTags} as={onRoll} />
          )}
          {printer === 'address' && onRoll && (
            <AddressedPrinter tags={onRoll === 'label' ? tags : pieceTags} as={onRoll} />
          )}
        </div>
      )}
    </>
  );
}

/** A label printer at an address: it is sent the labels. */
function AddressedPrinter({ tags, as }: { tags: readonly string[]; as: PrintedAs }) {
  const { busy, problem, run } = useAct();
  const toast = useToast();
  return (
    <section aria-label="Label printer" className="leaf p-4">
      <h2>Label printer</h2>
      <button
        type="button"
        className="btn mt-2"
        disabled={busy}
        onClick={() =>
          void run(
            () => printLabelsAction({ tags: [...tags], as }),
            (count) => toast(`${counted(count, as)} sent to the printer.`),
          )
        }
      >
        {busy ? 'Sending …' : `Print ${counted(tags.length, as)}`}
      </button>
      {problem && (
        <p role="alert" className="mt-2 font-semibold text-error">
          {problem}
        </p>
      )}
    </section>
  );
}

/** The simulated label printer: what came out of it, and how much paper is left. */
function PrinterPanel({ tags, as }: { tags: readonly string[]; as: PrintedAs }) {
  const [printer] = useState(() => new SimulatedLabelPrinter());
  const [state, setState] = useState<{ printed: readonly string[]; paper: number; short: number }>({
    printed: [],
    paper: printer.paper,
    short: 0,
  });
  const shown = (short: number) => setState({ printed: [...printer.printed], paper: printer.paper, short });
  return (
    <section aria-label="Label printer" className="leaf p-4">
      <h2>Label printer</h2>
      <p className="muted text-sm">A stand-in: {state.paper} labels are left on its roll.</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button
          type="button"
          className="btn"
          onClick={async () => {
            const out = await printer.print(as === 'label' ? tags : tags.map((tag) => `${tag}, ${as}`));
            shown(tags.length - out);
          }}
        >
          Print {counted(tags.length, as)}
        </button>
        <button
          type="button"
          className="btn btn-ghost"
          onClick={() => {
            printer.reload();
            shown(0);
          }}
        >
          New roll
        </button>
      </div>
      <p role="status" className="mt-2">
        {state.short > 0 && (
          <strong>
            The roll ran out: {state.short} {state.short === 1 ? 'label was' : 'labels were'} not printed.
          </strong>
        )}
      </p>
      <ol className="mt-1 text-sm">
        {state.printed.slice(0, 12).map((tag, index) => (
          <li key={index}>{tag}</li>
        ))}
      </ol>
    </section>
  );
}
