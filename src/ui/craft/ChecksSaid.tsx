import { Said } from '../house';

/** What is to be seen of a whole piece: what of its stone is bare, how that is kept, how its sides differ; nothing where there is nothing to say. */
export function ChecksSaid({ said }: { readonly said: readonly string[] }) {
  if (said.length === 0) return null;
  return (
    <ul className="mt-1 text-sm" aria-label="Checks of the whole piece">
      {said.map((each) => (
        <li key={each}>
          <Said>{each}</Said>
        </li>
      ))}
    </ul>
  );
}
