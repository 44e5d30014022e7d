import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { pageOwner } from '@/app/lib/member';
import { NoWireYet } from '../NoWireYet';
import { PatternForm } from '../PatternForm';
import { EMPTY_PATTERN } from '../patternValues';

export const metadata = { title: 'Write a pattern' };

export default async function NewPatternPage() {
  const { session } = await pageOwner();
  const specs = await listSpecs(session);
  if (specs.length === 0) return <NoWireYet />;
  return (
    <>
      <h1>What does the piece take?</h1>
      <PatternForm base={null} specs={specs} defaultValues={EMPTY_PATTERN} />
    </>
  );
}
