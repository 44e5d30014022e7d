import { TECHNIQUES } from '../../src/core/techniques/registry';
import { DEMO_TOKEN } from '../../src/demo/people';
import { DEMO_URL, expect, test } from './support/studio';

const bearer = { authorization: `Bearer ${DEMO_TOKEN}` };
const at = (path: string) => `${DEMO_URL}/api/v1/${path}`;

test('a script asks how much wire things take, by the names that it may rely on', async ({ request }) => {
  const ask = async (path: string, data: object) => {
    const answer = await request.post(at(`calculate/${path}`), { headers: bearer, data });
    expect([path, answer.status()]).toEqual([path, 200]);
    return (await answer.json()) as Record<string, unknown>;
  };
  expect(
    await ask('wire', { profile: 'round', metal: 'copper', gauge: { system: 'AWG', value: 20 } }),
  ).toMatchObject({ diameterMm: 0.812 });
  expect(await ask('identify', { diameterMm: 0.81 })).toMatchObject({
    candidates: expect.arrayContaining([expect.objectContaining({ label: '20 ga' })]) as unknown,
  });
  expect(await ask('outline', { outline: 'round', lengthMm: 10 })).toMatchObject({
    perimeterMm: expect.closeTo(10 * Math.PI, 4) as unknown,
  });
  expect(await ask('ring-size', { system: 'US', size: 7 })).toMatchObject({ uk: 'N½' });
  expect(
    await ask('weave', {
      groups: [
        { wires: ['A'], wraps: 3 },
        { wires: ['A', 'B'], wraps: 2 },
      ],
      baseDiameterMm: 0.812,
      weavingDiameterMm: 0.321,
      lengthMm: 40,
    }),
  ).toMatchObject({ repeats: 25 });
  expect(await ask('technique/jump-rings', { rings: 10, inside: 4 })).toMatchObject({
    cuts: [{ name: 'coil', count: 1 }],
  });
  const { techniques } = (await (await request.get(at('techniques'), { headers: bearer })).json()) as {
    techniques: unknown[];
  };
  expect(techniques).toHaveLength(TECHNIQUES.length);
});

test('what is wrong is said beside its field, what is unknown is refused, and nobody asks without a token', async ({
  request,
}) => {
  const wrong = await request.post(at('calculate/identify'), {
    headers: bearer,
    data: { diameterMm: 40, unit: 'mm' },
  });
  expect(wrong.status()).toBe(400);
  expect(await wrong.json()).toMatchObject({
    fields: {
      diameterMm: '40 was given; a number from 0.05 to 12 mm is allowed.',
      unit: 'There is no field “unit” here.',
    },
  });
  const text = await request.post(at('calculate/identify'), {
    headers: { ...bearer, 'content-type': 'application/json' },
    data: 'diameter',
  });
  expect(text.status()).toBe(400);
  expect((await request.post(at('calculate/knots'), { headers: bearer, data: {} })).status()).toBe(404);
  expect((await request.post(at('calculate/technique/knots'), { headers: bearer, data: {} })).status()).toBe(
    404,
  );
  const refused: Record<string, string>[] = [{}, { authorization: 'Bearer pewterer_guess' }];
  for (const headers of refused)
    for (const path of ['me', 'techniques']) {
      const answer = await request.get(at(path), { headers });
      expect(answer.status()).toBe(401);
      expect(answer.headers()['www-authenticate']).toBe('Bearer');
    }
  expect((await request.post(at('calculate/wire'), { data: {} })).status()).toBe(401);
});

test('the description names every address that answers', async ({ request }) => {
  const description = (await (await request.get(at('openapi.json'))).json()) as {
    openapi: string;
    paths: Record<string, { post?: { requestBody: { content: Record<string, { example?: object }> } } }>;
  };
  expect(description.openapi).toBe('3.1.0');
  for (const [path, { post }] of Object.entries(description.paths)) {
    const example = post?.requestBody.content['application/json']?.example ?? {};
    const answer = post
      ? await request.post(DEMO_URL + path, { headers: bearer, data: example })
      : await request.get(DEMO_URL + path, { headers: bearer });
    expect([path, answer.status()]).toEqual([path, 200]);
  }
});

test('a token is made, shown once, works, and is refused when it was taken back', async ({
  owner: page,
  request,
}) => {
  await page.goto(`${DEMO_URL}/rules/programs`);
  await page.getByLabel('Name of the program').fill('Price list');
  await page.getByRole('button', { name: 'Make the token' }).click();
  const token = await page.getByText(/^pewterer_[\w-]{43}$/).innerText();
  // A connection of its own each time: what is done on the page between them takes longer than the server keeps one open.
  const me = () =>
    request.get(at('me'), { headers: { authorization: `Bearer ${token}`, connection: 'close' } });
  expect(await (await me()).json()).toMatchObject({ role: 'helper' });
  await page.reload();
  await expect(page.getByText(token)).toHaveCount(0);
  await page.getByRole('button', { name: 'Take back the token of Price list' }).click();
  await expect(page.getByText(/Price list is refused from now on/)).toBeVisible();
  expect((await me()).status()).toBe(401);
});
