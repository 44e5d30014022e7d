'use client';

import { useRouter } from 'next/navigation';
import type { Outcome } from '@/studio/kernel/outcome';
import { newKey } from '@/ui/newKey';
import { useAct } from '@/ui/useAct';
import { useToast } from '@/ui/toasts';

/** Longer side of a picture as it is sent, px. */
const SIDE = 1280;

/** Makes a picture small and strips it of all but the picture, by drawing it anew. */
async function madeSmall(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * scale);
  canvas.height = Math.round(bitmap.height * scale);
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return new Promise((resolve, reject) =>
    canvas.toBlob(
      (blob) => (blob ? resolve(blob) : reject(new Error('the picture cannot be drawn'))),
      'image/jpeg',
      0.85,
    ),
  );
}

/** Takes a photograph of something, or another one in its place. */
export function PhotoForm({
  label,
  keep,
}: {
  label: string;
  /** Keeps what was sent under a key. */
  keep: (key: string, form: FormData) => Promise<Outcome<unknown>>;
}) {
  const router = useRouter();
  const toast = useToast();
  const { busy, problem, setProblem, run } = useAct();
  const send = async (file: File | undefined) => {
    if (!file) return;
    const small = await madeSmall(file).catch(() => undefined);
    if (!small) return setProblem('This is not a picture that can be kept; choose a JPEG, PNG or WebP.');
    const form = new FormData();
    form.set('photo', small);
    await run(
      () => keep(newKey(), form),
      () => {
        toast('The photograph is kept.');
        router.refresh();
      },
    );
  };
  return (
    <section className="leaf no-print p-4">
      <label className="block text-sm font-semibold">
        {label}
        <input
          type="file"
          accept="image/*"
          className="file-input mt-1 w-full"
          disabled={busy}
          onChange={(event) => void send(event.target.files?.[0])}
        />
      </label>
      <p className="muted mt-1 text-sm">It is made small here, and nothing but the picture is kept.</p>
      {busy && (
        <progress className="progress progress-primary mt-2 block w-full" aria-label="Sending the picture" />
      )}
      {problem && (
        <p role="alert" className="mt-2 text-sm font-semibold text-error">
          {problem}
        </p>
      )}
    </section>
  );
}
