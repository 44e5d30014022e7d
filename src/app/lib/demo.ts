/** Whether this is the demonstration studio, which shows its own sign-in. */
export const isDemo = (): boolean => process.env['PEWTERER_MODE'] === 'demo';

/** The demonstration studio's owner; no secret, since its data are invented. */
export { DEMO_OWNER } from '@/demo/people';
