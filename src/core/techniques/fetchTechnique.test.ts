import * as fetching from './fetchTechnique';
import { TECHNIQUES } from './registry';

const { fetchedTechniques, fetchTechnique, techniquesToCome } = fetching;

it('every technique of the registry is fetched from the file that is named after it', async () => {
  for (const technique of TECHNIQUES) {
    expect(await fetchTechnique(technique.id)).toBe(technique);
    expect(fetchedTechniques(technique.id)).toBe(technique);
  }
  expect(techniquesToCome(TECHNIQUES.map(({ id }) => id))).toBeUndefined();
});

it('waits for what is not there yet, once, and for no more', async () => {
  jest.resetModules();
  const fresh = jest.requireActual<typeof fetching>('./fetchTechnique');
  const waited = fresh.techniquesToCome(['coil', 'flat-spiral', 'coil']);
  expect(waited).toBeInstanceOf(Promise);
  expect(fresh.techniquesToCome(['coil', 'flat-spiral'])).toBe(waited);
  await waited;
  expect(fresh.techniquesToCome(['coil', 'flat-spiral'])).toBeUndefined();
  expect(fresh.fetchedTechniques('coil')?.title).toBe('Coil');
  expect(fresh.fetchedTechniques('tree')).toBeUndefined();
});

it.each(['no-such-technique', '../registry', 'bundle_frame', ''])(
  '“%s” is refused, however often it is asked for',
  async (id) => {
    await expect(fetchTechnique(id)).rejects.toThrow();
    await expect(fetchTechnique(id)).rejects.toThrow();
  },
);
