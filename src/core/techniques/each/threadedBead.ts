import { ok } from '../../result';
import { beadLength, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';

/** A bead threaded on an end. */
export const threadedBead = actTechnique({
  id: 'threaded-bead',
  title: 'Bead threaded on an end',
  group: 'beads',
  source: 'the bead’s length along its hole',
  parameters: {
    wire: wire('Wire', roundWire(0.812), 'frame'),
    before: length('From where the end is to the bead', 0, 0, 200),
    bead: beadLength('Bead, along its hole', 5, 0.5, 100),
    across: length('Bead, across its hole', 5, 0.5, 100),
    drilled: drilled(1.2),
    after: length('Straight on behind the bead', 0, 0, 200),
    tail: length('Handling tail at each end', 20, 0, 200),
  },
  ports: {
    end: {
      label: 'End that it is threaded on',
      does: 'thread a bead',
      takes: ['end'],
      from: 1,
      to: 1,
      wire: 'wire',
      freshOnly: ['wire'],
      fresh: ({ tail }) => ({ count: 1, name: 'wire', tail }),
    },
  },
  act: ({ before, bead, across, drilled: hole, after, tail }, { ends, own }) => {
    const threaded = ends('end');
    return ok({
      bodies: [{ kind: 'bead', id: own('bead'), width: across, length: bead, hole }],
      goesOn: threaded.map((end) => ({
        end,
        courses: [
          ...(before > 0 ? [{ kind: 'laid', name: 'to the bead', length: before } as const] : []),
          { kind: 'threaded', name: 'through the bead', bead: own('bead') },
          ...(after > 0 ? [{ kind: 'laid', name: 'straight on', length: after } as const] : []),
        ],
        tail,
      })),
      leaves: threaded.map(({ wire: id, side, label }) => ({
        id: 'end',
        label,
        takes: 'end',
        wire: id,
        side,
      })),
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      steps: [{ id: 'thread', name: 'thread the bead', minutes: 0.5 }],
    });
  },
});
