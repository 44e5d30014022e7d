import { headers } from 'next/headers';

/** Keeps the single keys that are pressed before the page listens, for {@link takeEarlyKeys}. It runs before anything else does. */
const KEEP = `(function(){var w=window,k=w.earlyKeys=[];function on(e){
if(e.key.length!==1||e.ctrlKey||e.metaKey||e.altKey||e.isComposing)return;
var t=e.target;if(t&&(t.isContentEditable||t.matches&&t.matches('input,textarea,select')))return;
k.push({key:e.key,at:Date.now()});}
document.addEventListener('keydown',on,true);
w.stopEarlyKeys=function(){document.removeEventListener('keydown',on,true);};})();`;

/** A small script with the page's nonce, so that no key of the first second is lost. */
export async function EarlyKeys() {
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: KEEP }} />;
}
