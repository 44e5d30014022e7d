import { type RowOf } from '@/data/sql/statement';
import { ledgerAfterSql } from '@/data/sql/ledger';
import { plainAmountOf } from '@/core/stock/amount';
import { tag } from '@/core/tag';
import { plainCost, type CostUnits } from '@/core/units/money';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { settingsIn } from '../settings/settings';
import { ACCOUNT_LISTS } from './accounts';
import { csvLines } from './csv';
import { CUSTOMER_LIST } from './customerList';
import { listOf } from './lists';
import type { OutList } from './outList';

/** Rows that are read at a time, so that no list is held whole. */
const PAGE = 2000;

/** A list as the parts of a CSV file, in the order of the tags; undefined when there is no such list. For the owner. */
export function exportList(session: StudioSession, id: string): AsyncGenerator<string> | undefined {
  ownerOnly(session);
  if (id === 'ledger') return exportLedger(session);
  const out = [...ACCOUNT_LISTS, CUSTOMER_LIST].find((each) => each.id === id);
  if (out) return exportOut(session, out);
  const list = listOf(id);
  return list && exportStock(session, id);
}

async function* exportStock(session: StudioSession, id: string): AsyncGenerator<string> {
  const list = listOf(id);
  if (!list) return;
  yield csvLines([list.columns.map(({ title }) => title)]);
  for (let after = 0; ;) {
    const from = after;
    const rows = await look(session, async (tx) =>
      list.write(tx, (await settingsIn(tx)).currency, from, PAGE),
    );
    yield csvLines(rows.map(({ cells }) => cells));
    const last = rows.at(-1);
    if (!last || rows.length < PAGE) return;
    after = last.number;
  }
}

/** A list that goes out only, as long as there are rows. */
async function* exportOut(session: StudioSession, { columns, rows }: OutList): AsyncGenerator<string> {
  yield csvLines([columns.map(([title]) => title)]);
  for (let after = 0; ; after += PAGE) {
    const from = after;
    const page = await look(session, async (tx) => rows(tx, (await settingsIn(tx)).currency, from, PAGE));
    if (page.length === 0) return;
    yield csvLines(page);
  }
}

type LedgerRow = RowOf<typeof ledgerAfterSql>;

/** The ledger goes out only: what has happened cannot be brought in. */
async function* exportLedger(session: StudioSession): AsyncGenerator<string> {
  yield csvLines([
    ['Movement', 'When', 'By', 'What', 'Tag', 'Of', 'Quantity', 'Cost', 'Reason', 'Piece', 'Takes back'],
  ]);
  for (let after = 0; ;) {
    const from = after;
    const { rows, currency } = await look(session, async (tx) => ({
      currency: (await settingsIn(tx)).currency,
      rows: await tx.rows(ledgerAfterSql, { after: from, most: PAGE }),
    }));
    yield csvLines(rows.map((row) => ledgerCells(row, currency)));
    const last = rows.at(-1);
    if (!last || rows.length < PAGE) return;
    after = last.id;
  }
}

function ledgerCells(row: LedgerRow, currency: string): string[] {
  const signed = (text: string, value: number) => (value < 0 ? `-${text}` : text);
  const { ware, unit, quantity, cost } = row;
  return [
    String(row.id),
    row.at.toISOString(),
    row.who,
    row.kind,
    tag(ware, row.number),
    row.article,
    signed(plainAmountOf({ ware, unit }, Math.abs(quantity)), quantity),
    signed(plainCost(Math.abs(cost) as CostUnits, currency), cost),
    row.reason,
    row.piece === null ? '' : tag('piece', row.piece),
    row.reverses === null ? '' : String(row.reverses),
  ];
}
