import Link from 'next/link';

/** A pattern is written for wires the studio knows. */
export function NoWireYet() {
  return (
    <section className="leaf mx-auto mt-6 max-w-2xl p-6">
      <h1>First some wire, then a pattern</h1>
      <p className="mt-3">A pattern names the wires it is cut from, so there has to be one on the rack.</p>
      <Link href="/rack/receive" className="btn btn-primary btn-lg mt-5">
        Receive the first wire
      </Link>
    </section>
  );
}
