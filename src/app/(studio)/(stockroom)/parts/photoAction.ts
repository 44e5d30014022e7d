'use server';

import { action } from '@/app/lib/action';
import { keepPhoto } from '@/studio/photos/keepPhoto';
import { aKey, anId } from '@/studio/kernel/arguments';

const aFormData = (given: unknown): FormData | undefined => (given instanceof FormData ? given : undefined);

export const keepPhotoAction = action([anId, aKey, aFormData], async (session, articleId, key, form) => {
  const file = form.get('photo');
  const bytes = file instanceof Blob ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array();
  return keepPhoto(session, key, articleId, bytes);
});
