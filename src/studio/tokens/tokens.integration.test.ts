import { Token } from '@/data/models/studio';
import { closeDatabase } from '@/data/database';
import { look } from '../kernel/useCase';
import { addTestHelper, done, newKey, openStudio, problemOf } from '../../../tests/support/studio';
import { keepToken, listTokens, makeToken, revokeToken, sessionOfToken } from './tokens';

afterAll(closeDatabase);

const SECRET = 'only this installation';
const now = new Date('2026-03-01T09:00:00Z');

it('a token stands for its studio and role, is kept as a hash only, and is refused once it was taken back', async () => {
  const owner = await openStudio();
  const key = newKey();
  const token = done(await makeToken(owner, key, { name: 'Price list', role: 'helper' }, SECRET));
  expect(token).toMatch(/^pewterer_[\w-]{43}$/);
  expect(await sessionOfToken(token, now)).toEqual({
    studioId: owner.studioId,
    userId: owner.userId,
    role: 'helper',
    now,
  });
  const kept = await look(owner, () => Token.findAll({ raw: true }));
  expect(kept).toHaveLength(1);
  expect(JSON.stringify(kept)).not.toContain(token);

  // The same form sent twice makes one token, and tells it again.
  expect(done(await makeToken(owner, key, { name: 'Price list', role: 'helper' }, SECRET))).toBe(token);
  const [made] = await listTokens(owner);
  expect(await listTokens(owner)).toHaveLength(1);

  done(await revokeToken(owner, newKey(), made?.tokenId ?? ''));
  expect(await sessionOfToken(token, now)).toBeUndefined();
  expect(problemOf(await revokeToken(owner, newKey(), made?.tokenId ?? '')).message).toMatch(
    /taken back already/,
  );
});

it('helpers and other studios neither make nor take back tokens', async () => {
  const owner = await openStudio();
  const helper = await addTestHelper(owner);
  expect(problemOf(await makeToken(helper, newKey(), { name: 'Mine', role: 'owner' }, SECRET)).kind).toBe(
    'forbidden',
  );
  await expect(listTokens(helper)).rejects.toThrow();
  done(await keepToken(owner, newKey(), { name: 'Fixed', role: 'owner' }, `fixed ${owner.studioId}`));
  const [made] = await listTokens(owner);
  expect(problemOf(await revokeToken(helper, newKey(), made?.tokenId ?? '')).kind).toBe('forbidden');
  const stranger = await openStudio();
  expect(problemOf(await revokeToken(stranger, newKey(), made?.tokenId ?? '')).kind).toBe('refused');
  expect((await sessionOfToken(`fixed ${owner.studioId}`, now))?.studioId).toBe(owner.studioId);
  expect(await sessionOfToken('guess', now)).toBeUndefined();
});

it('says beside the field what a token needs', async () => {
  const owner = await openStudio();
  expect(
    problemOf(await makeToken(owner, newKey(), { name: '', role: 'king' }, SECRET)).fields,
  ).toMatchObject({
    name: expect.stringMatching(/name/) as string,
    role: expect.stringMatching(/\w/) as string,
  });
});
