import { pageOwner } from '@/app/lib/member';
import { ofOneTechnique } from '@/core/pattern/addTechnique';
import type { Search } from '@/app/lib/search';
import { askedHowMuch } from '../../how-much/askedHowMuch';
import { Composer } from './Composer';
import { composerData } from './composerData';
import { EMPTY_DRAFT } from './patternDraft';

export const metadata = { title: 'Compose a pattern' };

export default async function ComposePage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageOwner();
  const asked = await askedHowMuch(searchParams);
  const data = await composerData(session);
  if (!asked) return <Composer base={null} given={EMPTY_DRAFT} {...data} />;
  const { technique, texts, metal } = asked;
  const specs = Object.fromEntries(data.specs.map((spec) => [spec.id, spec]));
  const given = {
    ...EMPTY_DRAFT,
    name: technique.title,
    kind: technique.group === 'rings' ? 'ring' : EMPTY_DRAFT.kind,
    composition: ofOneTechnique(technique, texts, metal, specs),
  };
  return <Composer base={null} given={given} from={JSON.stringify([technique.id, texts, metal])} {...data} />;
}
