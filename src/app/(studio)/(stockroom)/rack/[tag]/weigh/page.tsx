import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { tag } from '@/core/tag';
import { listSpoolTypes } from '@/studio/stock/places';
import { showStockPiece } from '@/studio/wire/rack';
import { Length } from '@/ui/lengths';
import { WireChip } from '@/ui/WireChip';
import { WeighInForm } from './WeighInForm';

export const metadata = { title: 'Weigh in' };

export default async function WeighPage({ params }: { params: Promise<{ tag: string }> }) {
  const { session } = await pageMember();
  const piece = orNotFound(await showStockPiece(session, await tagParam('wire', params)));
  return (
    <>
      <h1>
        How much is left on {piece.form} {tag('wire', piece.number)}? The books say{' '}
        <Length of={piece.length} />
      </h1>
      <p className="mt-2">
        <WireChip spec={piece.spec} />
      </p>
      <WeighInForm
        key={piece.length}
        number={piece.number}
        spec={piece.spec}
        expected={piece.length}
        initial={piece.initialLength}
        emptyMass={piece.emptyMass}
        spools={await listSpoolTypes(session)}
      />
    </>
  );
}
