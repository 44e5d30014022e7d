'use client';

import { useRouter } from 'next/navigation';
import { useToast } from '@/ui/toasts';

/** After an act was taken: says so, then shows the page anew or goes to another. */
export function useDone<T>(say: (value: T) => string, goTo?: (value: T) => string): (value: T) => void {
  const router = useRouter();
  const toast = useToast();
  return (value: T) => {
    toast(say(value));
    if (goTo) router.push(goTo(value));
    else router.refresh();
  };
}
