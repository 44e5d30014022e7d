/** A file that is answered with. @param kept whether it is to be kept rather than shown */
export const sent = (name: string, type: string, content: Uint8Array | string, kept = false): Response =>
  new Response(typeof content === 'string' ? content : new Uint8Array(content), {
    headers: {
      'content-type': type,
      'content-disposition': `${kept ? 'attachment' : 'inline'}; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
