import { expectOk } from '@/core/result';
import { gaugeSize } from '@/core/wire/gauge';
import { usualHeight } from '@/core/wire/profile';
import type { WireSpec } from '@/core/wire/spec';
import { readSoFar } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { WireSpecInput } from './receiveWire.input';

type SpecRead = ValuesOf<WireSpecInput>;

/** The spec that a form describes. */
export function specOf({ gaugeNumber: label, height, ...rest }: SpecRead): WireSpec {
  const width = expectOk(gaugeSize(label));
  const { metal, profile, temper, finish, finishName } = rest;
  return {
    metal,
    profile,
    width,
    height: height ?? usualHeight(profile, width),
    temper,
    finish,
    finishName,
    label,
  };
}

/** The spec that a form describes while it is being typed; undefined until its size can be read. */
export function specSoFar(texts: WireSpecInput): WireSpec | undefined {
  const read = { height: null, finishName: '', ...readSoFar(WireSpecInput, texts) };
  return isWhole(read) ? specOf(read) : undefined;
}

const isWhole = (read: Partial<SpecRead>): read is SpecRead =>
  [read.metal, read.profile, read.gaugeNumber, read.temper, read.finish].every((each) => each !== undefined);
