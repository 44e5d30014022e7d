import { ConnectionError, DatabaseError, TimeoutError, UniqueConstraintError } from 'sequelize';

/** SQLSTATE or socket error code of a fault, wherever the driver put it. */
export function faultCode(fault: unknown): string | undefined {
  for (let each: unknown = fault; typeof each === 'object' && each !== null;) {
    const { code, original, parent } = each as { code?: unknown; original?: unknown; parent?: unknown };
    if (typeof code === 'string') return code;
    each = original ?? parent;
  }
  return undefined;
}

/** Serialisation failure, deadlock, no turn in time. */
const LOST_RACE = new Set(['40001', '40P01', '55P03']);
/** Administrator shutdown, crash shutdown, starting up; broken sockets. */
const LOST_CONNECTION = new Set([
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08003',
  '08006',
  'ECONNRESET',
  'ECONNREFUSED',
  'EPIPE',
]);

/**
 * The same form posted twice at the same moment, or two people making the same article or supplier: run again, the second
 * finds what the first made.
 */
const RACED_FOR = new Set(['posts_pkey', 'articles_same_stock', 'suppliers_name']);

/** A fault that goes away when the transaction is run again. */
export function isPassing(fault: unknown): boolean {
  if (RACED_FOR.has(brokenConstraint(fault) ?? '')) return true;
  const code = faultCode(fault);
  if (code !== undefined && (LOST_RACE.has(code) || LOST_CONNECTION.has(code))) return true;
  if (fault instanceof ConnectionError && !(fault instanceof TimeoutError)) return true;
  return (
    fault instanceof Error &&
    /Connection terminated|connection is closed|Client has encountered a connection error/i.test(
      fault.message,
    )
  );
}

/** A unique constraint that two people raced for; `constraint` is its name. */
export function brokenConstraint(fault: unknown): string | undefined {
  if (fault instanceof UniqueConstraintError) {
    const { constraint } = fault.parent as { constraint?: string };
    return constraint ?? '';
  }
  return undefined;
}

/** What to tell a person about a fault of the database, when there is something they can do; otherwise undefined. */
export function plainFault(fault: unknown): string | undefined {
  const code = faultCode(fault);
  if (code === '53100')
    return 'The disk of the database is full. Nothing was posted; free some space and try again.';
  if (fault instanceof DatabaseError && code === '57014')
    return 'The database took too long to answer. Nothing was posted; try again.';
  if (isPassing(fault))
    return 'The database is not answering. Nothing was posted; what you typed is still here. Try again in a moment.';
  return undefined;
}
