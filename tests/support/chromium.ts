/** Debian's Chromium, headless, without a GPU and without a word to the outside. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** The same, with a drawing in the round worked out by the processor, for what is turned. */
export const CHROMIUM_IN_THE_ROUND = {
  ...CHROMIUM,
  args: [
    ...CHROMIUM.args.filter((flag) => flag !== '--disable-gpu'),
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
    '--ignore-gpu-blocklist',
  ],
};
