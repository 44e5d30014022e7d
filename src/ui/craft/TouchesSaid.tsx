import { Said } from '../house';

/** Where wires of a piece lie in one another or in its stones; nothing when they do nowhere. */
export function TouchesSaid({ said }: { readonly said: readonly string[] }) {
  if (said.length === 0) return null;
  return (
    <ul className="mt-1 border-l-4 border-warning pl-2 text-sm" aria-label="Wires without room">
      {said.map((each) => (
        <li key={each}>
          <Said>{each}</Said>
        </li>
      ))}
    </ul>
  );
}
