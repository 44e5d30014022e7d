import { pageMember } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { labelsOf, tagsInPlace } from '@/studio/labels/labels';
import { LabelsQuery } from '@/studio/labels/labels.input';
import { listPlaces } from '@/studio/stock/places';
import { LabelSheet } from './LabelSheet';

export const metadata = { title: 'Labels' };

export default async function LabelsPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { items = '', place, as = 'label' } = await asked(searchParams, LabelsQuery);
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
        printedAs={as}
        unknown={place ? [] : tags.filter((text) => !labels.some(({ tag }) => sameTag(tag, text)))}
        places={await listPlaces(session)}
      />
    </>
  );
}

/** Whether a tag is the one that was typed, however many noughts were. */
function sameTag(tag: string, typed: string): boolean {
  const match = /^([A-Z])-?(\d{1,9})$/.exec(typed.trim().toUpperCase());
  const [letter, number] = tag.split('-');
  return match !== null && match[1] === letter && Number(match[2]) === Number(number);
}
