import { pageOwner } from '@/app/lib/member';
import { NoWireYet } from '../NoWireYet';
import { Composer } from './Composer';
import { composerData } from './composerData';
import { EMPTY_DRAFT } from './patternDraft';

export const metadata = { title: 'Compose a pattern' };

export default async function ComposePage() {
  const { session } = await pageOwner();
  const data = await composerData(session);
  if (data.specs.length === 0) return <NoWireYet />;
  return <Composer base={null} given={EMPTY_DRAFT} {...data} />;
}
