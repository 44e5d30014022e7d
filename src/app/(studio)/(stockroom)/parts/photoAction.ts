'use server';

import { action } from '@/app/lib/action';
import { aFormData, photoIn } from '@/app/lib/photoSent';
import { keepPhoto } from '@/studio/photos/keepPhoto';
import { aKey, anId } from '@/studio/kernel/arguments';

export const keepPhotoAction = action([anId, aKey, aFormData], async (session, articleId, key, form) =>
  keepPhoto(session, key, articleId, await photoIn(form)),
);
