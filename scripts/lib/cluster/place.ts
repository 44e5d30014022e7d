import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { Refusal } from '../say';
import { asDatabaseUser, isRoot, versionOf } from './programs';

/** Clusters whose data folder PostgreSQL's unprivileged user may not enter (a home folder of root, say). */
const OUTSIDE = '/var/lib/pewterer';
const INSIDE = 'cluster';

const isCluster = (place: string): boolean => versionOf(place) !== undefined;

/** Names, beside a cluster that lies outside, the data folder whose books it holds. */
const ownerNote = (cluster: string): string => `${cluster}.belongs-to`;

function ownerOf(cluster: string): string | undefined {
  return fs.existsSync(ownerNote(cluster)) ? fs.readFileSync(ownerNote(cluster), 'utf8').trim() : undefined;
}

export function noteOwner(cluster: string, folder: string): void {
  if (!isInside(cluster, folder))
    fs.writeFileSync(ownerNote(cluster), fs.realpathSync(folder), { flush: true });
}

const isInside = (cluster: string, folder: string): boolean =>
  path.dirname(path.resolve(cluster)) === path.resolve(folder);

/** How a data folder writes down where its cluster lies. */
export const asWritten = (cluster: string, folder: string): string =>
  isInside(cluster, folder) ? path.relative(folder, cluster) : cluster;

/**
 * The cluster of a data folder, made or to be made. One that lies in the folder always wins over what the folder's notes say,
 * so that a copied or moved folder opens its own books and never those it was copied from.
 * @param written what the folder's notes say, if they could be read
 * @throws Refusal when the notes lead to books of another folder, or to none
 */
export function placeOf(folder: string, written: string | undefined): string {
  const inside = path.join(folder, INSIDE);
  if (isCluster(inside)) return inside;
  if (written === undefined) return lostAndFound(folder) ?? (mayEnter(folder) ? inside : outsidePlace());
  const place = path.resolve(folder, written);
  if (!isCluster(place) || isInside(place, folder)) return mayEnter(folder) ? inside : outsidePlace(place);
  const owner = ownerOf(place) ?? folder;
  const here = fs.realpathSync(folder);
  if (owner !== here && fs.existsSync(path.join(owner, 'secrets.json')))
    throw new Refusal(
      `${folder} is a copy of ${owner}, and the database is not in either of them but in ${place}. ` +
        `It stays with ${owner}. To go on here instead, move ${path.join(owner, 'secrets.json')} away; ` +
        `for a studio of its own, copy ${place} to ${inside} while the other one is stopped.`,
    );
  return place;
}

const outsidePlace = (given?: string): string =>
  given?.startsWith(`${OUTSIDE}/`) ? given : path.join(OUTSIDE, randomUUID());

/** A cluster outside whose note names this folder. */
function lostAndFound(folder: string): string | undefined {
  if (!fs.existsSync(OUTSIDE)) return undefined;
  const here = fs.realpathSync(folder);
  return fs
    .readdirSync(OUTSIDE)
    .map((name) => path.join(OUTSIDE, name))
    .find((place) => isCluster(place) && ownerOf(place) === here);
}

const mayEnter = (folder: string): boolean =>
  !isRoot() || asDatabaseUser('/usr/bin/test', ['-x', folder]).status === 0;
