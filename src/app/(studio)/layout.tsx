import type { ReactNode } from 'react';
import { CurrencyProvider } from '@/ui/currency';
import { LengthsProvider } from '@/ui/lengths';
import { ToastProvider } from '@/ui/toasts';
import { HouseProvider } from '@/ui/house';
import { zoneOf } from '@/studio/kernel/useCase';
import { DEVICES } from '@/devices/devices';
import { DevicesProvider } from '@/app/lib/devices';
import { readDevices } from '@/studio/settings/devices';
import { doubtClock } from '@/studio/books/clock';
import { ClockBanner } from './ClockBanner';
import { pageMember } from '../lib/member';
import { readPreferences } from '../lib/preferences';
import { signOutAction } from '../sign-in/actions';
import { StudioShell } from './StudioShell';

export default async function StudioLayout({ children }: { children: ReactNode }) {
  const { session, name, studioName, currency, lengthSystem, numbers, days, rings } = await pageMember();
  const preferences = await readPreferences();
  const doubt = await doubtClock(session);
  const devices = await readDevices(session);
  const kinds = Object.fromEntries(DEVICES.map((device) => [device, devices[device].kind]));
  return (
    <LengthsProvider initial={preferences.lengthSystem ?? lengthSystem}>
      <HouseProvider house={{ zone: zoneOf(session), numbers, days, rings }}>
        <CurrencyProvider code={currency}>
          <DevicesProvider kinds={kinds}>
            <ToastProvider>
              <StudioShell
                studioName={studioName}
                personName={name}
                isOwner={session.role === 'owner'}
                theme={preferences.theme}
                keysAreOff={preferences.keysAreOff}
                signOut={signOutAction}
              >
                {doubt && <ClockBanner {...doubt} />}
                {children}
              </StudioShell>
            </ToastProvider>
          </DevicesProvider>
        </CurrencyProvider>
      </HouseProvider>
    </LengthsProvider>
  );
}
