'use server';

import { asMember } from '@/app/lib/member';
import { keepPhoto } from '@/studio/photos/keepPhoto';

export async function keepPhotoAction(articleId: string, key: string, form: FormData) {
  return asMember(async (session) => {
    const file = form.get('photo');
    const bytes = file instanceof Blob ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array();
    return keepPhoto(session, key, articleId, bytes);
  });
}
