/** What is in the hands at a step of the work; nothing where nobody told. */
export function InHand({ things }: { things: readonly string[] }) {
  if (things.length === 0) return null;
  return (
    <section className="leaf p-4">
      <h2>In hand</h2>
      <ul className="mt-1">
        {things.map((each, index) => (
          <li key={index}>{each}</li>
        ))}
      </ul>
    </section>
  );
}
