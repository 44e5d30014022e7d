'use client';

import { useRouter } from 'next/navigation';
import { useCallback, type ComponentProps } from 'react';
import { Shell } from '@/ui/Shell';

/** The shell with the router's way of going somewhere. */
export function StudioShell(props: Omit<ComponentProps<typeof Shell>, 'go'>) {
  const router = useRouter();
  const go = useCallback((href: string) => router.push(href), [router]);
  return <Shell {...props} go={go} />;
}
