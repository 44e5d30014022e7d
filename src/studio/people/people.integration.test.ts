import { closeDatabase } from '@/data/database';
import { addTestHelper, asOwner, done, newKey, openStudio, problemOf } from '../../../tests/support/studio';
import { changePassword } from './changePassword';
import { addHelper, listPeople } from './helpers';
import { hashPassword } from './passwords';
import { needsSetUp, setUpStudio } from './setUpStudio';
import { memberOf, signIn } from './signIn';

afterAll(closeDatabase);

const PASSWORD = 'a good long password';

async function studioWithPassword() {
  const owner = await openStudio();
  await asOwner('UPDATE users SET password_hash = $1 WHERE user_id = $2', [
    await hashPassword(PASSWORD),
    owner.userId,
  ]);
  return { owner, login: `owner-${owner.userId}` };
}

let addresses = 0;
const freshAddress = () => `203.0.113.${(addresses += 1)}`;

describe('signing in', () => {
  it('keeps passwords as Argon2id', async () => {
    expect(await hashPassword(PASSWORD)).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  });

  it('takes the right password, whatever the case of the name', async () => {
    const { owner, login } = await studioWithPassword();
    const signedIn = done(
      await signIn({ login: ` ${login.toUpperCase()} `, password: PASSWORD }, freshAddress()),
    );
    expect(signedIn).toEqual({ studioId: owner.studioId, userId: owner.userId, epoch: 1 });
    expect(await memberOf(signedIn, new Date())).toMatchObject({
      name: 'Wren',
      currency: 'USD',
      session: { role: 'owner' },
    });
  });

  it.each([
    ['', /Give your sign-in name/],
    ['ines\u0000', /on one line, without control characters/],
    ['x'.repeat(121), /121 characters long; 120 are allowed/],
  ])('says beside the name that %j is none', async (login, message) => {
    const problem = problemOf(await signIn({ login, password: 'guess' }, freshAddress()));
    expect(problem).toMatchObject({ kind: 'invalid', fields: { login: expect.stringMatching(message) } });
  });

  it('says the same of a wrong password and an unknown name', async () => {
    const { login } = await studioWithPassword();
    const wrong = problemOf(await signIn({ login, password: 'guess' }, freshAddress()));
    expect(problemOf(await signIn({ login: 'nobody-here', password: 'guess' }, freshAddress()))).toEqual(
      wrong,
    );
  });

  it('makes an account wait after five wrong passwords, even for the right one, from any address', async () => {
    const { login } = await studioWithPassword();
    for (let n = 0; n < 5; n += 1) await signIn({ login, password: `guess ${n}` }, freshAddress());
    expect(problemOf(await signIn({ login, password: PASSWORD }, freshAddress())).message).toMatch(
      /Too many wrong passwords. Try again in [1-5] seconds/,
    );
    await asOwner(`UPDATE sign_in_failures SET last_at = last_at - INTERVAL '1 minute'`);
    done(await signIn({ login, password: PASSWORD }, freshAddress()));
    // The right password wipes the slate.
    await signIn({ login, password: 'guess' }, freshAddress());
    done(await signIn({ login, password: PASSWORD }, freshAddress()));
  });

  it('makes an address wait after twenty, whatever names it tries', async () => {
    const { login } = await studioWithPassword();
    const address = freshAddress();
    for (let n = 0; n < 20; n += 1)
      await signIn({ login: `guessed-${n}-${newKey()}`, password: 'guess' }, address);
    expect(problemOf(await signIn({ login, password: PASSWORD }, address)).message).toMatch(/Too many/);
    done(await signIn({ login, password: PASSWORD }, freshAddress()));
  });

  it('counts guesses before it works them out: many at once are no more than one after the other', async () => {
    const { login } = await studioWithPassword();
    const guesses = await Promise.all(
      Array.from({ length: 40 }, (_, n) => signIn({ login, password: `guess ${n}` }, freshAddress())),
    );
    const messages = guesses.map((guess) => problemOf(guess).message);
    // A refused form says so beside its fields; the others were told to wait before anything was worked out.
    expect(messages.filter((message) => /Too many wrong passwords/.test(message))).toHaveLength(35);
  });

  it('works out a few passwords at once, lets a few wait, and refuses the rest in a sentence', async () => {
    const outcomes = await Promise.allSettled(Array.from({ length: 60 }, () => hashPassword(PASSWORD)));
    const refused = outcomes.flatMap((outcome) => (outcome.status === 'rejected' ? [outcome.reason] : []));
    expect(outcomes.length - refused.length).toBe(22);
    expect(refused.every((fault: Error) => /Too many people are signing in/.test(fault.message))).toBe(true);
    expect(await hashPassword(PASSWORD)).toMatch(/^\$argon2id/);
  });

  it('a right password takes back only its own try from what is counted against its address', async () => {
    const { login } = await studioWithPassword();
    const address = freshAddress();
    const guess = () => signIn({ login: `guessed-${newKey()}`, password: 'guess' }, address);
    for (let n = 0; n < 19; n += 1) await guess();
    done(await signIn({ login, password: PASSWORD }, address));
    await guess();
    expect(problemOf(await signIn({ login, password: PASSWORD }, address)).message).toMatch(/Too many/);
  });
});

