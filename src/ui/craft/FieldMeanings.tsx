import type { Parameter, Parameters } from '@/core/parameter/parameter';

/** How each kind of field is filled in. */
const WAYS: Readonly<Record<Parameter['kind'], string>> = {
  length: '10 1/4 in, 26 cm or 0.4 mm; a bare number is in the unit shown above',
  count: 'a whole number',
  choice: 'one of its list',
  wire: 'its size as on the label: 20 ga, 18 SWG, 0.8 mm or .032"',
  stone: 'by the calliper: length, width, depth and the height of its edge',
  weave: 'in letters and numbers, as told beside it',
  line: 'in points, each how far on and how far to the right in mm: 8,0 15,-6; it is drawn as it is typed',
};

const withinOf = (parameter: Parameter): string => {
  if (parameter.kind === 'length') return `${parameter.from} to ${parameter.to} mm`;
  if (parameter.kind === 'count') return `${parameter.from} to ${parameter.to}`;
  return '';
};

/** What the fields of a technique mean, what may stand in them, and where its arithmetic comes from. */
export function FieldMeanings({ parameters, source }: { parameters: Parameters; source: string }) {
  return (
    <>
      <dl className="text-sm">
        {Object.entries(parameters).map(([key, parameter]) => (
          <div key={key} className="border-t border-base-300 py-1 first:border-t-0">
            <dt className="font-semibold">{parameter.label}</dt>
            <dd>{[parameter.help, WAYS[parameter.kind], withinOf(parameter)].filter(Boolean).join('; ')}</dd>
          </div>
        ))}
      </dl>
      <p className="muted mt-2 text-sm">Arithmetic: {source}.</p>
    </>
  );
}
