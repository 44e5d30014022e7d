'use client';

import { useRouter } from 'next/navigation';
import type { PickableArticle } from '@/studio/batches/namePart';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { namePartAction } from '../actions';

/** Says what a part of patterns is in the drawers. */
export function PartPicker({
  name,
  current,
  articles,
}: {
  name: string;
  current: string | null;
  articles: readonly PickableArticle[];
}) {
  const router = useRouter();
  const { busy, problem, run } = useAct();
  const known = articles.find((article) => article.name === current)?.id ?? '';
  return (
    <>
      <select
        aria-label={`What “${name}” is in the drawers`}
        className="select w-full text-base"
        disabled={busy}
        value={known}
        onChange={(event) =>
          void run(
            () => namePartAction(newKey(), name, event.target.value),
            () => router.refresh(),
          )
        }
      >
        {known === '' && <option value="">{current ?? 'not said yet'}</option>}
        {articles.map((article) => (
          <option key={article.id} value={article.id}>
            {article.name}
          </option>
        ))}
      </select>
      {problem && (
        <p role="alert" className="text-sm font-semibold text-error">
          {problem}
        </p>
      )}
    </>
  );
}
