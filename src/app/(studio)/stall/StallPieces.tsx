'use client';

import { useState } from 'react';
import { toggled } from '@/core/selling/stall';
import { numberOnTag, tag } from '@/core/tag';
import type { KnownChannel } from '@/studio/selling/channels';
import { KeptFor } from '@/app/lib/basket/BasketFields';
import { ScanTags } from '@/app/lib/scan/ScanTags';
import { Money } from '@/ui/money';
import { SmallPicture } from '@/ui/SmallPicture';
import type { AskedPiece } from './askedPiece';
import type { StallHere } from './useStall';

/** So many cards are shown, and so many more when they are asked for. */
const SHOWN = 60;

/** A number alone is that of a piece, too. */
const numberIn = (typed: string): number | undefined =>
  numberOnTag('piece', /^\d+$/.test(typed) ? `F-${typed}` : typed);

function isLike({ number, name, kind, size }: AskedPiece, typed: string): boolean {
  const wanted = numberIn(typed);
  if (wanted !== undefined) return number === wanted;
  const said = `${name} ${kind} ${size}`.toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => said.includes(word));
}

/** Pieces by their pictures: found by looking, by a word, or by the tag that is typed or scanned. */
export function StallPieces({
  pieces,
  channels,
  channel,
  stall: { kept, isThere, change },
}: {
  pieces: readonly AskedPiece[];
  channels: readonly KnownChannel[];
  channel: KnownChannel;
  stall: StallHere;
}) {
  const [typed, setTyped] = useState('');
  const [said, setSaid] = useState('');
  const [most, setMost] = useState(SHOWN);
  const boxes = [...new Set(pieces.map(({ place }) => place))].filter((each) => each !== '').toSorted();
  const there = pieces.filter(
    ({ number, place }) =>
      (isThere(number) || kept.basket.includes(number)) && (kept.box === '' || place === kept.box),
  );
  const like = there.filter((piece) => typed.trim() === '' || isLike(piece, typed.trim()));

  /** What is scanned goes into the basket at once; of what is typed, the one that is meant. */
  const take = (sought: string) => {
    const wanted = numberIn(sought);
    const meant = there.filter((piece) => isLike(piece, sought));
    const [only] = meant;
    if (only && meant.length === 1) {
      if (!kept.basket.includes(only.number)) change((now) => toggled(now, only.number));
      setTyped('');
      setSaid(`${only.name} is in the basket.`);
    } else if (wanted !== undefined) setSaid(`${tag('piece', wanted)} is not at this stall.`);
    else setSaid(`${meant.length} pieces are like that; touch the one that is meant.`);
  };

  return (
    <>
      <form
        className="mt-2 flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          take(typed.trim());
        }}
      >
        <label className="min-w-0 grow basis-full sm:basis-0">
          <span className="sr-only">Number on the tag, or a word</span>
          <input
            type="search"
            className="input min-h-12 w-full text-base"
            placeholder="Number on the tag, or a word"
            autoComplete="off"
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value);
              setSaid('');
            }}
          />
        </label>
        {channels.length > 1 && (
          <label className="min-w-0 grow basis-0">
            <span className="sr-only">Where it is sold</span>
            <select
              className="select min-h-12 w-full text-base"
              value={channel.id}
              onChange={({ target }) => change((now) => ({ ...now, channel: target.value }))}
            >
              {channels.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        {boxes.length > 0 && (
          <label className="min-w-0 grow basis-0">
            <span className="sr-only">Out of which box</span>
            <select
              className="select min-h-12 w-full text-base"
              value={kept.box}
              onChange={({ target }) => change((now) => ({ ...now, box: target.value }))}
            >
              <option value="">All that is there</option>
              {boxes.map((box) => (
                <option key={box}>{box}</option>
              ))}
            </select>
          </label>
        )}
      </form>
      <div className="mt-2">
        <ScanTags onTag={take} />
      </div>
      <p role="status" className="mt-1 min-h-6 font-semibold">
        {said}
      </p>
      <ul aria-label="Pieces" className="mt-1 grid grid-cols-2 gap-2 pb-28 sm:grid-cols-3 lg:grid-cols-5">
        {like.slice(0, most).map((piece) => (
          <li key={piece.number}>
            <PieceCard
              piece={piece}
              isTaken={kept.basket.includes(piece.number)}
              onTouch={() => change((now) => toggled(now, piece.number))}
            />
          </li>
        ))}
      </ul>
      {like.length === 0 && <p className="leaf p-4">Nothing here is like that.</p>}
      {like.length > most && (
        <button type="button" className="btn mb-28 w-full" onClick={() => setMost(most + SHOWN)}>
          {like.length - most} more
        </button>
      )}
    </>
  );
}

function PieceCard({
  piece: { number, name, size, flaw, asked, keptFor, photo },
  isTaken,
  onTouch,
}: {
  piece: AskedPiece;
  isTaken: boolean;
  onTouch: () => void;
}) {
  return (
    <button
      type="button"
      aria-pressed={isTaken}
      onClick={onTouch}
      className={`leaf flex h-full w-full cursor-pointer flex-col gap-1 p-2 text-left ${isTaken ? 'outline-4 -outline-offset-2 outline-primary' : ''}`}
    >
      {photo === null ? (
        <SmallPicture of="piece" number={number} name={name} className="aspect-square w-full" />
      ) : (
        <img
          src={`/photos/${photo}`}
          alt={`“${name}”, photographed`}
          loading="lazy"
          className="aspect-square w-full rounded object-cover"
        />
      )}
      <span className="leading-tight font-semibold [overflow-wrap:anywhere]">{name}</span>
      {size !== '' && <span className="leading-tight">{size}</span>}
      {flaw !== '' && <span className="leading-tight">as it is: {flaw}</span>}
      {keptFor !== null && <KeptFor who={keptFor} />}
      {isTaken && <span className="font-semibold text-primary">in the basket</span>}
      <span className="mt-auto flex flex-wrap items-baseline justify-between gap-x-2">
        <span>{tag('piece', number)}</span>
        <span className="text-xl font-bold">{asked === null ? 'no price' : <Money of={asked} />}</span>
      </span>
    </button>
  );
}
