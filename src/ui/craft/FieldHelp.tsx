import type { Parameter, Parameters } from '@/core/technique/parameter';
import { WEAVE_EXAMPLES } from '@/core/weave/examples';
import { Fold } from '../Fold';

/** How a weave is written; pressing an example writes it into the field. */
export function WeaveHelp({ onPick }: { onPick: (text: string) => void }) {
  return (
    <Fold title="How a weave is written">
      <p className="text-sm">
        Frame wires have letters from the edge inward, A first; the number behind them says how often the
        working wire goes round them. What is written is repeated.
      </p>
      <ul className="mt-1">
        {WEAVE_EXAMPLES.map(({ text, means }) => (
          <li key={text} className="flex items-center gap-2 border-t border-base-300 py-1 text-sm">
            <button
              type="button"
              className="btn btn-sm min-h-11 shrink-0 font-mono"
              aria-label={`Write ${text}`}
              onClick={() => onPick(text)}
            >
              {text}
            </button>
            {means}
          </li>
        ))}
      </ul>
    </Fold>
  );
}

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
export function TechniqueHelp({ parameters, source }: { parameters: Parameters; source: string }) {
  return (
    <Fold title="What these fields mean">
      <dl className="text-sm">
        {Object.entries(parameters).map(([key, parameter]) => (
          <div key={key} className="border-t border-base-300 py-1 first:border-t-0">
            <dt className="font-semibold">{parameter.label}</dt>
            <dd>{[parameter.help, WAYS[parameter.kind], withinOf(parameter)].filter(Boolean).join('; ')}</dd>
          </div>
        ))}
      </dl>
      <p className="muted mt-2 text-sm">Arithmetic: {source}.</p>
    </Fold>
  );
}
