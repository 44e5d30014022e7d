import { Link } from '@/ui/Link';
import { daysLater, dayIn } from '@/core/calendar/day';
import { tag } from '@/core/tag';
import { makeProposal, proposedMetals, type ProposalTexts } from '@/studio/paper/proposal';
import { showPattern } from '@/studio/patterns/patterns';
import { readSettings } from '@/studio/settings/settings';
import { pageOwner } from '@/app/lib/member';
import { paperRulesOf } from '@/app/lib/paperRules';
import { textsAsked, type Search } from '@/app/lib/search';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { ProposalForm } from './ProposalForm';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: `${(await params).tag}, a proposal` };
}

/** So many days a proposal stands when nobody says otherwise. */
const STANDS = 30;

/** A piece as it is proposed to a customer: what is to stand on the page, and the page as it is then. */
export default async function ProposalPage({
  params,
  searchParams,
}: {
  params: Params;
  searchParams: Search;
}) {
  const member = await pageOwner();
  const { session, currency } = member;
  const pattern = orNotFound(await showPattern(session, await tagParam('pattern', params)));
  const metals = await proposedMetals(session, pattern);
  const { timeZone } = await readSettings(session);
  const typed = await textsAsked(searchParams);
  const isAsked = Object.keys(typed).length > 0;
  const texts: ProposalTexts = isAsked
    ? typed
    : {
        until: daysLater(dayIn(timeZone, new Date()), STANDS),
        ...Object.fromEntries(metals.map(({ field, usual }) => [field, usual])),
      };
  const { wrong, page } = await makeProposal(session, pattern, metals, texts, paperRulesOf(member));
  const label = tag('pattern', pattern.number);
  const query = new URLSearchParams(texts).toString();
  return (
    <>
      <p className="muted">
        <Link href={`/patterns/${label}`} className="link">
          {pattern.name}
        </Link>{' '}
        · {label}
      </p>
      <h1>A page for a customer</h1>
      <p className="muted mt-1">
        It shows the piece, its size and its prices: nothing of how it is made, and nothing of what it costs
        you.
      </p>
      <div className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)]">
        <ProposalForm metals={metals} texts={texts} wrong={isAsked ? wrong : {}} currency={currency} />
        {page ? (
          <section aria-label="The page" className="min-w-0">
            <p className="mb-3 flex flex-wrap gap-2">
              <a href={`/patterns/${label}/proposal.pdf?${query}`} className="btn btn-primary btn-lg">
                The page as a PDF
              </a>
              <a href={`/patterns/${label}/proposal.svg?${query}`} className="btn btn-lg">
                SVG
              </a>
              <Link
                href={`/orders/new?pattern=${label}&buyer=${encodeURIComponent(texts['whom'] ?? '')}`}
                className="btn btn-lg"
              >
                Write a quote
              </Link>
            </p>
            <img
              src={`/patterns/${label}/proposal.svg?${query}`}
              alt={`The page for a customer: ${pattern.name}`}
              className="w-full border border-base-300 bg-white"
            />
          </section>
        ) : (
          <p className="leaf muted p-6">The page comes when what stands beside can be read.</p>
        )}
      </div>
    </>
  );
}
