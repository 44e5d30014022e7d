'use client';

import { Printer } from 'lucide-react';

/** Prints the page; what is only for the screen is left out by the print styles. */
export function PrintButton() {
  return (
    <button type="button" className="btn btn-lg no-print" onClick={() => window.print()}>
      <Printer size={18} aria-hidden="true" />
      Print
    </button>
  );
}
