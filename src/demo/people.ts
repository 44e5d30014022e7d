/** Sign-ins of the demonstration studio. */
export const DEMO_OWNER = { name: 'Marit', login: 'marit', password: 'open the bench' } as const;
export const DEMO_HELPER = { name: 'Tobin', login: 'tobin', password: 'hold both ends' } as const;

/** What scripts sign in to the demonstration studio with: fixed, and no secret, since its data are invented. */
export const DEMO_TOKEN = 'pewterer_demo_sparrowgate';
