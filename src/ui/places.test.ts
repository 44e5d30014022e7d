import fs from 'node:fs';
import path from 'node:path';
import { DEEDS, isWithin, PATTERN_ROOM, PLACES, placesByName, STOCKROOM } from './places';

const APP = path.join(__dirname, '../app/(studio)');
const ROOMS = ['', '(stockroom)', '(patternroom)', '(shelfroom)'];
const DRAWERS = ['beads', 'stones', 'findings', 'supplies'];

/** The source of the page at an address; undefined when there is none. */
function pageAt(href: string): string | undefined {
  const [first = '', ...rest] = href.slice(1).split('/');
  const folders = [href.slice(1), ...(DRAWERS.includes(first) ? [['[drawer]', ...rest].join('/')] : [])];
  const file = ROOMS.flatMap((room) =>
    folders.map((folder) => path.join(APP, room, folder, 'page.tsx')),
  ).find((each) => fs.existsSync(each));
  return file && fs.readFileSync(file, 'utf8');
}

const all = [...PLACES, ...PLACES.flatMap(({ parts }) => parts), ...DEEDS];

describe('the places', () => {
  it.each(all.map(({ href, ownerOnly = false }) => [href, ownerOnly] as const))(
    '%s is a page, and the owner’s alone where it says so',
    (href, ownerOnly) => {
      const page = pageAt(href);
      expect(page).toBeDefined();
      expect(page?.includes('pageOwner(')).toBe(ownerOnly);
    },
  );

  it('have a key each', () => {
    const keys = [...PLACES, ...DEEDS].flatMap(({ key }) => key ?? []);
    expect(new Set([...keys, '/', '?', 'u']).size).toBe(keys.length + 3);
  });

  it('are found by name once each', () => {
    const names = placesByName(true).map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    for (const place of PLACES.filter(({ parts }) => parts.length > 0))
      expect(names.some((name) => name.startsWith(place.name))).toBe(true);
  });

  it('show helpers nothing that is the owner’s', () => {
    const open = placesByName(false).map(({ href }) => href);
    expect(open).toContain('/ledger');
    for (const { href } of all.filter(({ ownerOnly }) => ownerOnly)) expect(open).not.toContain(href);
  });

  it('know which pages are within them', () => {
    expect(isWithin('/beads/B-0001', STOCKROOM)).toBe(true);
    expect(isWithin('/beadsandmore', STOCKROOM)).toBe(false);
    expect(isWithin('/patterns/P-0001/compose', PATTERN_ROOM)).toBe(true);
    expect(isWithin('/patterns', STOCKROOM)).toBe(false);
  });
});