describe('sessions', () => {
  it('end everywhere else when the password changes', async () => {
    const { owner, login } = await studioWithPassword();
    const elsewhere = done(await signIn({ login, password: PASSWORD }, freshAddress()));
    expect(
      problemOf(await changePassword(owner, { present: 'not it', next: 'another long password' })).fields,
    ).toHaveProperty('present');
    expect(problemOf(await changePassword(owner, { present: PASSWORD, next: 'short' })).message).toMatch(
      /at least 10 characters/,
    );
    const { epoch } = done(await changePassword(owner, { present: PASSWORD, next: 'another long password' }));
    expect(await memberOf(elsewhere, new Date())).toBeUndefined();
    expect(await memberOf({ ...elsewhere, epoch }, new Date())).toBeDefined();
    done(await signIn({ login, password: 'another long password' }, freshAddress()));
  });

  it('stand for nobody with made-up ids', async () => {
    expect(await memberOf({ studioId: newKey(), userId: newKey(), epoch: 1 }, new Date())).toBeUndefined();
  });
});

describe('people', () => {
  it('lets the owner add a helper, once per name', async () => {
    const owner = await openStudio();
    const login = `ash-${newKey()}`;
    done(await addHelper(owner, newKey(), { name: 'Ash', login, password: PASSWORD }));
    expect((await listPeople(owner)).map(({ name, role }) => [name, role])).toEqual([
      ['Wren', 'owner'],
      ['Ash', 'helper'],
    ]);
    const again = problemOf(await addHelper(owner, newKey(), { name: 'Ash', login, password: PASSWORD }));
    expect(again.fields?.['login']).toMatch(/is taken/);
  });

  it('lets no helper add anybody or list people', async () => {
    const helper = await addTestHelper(await openStudio());
    expect(
      problemOf(await addHelper(helper, newKey(), { name: 'X', login: 'x1', password: PASSWORD })).kind,
    ).toBe('forbidden');
    await expect(listPeople(helper)).rejects.toThrow(/Only the studio’s owner/);
  });

  it('sets up no second studio where somebody can sign in', async () => {
    await openStudio();
    expect(await needsSetUp()).toBe(false);
    const second = {
      studioName: 'Second',
      ownerName: 'Eve',
      login: 'eve',
      password: PASSWORD,
      currency: 'USD',
      lengthSystem: 'in',
      hourlyRate: '20.00 USD',
      overheadPerHour: '0.00 USD',
    };
    expect(problemOf(await setUpStudio(second, new Date())).message).toMatch(/already set up/);
  });
});
