import { renderToStaticMarkup } from 'react-dom/server';
import { expectOk } from '@/core/result';
import { mm } from '@/core/units/length';
import { cost, minor } from '@/core/units/money';
import { gaugeSize } from '@/core/wire/gauge';
import { areaMm2, usualHeight, type Profile } from '@/core/wire/profile';
import type { WireSpec } from '@/core/wire/spec';
import { CrossSection, SECTION_SCALE } from './CrossSection';
import { PriceBar } from './PriceBar';
import { Ruler } from './Ruler';
import { WireBar } from './WireBar';

/** What is drawn is what is computed: lengths, sections and prices measured from their own drawings. */

const spec = (profile: Profile, awg: number, more: Partial<WireSpec> = {}): WireSpec => {
  const label = { system: 'AWG', number: String(awg) } as const;
  const width = expectOk(gaugeSize(label));
  return {
    metal: 'copper',
    profile,
    width,
    height: usualHeight(profile, width),
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    label,
    ...more,
  };
};

const numbers = (markup: string, name: string): number[] =>
  [...markup.matchAll(new RegExp(`\\s${name}="([\\d.]+)%?"`, 'g'))].map(([, value]) => Number(value));

/** Area of a drawn section in mm², from its path. */
function drawnArea(profile: Profile, awg: number): number {
  const markup = renderToStaticMarkup(<CrossSection spec={spec(profile, awg)} />);
  const inMm = (pixels: number | undefined) => (pixels ?? NaN) / SECTION_SCALE;
  if (profile === 'round') return Math.PI * inMm(numbers(markup, 'r')[0]) ** 2;
  if (profile === 'half-round') {
    const [, rx, ry] = /A ([\d.]+) ([\d.]+)/.exec(markup) ?? [];
    return (Math.PI * inMm(Number(rx)) * inMm(Number(ry))) / 2;
  }
  const [, width, height, rx = 0] = [
    0,
    numbers(markup, 'width')[1],
    numbers(markup, 'height')[1],
    numbers(markup, 'rx')[0],
  ];
  return inMm(width) * inMm(height) - (4 - Math.PI) * inMm(rx) ** 2;
}

describe('a cross-section', () => {
  it.each<[Profile, number]>([
    ['round', 14],
    ['round', 26],
    ['square', 20],
    ['half-round', 18],
    ['flat', 20],
  ])('of %s wire of %d gauge has the area that is reckoned with', (profile, awg) => {
    expect(drawnArea(profile, awg)).toBeCloseTo(areaMm2(spec(profile, awg)), 6);
  });

  it('has the colour of its metal, and coated wire its own', () => {
    expect(renderToStaticMarkup(<CrossSection spec={spec('round', 20)} />)).toContain('var(--metal-copper)');
    const teal = spec('round', 20, { finish: 'coated', finishName: 'teal' });
    expect(renderToStaticMarkup(<CrossSection spec={teal} />)).toContain('var(--metal-coated)');
  });
});

describe('a wire', () => {
  it('is drawn to its length, what it was behind it, its marks where they are', () => {
    const markup = renderToStaticMarkup(
      <WireBar
        spec={spec('round', 20)}
        length={mm(250)}
        was={mm(500)}
        span={mm(1000)}
        marks={[{ at: mm(100), name: 'tail' }]}
      />,
    );
    expect(numbers(markup, 'width').filter((value) => value !== 100)).toEqual([50, 25]);
    expect(numbers(markup, 'x1')).toEqual([10]);
  });

  it('runs off the end of a ruler that is too short, and says so', () => {
    const markup = renderToStaticMarkup(
      <WireBar spec={spec('round', 20)} length={mm(2000)} span={mm(1000)} />,
    );
    expect(markup).toContain('⟫');
    expect(Math.max(...numbers(markup, 'width'))).toBe(100);
  });

  it('is thicker the thicker it is', () => {
    const thickness = (awg: number) =>
      numbers(
        renderToStaticMarkup(<WireBar spec={spec('round', awg)} length={mm(1)} span={mm(10)} />),
        'height',
      )[1] ?? 0;
    expect(thickness(16)).toBeGreaterThan(thickness(20));
    expect(thickness(20)).toBeGreaterThan(thickness(26));
  });
});

it('a ruler carries both units, and a name for who cannot see it', () => {
  const markup = renderToStaticMarkup(<Ruler span={mm(300)} label="Ruler for off-cuts" />);
  expect(markup).toMatch(/aria-label="Ruler for off-cuts"/);
  expect(markup).toMatch(/>mm<.*>in</s);
});

it('a price is drawn as cost and what is left above it', () => {
  const bar = (price: number | null) =>
    numbers(
      renderToStaticMarkup(
        <PriceBar cost={cost(4_000_000)} price={price === null ? null : minor(price)} dearest={10_000} />,
      ),
      'width',
    );
  expect(bar(10_000)).toEqual([100, 40, 40, 60]);
  expect(bar(3000)).toEqual([100, 40, 30]); // under cost: the rest of the cost stays in outline
  expect(bar(null)).toEqual([100, 40, 0]);
});
