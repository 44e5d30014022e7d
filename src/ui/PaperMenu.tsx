/** What goes out on paper or as a file from a page. */
export function PaperMenu({
  of,
  papers,
}: {
  /** Address that the files stand under. */
  of: string;
  papers: readonly (readonly [file: string, title: string])[];
}) {
  return (
    <details className="dropdown dropdown-end">
      <summary className="btn btn-lg">On paper</summary>
      <ul className="dropdown-content menu leaf z-40 w-64 shadow-lg">
        {papers.map(([file, title]) => (
          <li key={file}>
            <a href={`${of}/${file}`}>{title}</a>
          </li>
        ))}
      </ul>
    </details>
  );
}
