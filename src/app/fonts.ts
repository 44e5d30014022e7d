import localFont from 'next/font/local';

/**
 * The faces that ship with Pewterer. The Latin letters are fetched with the page; when they are late, the page keeps the face of the
 * system that it began with, so that nothing moves under who reads it. Other letters are fetched when a page has them.
 */

const bitter = localFont({
  src: '../../node_modules/@fontsource-variable/bitter/files/bitter-latin-wght-normal.woff2',
  variable: '--face-bitter',
  weight: '100 900',
  preload: true,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    {
      prop: 'unicode-range',
      value:
        'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
    },
  ],
});
const bitterExt = localFont({
  src: '../../node_modules/@fontsource-variable/bitter/files/bitter-latin-ext-wght-normal.woff2',
  variable: '--face-bitter-ext',
  weight: '100 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    {
      prop: 'unicode-range',
      value:
        'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
    },
  ],
});
const bitterCyrillic = localFont({
  src: '../../node_modules/@fontsource-variable/bitter/files/bitter-cyrillic-wght-normal.woff2',
  variable: '--face-bitter-cyrillic',
  weight: '100 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116' }],
});
const bitterVietnamese = localFont({
  src: '../../node_modules/@fontsource-variable/bitter/files/bitter-vietnamese-wght-normal.woff2',
  variable: '--face-bitter-vietnamese',
  weight: '100 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    {
      prop: 'unicode-range',
      value:
        'U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB',
    },
  ],
});
const sans = localFont({
  src: '../../node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-wght-normal.woff2',
  variable: '--face-sans',
  weight: '200 900',
  preload: true,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    {
      prop: 'unicode-range',
      value:
        'U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD',
    },
  ],
});
const sansExt = localFont({
  src: '../../node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-latin-ext-wght-normal.woff2',
  variable: '--face-sans-ext',
  weight: '200 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    {
      prop: 'unicode-range',
      value:
        'U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF',
    },
  ],
});
const sansCyrillic = localFont({
  src: '../../node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-cyrillic-wght-normal.woff2',
  variable: '--face-sans-cyrillic',
  weight: '200 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116' }],
});
const sansGreek = localFont({
  src: '../../node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-greek-wght-normal.woff2',
  variable: '--face-sans-greek',
  weight: '200 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    { prop: 'unicode-range', value: 'U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF' },
  ],
});
const sansVietnamese = localFont({
  src: '../../node_modules/@fontsource-variable/source-sans-3/files/source-sans-3-vietnamese-wght-normal.woff2',
  variable: '--face-sans-vietnamese',
  weight: '200 900',
  preload: false,
  display: 'optional',
  adjustFontFallback: false,
  declarations: [
    {
      prop: 'unicode-range',
      value:
        'U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB',
    },
  ],
});
/** Class that gives a page its faces. */
export const FACES = [
  bitter,
  bitterExt,
  bitterCyrillic,
  bitterVietnamese,
  sans,
  sansExt,
  sansCyrillic,
  sansGreek,
  sansVietnamese,
]
  .map(({ variable }) => variable)
  .join(' ');
