import { runInNewContext } from 'node:vm';
import { keepPages, type KeptSettings, type WorkerScope } from './keepPages';

const ORIGIN = 'https://studio.example';
const SETTINGS: KeptSettings = {
  cache: 'kept',
  pages: ['/bench/sitting/'],
  things: ['/_next/static/'],
  lasting: ['/_next/static/'],
  most: 3,
  never: '<h1>No connection</h1>',
};

/** A browser’s side of a worker: what it answers, with a connection and without. */
function browser(answers: Readonly<Record<string, () => Response>>, settings: Partial<KeptSettings> = {}) {
  const kept = new Map<string, Response>();
  const listeners: Record<string, (event: never) => void> = {};
  let isConnected = true;
  const asked: string[] = [];
  let [open, mostOpen] = [0, 0];
  const urlOf = (of: RequestInfo | URL): string =>
    new URL(typeof of === 'string' ? of : 'url' in of ? of.url : of.href, ORIGIN).pathname;
  const cache = {
    match: (of: RequestInfo) => Promise.resolve(kept.get(urlOf(of))?.clone()),
    put: (of: RequestInfo, answer: Response) => Promise.resolve(void kept.set(urlOf(of), answer)),
    delete: (of: RequestInfo) => Promise.resolve(kept.delete(urlOf(of))),
    keys: () => Promise.resolve([...kept.keys()]),
  };
  const scope = {
    location: { origin: ORIGIN },
    caches: { open: () => Promise.resolve(cache) },
    fetch: async (of: RequestInfo) => {
      asked.push(urlOf(of));
      open += 1;
      mostOpen = Math.max(mostOpen, open);
      await Promise.resolve();
      open -= 1;
      const answer = answers[urlOf(of)];
      if (!isConnected || !answer) throw new TypeError('no connection');
      return answer();
    },
    skipWaiting: () => Promise.resolve(),
    clients: { claim: () => Promise.resolve() },
    addEventListener: (kind: string, heard: (event: never) => void) => {
      listeners[kind] = heard;
    },
  };
  keepPages(scope as unknown as WorkerScope, { ...SETTINGS, ...settings });
  return {
    disconnect: () => {
      isConnected = false;
    },
    kept,
    asked,
    mostAtOnce: () => mostOpen,
    keep: async (...urls: readonly unknown[]) => {
      const works: Promise<unknown>[] = [];
      const event = { data: { keep: urls }, waitUntil: (work: Promise<unknown>) => works.push(work) };
      listeners['message']?.(event as never);
      await Promise.all(works);
    },
    /** What the worker answers; undefined where it leaves it to the browser. */
    ask: (path: string, { mode = 'navigate', method = 'GET' } = {}) => {
      let answered: Promise<Response> | undefined;
      const request = { url: new URL(path, ORIGIN).href, mode, method };
      listeners['fetch']?.({
        request,
        respondWith: (answer: Promise<Response>) => {
          answered = answer;
        },
      } as never);
      return answered;
    },
  };
}

const page = (text: string) => () => new Response(text);

describe('pages that are kept on a device', () => {
  it('open without a connection, with what they loaded', async () => {
    const tablet = browser({ '/bench/sitting/a': page('a sitting'), '/_next/static/a.js': page('a script') });
    await tablet.keep('/bench/sitting/a', '/_next/static/a.js');
    tablet.disconnect();
    expect(await (await tablet.ask('/bench/sitting/a'))?.text()).toBe('a sitting');
    expect(await (await tablet.ask('/_next/static/a.js', { mode: 'no-cors' }))?.text()).toBe('a script');
  });

  it('are what the studio says as long as it can be asked', async () => {
    let said = 'before';
    const tablet = browser({ '/bench/sitting/a': () => new Response(said) });
    await tablet.keep('/bench/sitting/a');
    said = 'after';
    expect(await (await tablet.ask('/bench/sitting/a'))?.text()).toBe('after');
  });

  it('fetch once what never changes under its path, and a few things at a time', async () => {
    const paths = Array.from({ length: 20 }, (_, index) => `/_next/static/${index}.js`);
    const tablet = browser(Object.fromEntries(paths.map((path) => [path, page(path)])), { most: 20 });
    await tablet.keep(...paths, ...paths);
    await tablet.keep(...paths.slice(0, 3));
    expect(tablet.asked).toEqual(paths);
    expect(tablet.mostAtOnce()).toBe(6);
    // What is asked for again is young again.
    expect([...tablet.kept.keys()].slice(-3)).toEqual(paths.slice(0, 3));
  });

  it('say so where they were never opened', async () => {
    const tablet = browser({});
    tablet.disconnect();
    const answer = await tablet.ask('/bench/sitting/b');
    expect(answer?.status).toBe(503);
    expect(await answer?.text()).toContain('No connection');
    await expect(tablet.ask('/_next/static/b.js', { mode: 'no-cors' })).rejects.toThrow('no connection');
  });

  it('are none that the browser is to answer itself', () => {
    const tablet = browser({});
    expect(tablet.ask('/shelf')).toBeUndefined();
    expect(tablet.ask('https://elsewhere.example/bench/sitting/a')).toBeUndefined();
    expect(tablet.ask('/bench/sitting/a', { method: 'POST' })).toBeUndefined();
    // A part of a page that the application asks for is not the page.
    expect(tablet.ask('/bench/sitting/a', { mode: 'cors' })).toBeUndefined();
  });

  it('are whole: neither an error nor the way to the sign-in, nor anything that is not meant', async () => {
    const signIn = () => Object.defineProperty(new Response('sign in'), 'redirected', { value: true });
    const tablet = browser({
      '/bench/sitting/a': signIn,
      '/bench/sitting/b': () => new Response('', { status: 500 }),
      '/rules': page('the rules'),
    });
    await tablet.keep('/bench/sitting/a', '/bench/sitting/b', '/rules', '/bench/sitting/gone');
    expect([...tablet.kept.keys()]).toEqual([]);
  });

  it('give way to younger ones; one that is kept again is young', async () => {
    const all = Object.fromEntries(['a', 'b', 'c', 'd'].map((id) => [`/bench/sitting/${id}`, page(id)]));
    const tablet = browser(all);
    await tablet.keep('/bench/sitting/a', '/bench/sitting/b', '/bench/sitting/c');
    await tablet.keep('/bench/sitting/a');
    await tablet.keep('/bench/sitting/d');
    expect([...tablet.kept.keys()].sort()).toEqual([
      '/bench/sitting/a',
      '/bench/sitting/c',
      '/bench/sitting/d',
    ]);
  });

  it('need nothing from outside the text that browsers are sent', () => {
    const listened: string[] = [];
    const self = { addEventListener: (kind: string) => listened.push(kind), location: { origin: ORIGIN } };
    // As a browser does, which knows no module of ours.
    runInNewContext(`(${keepPages.toString()})(self, ${JSON.stringify(SETTINGS)})`, { self });
    expect(listened).toEqual(['install', 'activate', 'message', 'fetch']);
  });
});
