import { notFound } from 'next/navigation';
import { numberOnTag, type Tagged } from '@/core/tag';

/** The number in the last part of a page's address ("W-0042"); anything else is no page. */
export async function tagParam(kind: Tagged, params: Promise<{ tag: string }>): Promise<number> {
  const number = numberOnTag(kind, (await params).tag);
  return number ?? notFound();
}

/** What there must be for the page to be one. */
export const orNotFound = <T>(found: T | null): T => found ?? notFound();
