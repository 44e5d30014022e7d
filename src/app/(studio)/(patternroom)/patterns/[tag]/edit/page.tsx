import { showPattern } from '@/studio/patterns/patterns';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { pageOwner } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { PatternForm } from '../../PatternForm';
import { patternValues } from '../../patternValues';

export const metadata = { title: 'Change a pattern' };

export default async function EditPatternPage({ params }: { params: Promise<{ tag: string }> }) {
  const { session, lengthSystem, currency } = await pageOwner();
  const { number, revision, name, body } = orNotFound(
    await showPattern(session, await tagParam('pattern', params)),
  );
  return (
    <>
      <h1 className="[overflow-wrap:anywhere]">Change “{name}”</h1>
      <p className="muted mt-1">
        It becomes revision {revision + 1}. Pieces already made keep the revision they were made from.
      </p>
      <PatternForm
        base={{ number, revision }}
        specs={await listSpecs(session)}
        defaultValues={patternValues(body, lengthSystem, currency)}
      />
    </>
  );
}
