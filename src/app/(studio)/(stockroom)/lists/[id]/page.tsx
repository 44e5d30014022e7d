import { pageOwner } from '@/app/lib/member';
import { orNotFound } from '@/app/lib/tagParam';
import { showImport } from '@/studio/lists/importList';
import { listOf } from '@/studio/lists/lists';
import { ImportWatch } from './ImportWatch';

export const metadata = { title: 'A list comes in' };

export default async function ImportPage({ params }: { params: Promise<{ id: string }> }) {
  const { session } = await pageOwner();
  const view = orNotFound(await showImport(session, (await params).id));
  const list = orNotFound(listOf(view.list) ?? null);
  return (
    <ImportWatch
      view={view}
      listTitle={list.title}
      columns={list.columns.map(({ key, title, required = false }) => ({ key, title, required }))}
    />
  );
}
