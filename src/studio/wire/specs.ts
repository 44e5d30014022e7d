import { randomUUID } from 'node:crypto';
import { expectOk } from '@/core/result';
import { parseLength } from '@/core/units/length';
import { gaugeSize, type GaugeLabel, type GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import { hasOwnHeight, usualHeight, type Profile } from '@/core/wire/profile';
import { describeSpec, specKey, type WireSpec } from '@/core/wire/spec';
import type { Tx } from '@/data/inStudio';
import { WireSpecRow } from '@/data/models/wire';
import type { WireSpecInput } from './receiveWire.input';

/** A wire spec the studio has, with its id. */
export interface KnownSpec extends WireSpec {
  readonly id: string;
}

/** The spec that a form describes. The form must have passed its input class. */
export function specFromInput(input: WireSpecInput): WireSpec {
  const label: GaugeLabel = {
    system: input.gaugeSystem as GaugeSystem,
    number: input.gaugeNumber.trim().replace(',', '.'),
  };
  const width = expectOk(gaugeSize(label));
  const profile = input.profile as Profile;
  return {
    metal: input.metal as MetalId,
    profile,
    width,
    height: hasOwnHeight(profile) ? expectOk(parseLength(input.height)) : usualHeight(profile, width),
    temper: input.temper as Temper,
    finish: input.finish as Finish,
    finishName: input.finish === 'bare' ? '' : input.finishName.trim(),
    label,
  };
}

/** A stored spec as the core knows it. */
export function specFromRow(
  row: Omit<WireSpecRow['dataValues'], 'studioId' | 'sortKey' | 'said'>,
): KnownSpec {
  const { specId, widthUm, heightUm, gaugeSystem, gaugeNumber, metal, profile, temper, finish, finishName } =
    row;
  return {
    id: specId,
    metal,
    profile,
    width: widthUm,
    height: heightUm,
    temper,
    finish,
    finishName,
    label: { system: gaugeSystem, number: gaugeNumber },
  };
}

/** The studio's spec that is the same stock, made when there is none yet. */
export async function ensureSpec(tx: Tx, spec: WireSpec): Promise<KnownSpec> {
  const { studioId } = tx.session;
  const sortKey = specKey(spec);
  const found = await WireSpecRow.findOne({ where: { studioId, sortKey }, ...tx.within });
  if (found) return specFromRow(found);
  const specId = randomUUID();
  await tx.add(WireSpecRow, [
    {
      specId,
      metal: spec.metal,
      profile: spec.profile,
      widthUm: spec.width,
      heightUm: spec.height,
      temper: spec.temper,
      finish: spec.finish,
      finishName: spec.finishName,
      gaugeSystem: spec.label.system,
      gaugeNumber: spec.label.number,
      sortKey,
      said: describeSpec(spec).toLowerCase(),
    },
  ]);
  return { ...spec, id: specId };
}

/** Specs by id. */
export async function specsById(tx: Tx, ids: readonly string[]): Promise<Map<string, KnownSpec>> {
  const rows = await WireSpecRow.findAll({
    where: { studioId: tx.session.studioId, specId: [...new Set(ids)] },
    ...tx.within,
  });
  return new Map(rows.map((row) => [row.specId, specFromRow(row)]));
}

/** Every spec of the studio in rack order: a studio has some hundred at most. */
export async function allSpecs(tx: Tx): Promise<KnownSpec[]> {
  const rows = await WireSpecRow.findAll({
    where: { studioId: tx.session.studioId },
    order: ['sortKey'],
    limit: 1000,
    ...tx.within,
  });
  return rows.map(specFromRow);
}
