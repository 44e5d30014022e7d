import type { StudioSession } from '@/studio/kernel/useCase';
import type { ImportView } from '@/studio/lists/importFile';
import { showImport } from '@/studio/lists/importList';

/** Watches a file that comes in until it rests. */
export async function settledImport(session: StudioSession, id: string): Promise<ImportView> {
  for (;;) {
    const view = await showImport(session, id);
    if (!view) throw new Error('the file is gone');
    if (view.state !== 'checking' && view.state !== 'posting') return view;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}
