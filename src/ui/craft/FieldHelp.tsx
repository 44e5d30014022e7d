import dynamic from 'next/dynamic';
import type { Parameters } from '@/core/parameter/parameter';
import { Fold } from '../Fold';
import { WhenSeen } from '../WhenSeen';

/** What is read now and then comes when its fold is opened. */
const WeaveExamples = dynamic(() => import('./WeaveExamples').then((loaded) => loaded.WeaveExamples), {
  ssr: false,
});
const FieldMeanings = dynamic(() => import('./FieldMeanings').then((loaded) => loaded.FieldMeanings), {
  ssr: false,
});

/** How a weave is written; pressing an example writes it into the field. */
export function WeaveHelp({ onPick }: { onPick: (text: string) => void }) {
  return (
    <Fold title="How a weave is written">
      <WhenSeen className="h-40">
        <WeaveExamples onPick={onPick} />
      </WhenSeen>
    </Fold>
  );
}

/** What the fields of a technique mean, what may stand in them, and where its arithmetic comes from. */
export function TechniqueHelp({ parameters, source }: { parameters: Parameters; source: string }) {
  return (
    <Fold title="What these fields mean">
      <WhenSeen className="h-40">
        <FieldMeanings parameters={parameters} source={source} />
      </WhenSeen>
    </Fold>
  );
}
