import { ring } from '../formulas';
import { length, roundWire, wire } from '../parameter';
import { bow, straight } from '../shapes';
import { allowance, net, technique } from '../technique';
import { bendOf } from '../winding';

/** A hook with an eye to hang it by and a lip to guide the chain in, and the ring it closes on. */
export const hookClasp = technique({
  id: 'hook-clasp',
  title: 'Hook clasp and eye',
  group: 'findings',
  source: 'loops π(a + D), half a circle for the hook, straight legs: plane geometry',
  parameters: {
    wire: wire('Clasp wire', roundWire(1.024), 'frame'),
    eye: length('Eye of the hook, inside', 3, 1, 20),
    hook: length('Hook, inside', 6, 2, 30),
    leg: length('Straight leg', 10, 0, 60),
    lip: length('Lip, inside', 2, 0.5, 15),
    ring: length('Ring it closes on, inside', 6, 2, 40),
    trim: length('Trim at each end', 1, 0, 10),
  },
  plan: ({ wire, eye, hook, leg, lip, ring: closes, trim }) => {
    const { thick: D } = bendOf(wire);
    const [eyeRadius, hookRadius, lipRadius] = [eye, hook, lip].map((inside) => (inside + D) / 2) as [
      number,
      number,
      number,
    ];
    const back = leg / 2;
    return {
      cuts: [
        {
          name: 'hook',
          wire: 'wire',
          count: 1,
          terms: [
            net('eye', ring(eye, D)),
            net('leg', leg),
            net('hook', Math.PI * hookRadius),
            net('back to the lip', back),
            net('lip', Math.PI * lipRadius),
            allowance('flush trim', 2 * trim),
          ],
          marks: [
            { at: trim + ring(eye, D), what: 'bend for the eye' },
            { at: trim + ring(eye, D) + leg, what: 'begin the hook' },
            { at: trim + ring(eye, D) + leg + Math.PI * hookRadius, what: 'the hook ends' },
          ],
          drawn: [
            bow(0, eyeRadius, eyeRadius, -Math.PI / 2, 2 * Math.PI),
            straight(0, 0, 0, -leg),
            bow(hookRadius, -leg, hookRadius, Math.PI, Math.PI),
            straight(2 * hookRadius, -leg, 2 * hookRadius, -leg + back),
            bow(2 * hookRadius + lipRadius, -leg + back, lipRadius, Math.PI, -Math.PI),
          ],
        },
        {
          name: 'ring',
          wire: 'wire',
          count: 1,
          terms: [net('ring', ring(closes, D)), allowance('flush trim', 2 * trim)],
          marks: [],
          drawn: [bow(0, eye + closes + 4 * D, (closes + D) / 2, 0, 2 * Math.PI)],
        },
      ],
      steps: [
        { id: 'eye', name: 'turn the eye', minutes: 1.5, cautions: ['cut ends'] },
        { id: 'hook', name: 'bend the hook and its lip', minutes: 3 },
        {
          id: 'harden',
          name: 'flatten the bend a little, to harden it',
          minutes: 1.5,
          cautions: ['hammering'],
        },
        { id: 'ring', name: 'form the ring', minutes: 2 },
      ],
    };
  },
});
