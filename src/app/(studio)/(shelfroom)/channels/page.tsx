import { pageOwner } from '@/app/lib/member';
import { formatMoney, minor, plainMoney } from '@/core/units/money';
import { BASIS, formatPercent } from '@/core/units/percent';
import type { KnownChannel } from '@/studio/selling/channels';
import { listChannels } from '@/studio/selling/channels';
import { listStanding } from '@/studio/selling/standing';
import { todayOf } from '@/studio/kernel/useCase';
import type { ChannelInput } from '@/studio/selling/channels.input';
import { readSettings, type Settings } from '@/studio/settings/settings';
import { Fold } from '@/ui/Fold';
import { ChannelForm } from './ChannelForm';
import { StandingCosts } from './StandingCosts';

export const metadata = { title: 'Where you sell' };

/** Where pieces are sold, and what selling costs there. */
export default async function ChannelsPage() {
  const { session } = await pageOwner();
  const [channels, settings] = [await listChannels(session), await readSettings(session)];
  const standing = await listStanding(session);
  const { currency } = settings;
  return (
    <>
      <h1>Where you sell</h1>
      <p className="muted">
        A fair, a page of your own, a shop on commission: each with what it keeps of a sale, so that a sale
        tells what it left.
      </p>
      <ul className="mt-3 space-y-3">
        {channels.map((channel) => (
          <li key={channel.id} className="leaf p-4">
            <h2 className={channel.isOpen ? '' : 'muted'}>
              {channel.name} <span className="muted text-base font-normal">{channel.kind}</span>
              {!channel.isOpen && (
                <span className="text-base font-normal"> · nothing is sold there any more</span>
              )}
            </h2>
            <p>{termsSaid(channel, currency)}</p>
            <div className="no-print">
              <Fold title={`Change “${channel.name}”`}>
                <ChannelForm id={channel.id} values={inputOf(channel, currency)} />
              </Fold>
            </div>
          </li>
        ))}
      </ul>
      {channels.length > 0 && (
        <StandingCosts channels={channels} standing={standing} today={todayOf(session)} />
      )}
      <section className="leaf no-print mt-3 p-4">
        <h2>{channels.length === 0 ? 'Write down the first' : 'Another'}</h2>
        <div className="mt-2">
          <ChannelForm key={channels.length} id={null} values={newChannel(settings)} />
        </div>
      </section>
    </>
  );
}

const typed = (amount: number, currency: string): string =>
  `${plainMoney(minor(amount), currency)} ${currency}`;

function inputOf(
  { kind, name, isOpen, terms, rounding, pricing }: KnownChannel,
  currency: string,
): ChannelInput {
  return {
    kind,
    name,
    isOpen,
    feePercent: String(terms.feePercent / 100),
    feeOn: terms.feeOn,
    feeFixed: typed(terms.feeFixed, currency),
    postageAsked: typed(terms.postageAsked, currency),
    postage: typed(terms.postage, currency),
    packing: typed(terms.packing, currency),
    taxKind: terms.tax.kind,
    taxPercent: String(terms.tax.percent / 100),
    taxRounding: rounding,
    pricePercent: String(pricing.pricePercent / 100),
    endings: pricing.endings.map((ending) => typed(ending, currency)),
  };
}

/** A new one begins with the fees and the tax of the house rules. */
const newChannel = ({ currency, feePercent, feeFixed, taxPercent, taxIncluded }: Settings): ChannelInput => ({
  kind: 'fair',
  name: '',
  isOpen: true,
  feePercent: String(feePercent / 100),
  feeOn: 'gross',
  feeFixed: typed(feeFixed, currency),
  postageAsked: typed(0, currency),
  postage: typed(0, currency),
  packing: typed(0, currency),
  taxKind: taxPercent === 0 ? 'none' : taxIncluded ? 'included' : 'added',
  taxPercent: String(taxPercent / 100),
  taxRounding: 'document',
  pricePercent: '100',
  endings: [],
});

function termsSaid({ terms, pricing }: KnownChannel, currency: string): string {
  const money = (amount: number): string => formatMoney(minor(amount), currency);
  const keeps = [
    ...(terms.feePercent > 0
      ? [`${formatPercent(terms.feePercent)}${terms.feeOn === 'net' ? ' of what is without tax' : ''}`]
      : []),
    ...(terms.feeFixed > 0 ? [`${money(terms.feeFixed)} a sale`] : []),
  ];
  return [
    keeps.length === 0 ? 'Keeps nothing of a sale' : `Keeps ${keeps.join(' and ')}`,
    ...(terms.postageAsked > 0 ? [`${money(terms.postageAsked)} of postage asked`] : []),
    ...(terms.postage > 0 ? [`${money(terms.postage)} paid`] : []),
    ...(terms.packing > 0 ? [`${money(terms.packing)} of packing a piece`] : []),
    ...(pricing.pricePercent === BASIS
      ? []
      : [`asks ${formatPercent(pricing.pricePercent)} of what is on the tags`]),
    ...(pricing.endings.length === 0
      ? []
      : [`prices end in ${pricing.endings.map((ending) => plainMoney(ending, currency)).join(', ')}`]),
    terms.tax.kind === 'none' ? 'no tax' : `${formatPercent(terms.tax.percent)} of tax ${terms.tax.kind}`,
  ].join(' · ');
}
