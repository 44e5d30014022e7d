const { options } = require('./.dependency-cruiser.cjs');

/** Rooms use one another one way. Tests may look at a room from above, so they are left out; and so this stands apart from the rules for files. */
module.exports = {
  forbidden: ['src/core', 'src/data', 'src/studio'].map((house) => ({
    name: `no-circle-of-rooms-in-${house.slice('src/'.length)}`,
    comment: 'Two rooms that use each other are one room.',
    severity: 'error',
    scope: 'folder',
    from: { path: `^${house}/[^/]+$` },
    to: { circular: true, path: `^${house}/[^/]+$` },
  })),
  options: { ...options, exclude: { path: '\\.test\\.tsx?$' } },
};
