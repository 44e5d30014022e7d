export default function NotFound() {
  return (
    <main className="mx-auto max-w-xl p-6">
      <title>Not here · Pewterer</title>
      <h1>There is nothing under this address</h1>
      <p className="mt-3">The number on the tag may be misread, or the page has moved.</p>
      {/* A plain link: every page carries what is said when there is none, and a quick one would come twice with it. */}
      <a href="/rack" className="btn btn-primary btn-lg mt-4">
        To the wire rack
      </a>
    </main>
  );
}
