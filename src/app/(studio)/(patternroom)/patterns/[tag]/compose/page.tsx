import { redirect } from 'next/navigation';
import { pageOwner } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { tag } from '@/core/tag';
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
  return (
    <Composer
      base={{ number, revision }}
      given={draftOf(body, body.composition, currency)}
      {...await composerData(session)}
    />
  );
}
