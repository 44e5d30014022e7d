import { pageOwner } from '@/app/lib/member';
import { ofOneTechnique } from '@/core/pattern/addTechnique';
import type { Search } from '@/app/lib/search';
import { Said } from '@/ui/house';
import { askedHowMuch } from '../../how-much/askedHowMuch';
import { begunFrom } from './begunFrom';
import { Composer } from './Composer';
import { composerData } from './composerData';
import { EMPTY_DRAFT } from './patternDraft';

export const metadata = { title: 'Compose a pattern' };

export default async function ComposePage({ searchParams }: { searchParams: Search }) {
  const { session, currency } = await pageOwner();
  const asked = await askedHowMuch(searchParams);
  const data = await composerData(session);
  const specs = Object.fromEntries(data.specs.map((spec) => [spec.id, spec]));
  if (asked) {
    const { technique, texts, metal } = asked;
    const given = {
      ...EMPTY_DRAFT,
      name: technique.title,
      kind: technique.group === 'rings' ? 'ring' : EMPTY_DRAFT.kind,
      composition: ofOneTechnique(technique, texts, metal, specs),
    };
    return (
      <Composer base={null} given={given} from={JSON.stringify([technique.id, texts, metal])} {...data} />
    );
  }
  const begun = await begunFrom(session, searchParams, { specs, stones: data.stones, currency });
  if (typeof begun === 'object') return <Composer base={null} {...begun} {...data} />;
  return (
    <>
      {begun !== undefined && (
        <p role="status" className="mb-3 border-l-4 border-warning bg-base-100 p-3">
          <Said>{begun}</Said> Begin with a technique instead.
        </p>
      )}
      <Composer base={null} given={EMPTY_DRAFT} {...data} />
    </>
  );
}
