import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Whether scripts run on this page yet: not while the server draws it, nor before the browser has taken it over. */
export const useIsListening = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
