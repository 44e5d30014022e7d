import { pageMember } from '@/app/lib/member';
import { searched, type Search } from '@/app/lib/search';
import { labelsOf, tagsInPlace } from '@/studio/labels/labels';
import { listPlaces } from '@/studio/stock/places';
import { LabelSheet } from './LabelSheet';

export const metadata = { title: 'Labels' };

export default async function LabelsPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { items = '', place } = await searched(searchParams, ['items', 'place']);
  const tags = place ? await tagsInPlace(session, place) : items.split(/[\s,;]+/).filter(Boolean);
  const labels = await labelsOf(session, tags);
  return (
    <>
      <h1>
        {labels.length === 0
          ? 'Which labels?'
          : `${labels.length} ${labels.length === 1 ? 'label' : 'labels'} to print`}
      </h1>
      <LabelSheet
        key={labels.map(({ tag }) => tag).join()}
        labels={labels}
        unknown={place ? [] : tags.filter((text) => !labels.some(({ tag }) => sameTag(tag, text)))}
        places={await listPlaces(session)}
      />
    </>
  );
}

const sameTag = (tag: string, typed: string): boolean =>
  tag.replace(/-0*/, '-') === typed.toUpperCase().replace(/-?0*(\d+)$/, '-$1');
