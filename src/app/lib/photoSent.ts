import type { Argument } from '@/studio/kernel/arguments';

export const aFormData: Argument<FormData> = (given) => (given instanceof FormData ? given : undefined);

/** The bytes of the picture that a form sends; none when it sends something else. */
export async function photoIn(form: FormData): Promise<Uint8Array> {
  const file = form.get('photo');
  return file instanceof Blob ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array();
}
