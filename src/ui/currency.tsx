'use client';

import { createContext, useContext, type ReactNode } from 'react';

const CurrencyContext = createContext('USD');

/** The currency of the studio, by its ISO 4217 code; every page stands in it, and few print amounts. */
export function CurrencyProvider({ code, children }: { code: string; children: ReactNode }) {
  return <CurrencyContext value={code}>{children}</CurrencyContext>;
}

export const useCurrency = (): string => useContext(CurrencyContext);
