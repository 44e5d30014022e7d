import type { Migration } from './migration';
import { studio } from './0001-studio';
import { wire } from './0002-wire';

/** Every step of the schema, in order. Steps that have shipped are never changed; a change is a new step. */
export const MIGRATIONS: readonly Migration[] = [studio, wire];
