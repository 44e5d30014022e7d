/** On paper only: a bar to lay a ruler against, so that a printer that shrinks the page is found out. */
export function CheckBar() {
  return (
    <div className="mt-4 hidden print:block">
      <svg width="100mm" height="5mm" viewBox="0 0 100 5" aria-hidden="true">
        <path d="M0.1 0V5M99.9 0V5M0 2.5H100" stroke="black" strokeWidth="0.25" fill="none" />
        {Array.from({ length: 9 }, (_, index) => (
          <line
            key={index}
            x1={(index + 1) * 10}
            x2={(index + 1) * 10}
            y1="1.5"
            y2="3.5"
            stroke="black"
            strokeWidth="0.2"
          />
        ))}
      </svg>
      <p>This bar is 100 mm when the page is printed at full size.</p>
    </div>
  );
}
