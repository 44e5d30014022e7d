import { PartsNav, type Part } from '@/ui/PartsNav';

/** The parts of the stockroom, in the order they are used. */
const PARTS: readonly Part[] = [
  { href: '/stock', name: 'At a glance' },
  { href: '/rack', name: 'Wire' },
  { href: '/beads', name: 'Beads' },
  { href: '/stones', name: 'Stones' },
  { href: '/findings', name: 'Findings' },
  { href: '/supplies', name: 'Supplies' },
  { href: '/jars', name: 'Scrap jars' },
  { href: '/fit', name: 'Fit' },
  { href: '/counts', name: 'Counting' },
  { href: '/to-buy', name: 'To buy' },
  { href: '/labels', name: 'Labels' },
  { href: '/ledger', name: 'Ledger' },
  { href: '/metal', name: 'Metal prices', ownerOnly: true },
  { href: '/lists', name: 'In and out', ownerOnly: true },
];

export const StockroomNav = ({ isOwner }: { isOwner: boolean }) => (
  <PartsNav label="Stockroom" parts={PARTS} isOwner={isOwner} />
);
