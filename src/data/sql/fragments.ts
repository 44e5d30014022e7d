import { int, text, uuid } from '../columns';
import type { Micrometres } from '@/core/units/length';
import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';

/** Over stock_pieces p: what of it is set aside by hand or for other batches than $batchId, or for any when that is null. */
export const RESERVED_FOR_OTHERS = `COALESCE((SELECT sum(o.quantity) FROM reservations o WHERE o.studio_id = p.studio_id
  AND o.stock_piece_id = p.stock_piece_id AND (o.batch_id IS NULL OR o.batch_id IS DISTINCT FROM $batchId::uuid)), 0)::bigint`;

/** Over stock_pieces p: what a single thing, a stone, is set aside for, in words; empty when it is free. */
export const SET_ASIDE_FOR = `COALESCE((SELECT CASE WHEN o.batch_id IS NULL THEN o.note
    ELSE 'R-' || lpad(b.number::text, greatest(4, length(b.number::text)), '0') || ' ' || b.name END
  FROM reservations o LEFT JOIN batches b ON b.studio_id = o.studio_id AND b.batch_id = o.batch_id
  WHERE o.studio_id = p.studio_id AND o.stock_piece_id = p.stock_piece_id ORDER BY o.batch_id LIMIT 1), '')`;

/**
 * Over reservations s: whether it is a wire that was cut for its batch and that no piece is made of yet. What is left of such a wire once
 * its piece is made is wire like any other.
 */
export const IN_TRAY = `s.purpose = 'tray'`;

/** Over batches b: how its cuts stand. That they are stale follows from what the batch has lost, and is kept nowhere. */
export const PLANNING = `CASE WHEN b.state = 'open' AND b.planning <> 'working' AND EXISTS (SELECT l.reason FROM reservation_losses l WHERE l.studio_id = b.studio_id AND l.batch_id = b.batch_id) THEN 'stale' ELSE b.planning END`;

/** Over batches b: what there is to say of how its cuts stand. */
export const PLANNING_SAID = `CASE WHEN b.state = 'open' AND b.planning <> 'working' THEN COALESCE((SELECT l.reason FROM reservation_losses l WHERE l.studio_id = b.studio_id AND l.batch_id = b.batch_id), b.planning_said) ELSE b.planning_said END`;

/** The columns of wire_specs s that make a spec. */
export const SPEC_COLUMNS = `s.spec_id AS "specId", s.metal, s.profile, s.width_um AS "widthUm", s.height_um AS "heightUm", s.twist, s.temper,
  s.finish, s.finish_name AS "finishName", s.gauge_system AS "gaugeSystem", s.gauge_number AS "gaugeNumber"`;

/** Their types. */
export const SPEC_GIVES = {
  specId: uuid<'article'>(),
  metal: text<MetalId>(),
  profile: text<Profile>(),
  widthUm: int<Micrometres>(),
  heightUm: int<Micrometres>(),
  twist: int(),
  temper: text<Temper>(),
  finish: text<Finish>(),
  finishName: text(),
  gaugeSystem: text<GaugeSystem>(),
  gaugeNumber: text(),
} as const;
