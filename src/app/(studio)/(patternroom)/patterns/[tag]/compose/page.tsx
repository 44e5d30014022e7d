import { redirect } from 'next/navigation';
import { pageOwner } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { withMissingWires } from '@/core/pattern/addTechnique';
import { tag } from '@/core/tag';
import { techniqueOf } from '@/core/techniques/registry';
import { showPattern } from '@/studio/patterns/patterns';
import { Composer } from '../../compose/Composer';
import { composerData } from '../../compose/composerData';
import { draftOf } from '../../compose/patternDraft';

export const metadata = { title: 'Change a pattern' };

export default async function ComposeAgainPage({ params }: { params: Promise<{ tag: string }> }) {
  const { session, currency } = await pageOwner();
  const { number, revision, body } = orNotFound(
    await showPattern(session, await tagParam('pattern', params)),
  );
  // A pattern that was written by hand has no techniques to change.
  if (!body.composition) redirect(`/patterns/${tag('pattern', number)}/edit`);
  const data = await composerData(session);
  const specs = Object.fromEntries(data.specs.map((spec) => [spec.id, spec]));
  const composition = withMissingWires(body.composition, techniqueOf, specs);
  return <Composer base={{ number, revision }} given={draftOf(body, composition, currency)} {...data} />;
}
