/** Which pages are kept on a device, and in what. */
export interface KeptSettings {
  /** The cache that they lie in. */
  readonly cache: string;
  /** What the paths of pages begin with that open without a connection, once they were opened with one. */
  readonly pages: readonly string[];
  /** What the paths of scripts, fonts and pictures begin with. */
  readonly things: readonly string[];
  /** What of them never changes under its path: it is fetched once. */
  readonly lasting: readonly string[];
  /** The most that is kept, pages and things together: the oldest give way. */
  readonly most: number;
  /** What a page says that was never opened here. */
  readonly never: string;
}

/** What a page asks to be kept: itself, and all that it has loaded. */
export interface KeepAsked {
  readonly keep: readonly string[];
}

interface Waits {
  readonly waitUntil: (work: Promise<unknown>) => void;
}

/** As much of a service worker as keeping pages takes (W3C Service Workers). */
export interface WorkerScope {
  readonly location: { readonly origin: string };
  readonly caches: Pick<CacheStorage, 'open'>;
  readonly fetch: typeof fetch;
  readonly skipWaiting: () => Promise<void>;
  readonly clients: { readonly claim: () => Promise<void> };
  readonly addEventListener: {
    (kind: 'install' | 'activate', heard: (event: Waits) => void): void;
    (kind: 'message', heard: (event: Waits & { readonly data: unknown }) => void): void;
    (
      kind: 'fetch',
      heard: (event: {
        readonly request: Pick<Request, 'method' | 'mode' | 'url'> & Request;
        readonly respondWith: (answer: Promise<Response>) => void;
      }) => void,
    ): void;
  };
}

/**
 * What a service worker does: pages that asked for it, and what they load, open again without a connection. What the studio answers always
 * goes before what is kept. It is sent to browsers as text, so it uses nothing from outside itself.
 */
export function keepPages(scope: WorkerScope, settings: KeptSettings): void {
  const { pages, things, lasting, most, never } = settings;
  /** As many are fetched at once: a page with hundreds of pictures leaves room for others. */
  const lanes = 6;
  const begins = (path: string, starts: readonly string[]) => starts.some((each) => path.startsWith(each));
  const pathOf = (url: string): string | undefined => {
    const { origin, pathname } = new URL(url, scope.location.origin);
    return origin === scope.location.origin ? pathname : undefined;
  };
  const isMeant = (url: string): boolean => {
    const path = pathOf(url);
    return path !== undefined && (begins(path, pages) || begins(path, things));
  };

  /** Only a whole answer is kept: not the way to the sign-in, and no error. */
  const isWhole = (answer: Response): boolean => answer.status === 200 && !answer.redirected;

  const keep = async (url: string): Promise<void> => {
    const cache = await scope.caches.open(settings.cache);
    const before = begins(pathOf(url) ?? '', lasting) ? await cache.match(url) : undefined;
    const answer = before ?? (await scope.fetch(url, { credentials: 'same-origin' }));
    if (!isWhole(answer)) return;
    // Put in anew, it is the youngest.
    await cache.delete(url);
    await cache.put(url, answer);
  };

  const keepAll = async (asked: readonly string[]): Promise<void> => {
    const left = [...new Set(asked.filter(isMeant))];
    const fetchOn = async (): Promise<void> => {
      for (let url = left.shift(); url !== undefined; url = left.shift())
        await keep(url).catch(() => undefined);
    };
    await Promise.all(Array.from({ length: lanes }, fetchOn));
    const cache = await scope.caches.open(settings.cache);
    const kept = await cache.keys();
    const over = kept.slice(0, Math.max(0, kept.length - most));
    await Promise.all(over.map((each) => cache.delete(each)));
  };

  const answerTo = async (request: Request): Promise<Response> => {
    try {
      return await scope.fetch(request);
    } catch (fault) {
      const cache = await scope.caches.open(settings.cache);
      const kept = await cache.match(request.url);
      if (kept) return kept;
      if (request.mode !== 'navigate') throw fault;
      const headers = { 'Content-Type': 'text/html; charset=utf-8' };
      return new Response(never, { status: 503, headers });
    }
  };

  scope.addEventListener('install', (event) => event.waitUntil(scope.skipWaiting()));
  scope.addEventListener('activate', (event) => event.waitUntil(scope.clients.claim()));
  scope.addEventListener('message', (event) => {
    const asked = (event.data as Partial<KeepAsked> | null)?.keep;
    if (Array.isArray(asked)) event.waitUntil(keepAll(asked));
  });
  scope.addEventListener('fetch', (event) => {
    const { method, url, mode } = event.request;
    if (method !== 'GET' || !isMeant(url)) return;
    // What asks for a part of a page, to show it in another, is not what was kept.
    if (mode !== 'navigate' && begins(pathOf(url) ?? '', pages)) return;
    event.respondWith(answerTo(event.request));
  });
}
