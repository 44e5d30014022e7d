import { headers } from 'next/headers';

/**
 * Keeps the single keys that are pressed before the page listens, for {@link takeEarlyKeys}, however long it takes to
 * come. Who points at something since has gone on to something else: they are forgotten then. It runs before anything
 * else does.
 */
const KEEP = `(function(){var w=window;w.earlyKeys=[];function forget(){w.earlyKeys=[];}function on(e){
if(e.key.length!==1||e.ctrlKey||e.metaKey||e.altKey||e.isComposing)return;
var t=e.target;if(t&&(t.isContentEditable||t.matches&&t.matches('input,textarea,select')))return;
w.earlyKeys.push(e.key);}
document.addEventListener('keydown',on,true);document.addEventListener('pointerdown',forget,true);
w.stopEarlyKeys=function(){document.removeEventListener('keydown',on,true);document.removeEventListener('pointerdown',forget,true);};})();`;

/** A small script with the page's nonce, so that no key of the first second is lost. */
export async function EarlyKeys() {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: KEEP }} />;
}
