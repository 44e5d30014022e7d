import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { tag } from '@/core/tag';
import { showCount } from '@/studio/counting/counting';
import { PrintButton } from '@/ui/PrintButton';
import { Day } from '@/ui/When';
import { CountSheet } from './CountSheet';
import { PastCount } from './PastCount';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function CountPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const sheet = orNotFound(await showCount(session, await tagParam('count', params)));
  const counted = sheet.lines.filter((line) => line.counted !== null).length;
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {sheet.placeName}: {counted} of {sheet.lines.length} counted
        </h1>
        <span className="max-sm:hidden">
          <PrintButton />
        </span>
      </div>
      <p className="muted">
        {tag('count', sheet.number)}, begun <Day at={sheet.startedAt} /> by {sheet.startedBy}
        {sheet.postedAt && (
          <>
            , posted <Day at={sheet.postedAt} />
          </>
        )}
        .{' '}
        <Link className="link no-print" href="/counts">
          All counts
        </Link>
      </p>
      {sheet.postedAt ? (
        <PastCount sheet={sheet} />
      ) : (
        <CountSheet sheet={sheet} isOwner={session.role === 'owner'} />
      )}
    </>
  );
}
