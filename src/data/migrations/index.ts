import type { Migration } from './migration';
import { studio } from './0001-studio';
import { wire } from './0002-wire';
import { stockroom } from './0003-stockroom';
import { drawers } from './0004-drawers';
import { counting } from './0005-counting';
import { tokens } from './0006-tokens';
import { batches } from './0007-batches';
import { cutting } from './0008-cutting';
import { checks } from './0009-checks';
import { names } from './0010-names';
import { parts } from './0011-parts';
import { lists } from './0012-lists';
import { labour } from './0013-labour';
import { devices } from './0014-devices';
import { costs } from './0015-costs';
import { deliveries } from './0016-deliveries';
import { turns } from './0017-turns';
import { intoDrawers } from './0018-into-drawers';
import { zones } from './0019-zones';
import { identity } from './0020-identity';
import { writing } from './0021-writing';
import { sizes } from './0022-sizes';
import { wasteOfMade } from './0023-waste-of-made';
import { stoneOutlines } from './0024-stone-outlines';
import { reservations } from './0025-reservations';
import { linesAsValues } from './0026-lines-as-values';
import { makingLog } from './0027-making-log';
import { sittings } from './0028-sittings';
import { timedMakings } from './0029-timed-makings';
import { rulings } from './0030-rulings';
import { timedSteps } from './0031-timed-steps';
import { bends } from './0032-bends';
import { pieceLives } from './0033-piece-lives';
import { selling } from './0034-selling';
import { brokenUp } from './0035-broken-up';
import { stalls } from './0036-stalls';
import { customers } from './0037-customers';
import { orders } from './0038-orders';

/** Every step of the schema, in order. Steps that have shipped are never changed; a change is a new step. */
export const MIGRATIONS: readonly Migration[] = [
  studio,
  wire,
  stockroom,
  drawers,
  counting,
  tokens,
  batches,
  cutting,
  checks,
  names,
  parts,
  lists,
  labour,
  devices,
  costs,
  deliveries,
  turns,
  intoDrawers,
  zones,
  identity,
  writing,
  sizes,
  wasteOfMade,
  stoneOutlines,
  reservations,
  linesAsValues,
  makingLog,
  sittings,
  timedMakings,
  rulings,
  timedSteps,
  bends,
  pieceLives,
  selling,
  brokenUp,
  stalls,
  customers,
  orders,
];
