'use server';

import { action } from '@/app/lib/action';
import { installationSecret } from '@/app/lib/seal';
import { addHelper } from '@/studio/people/helpers';
import type { AddHelperInput } from '@/studio/people/people.input';
import { changeCurrency } from '@/studio/settings/changeCurrency';
import type { ChangeCurrencyInput } from '@/studio/settings/changeCurrency.input';
import { setDevice } from '@/studio/settings/devices';
import type { SetDeviceInput } from '@/studio/settings/devices.input';
import { setRounds } from '@/studio/settings/setRounds';
import type { SetRoundsInput } from '@/studio/settings/setRounds.input';
import { setChecks } from '@/studio/settings/setChecks';
import type { SetChecksInput } from '@/studio/settings/setChecks.input';
import { changeSettings } from '@/studio/settings/settings';
import type { ChangeSettingsInput } from '@/studio/settings/settings.input';
import { makeToken, revokeToken } from '@/studio/tokens/tokens';
import type { MakeTokenInput } from '@/studio/tokens/tokens.input';
import { aForm, aKey, anId } from '@/studio/kernel/arguments';

export const setChecksAction = action([aKey, aForm<SetChecksInput>()], setChecks);

export const setRoundsAction = action([aKey, aForm<SetRoundsInput>()], setRounds);

export const changeSettingsAction = action([aKey, aForm<ChangeSettingsInput>()], changeSettings);

export const setDeviceAction = action([aKey, aForm<SetDeviceInput>()], setDevice);

export const makeTokenAction = action([aKey, aForm<MakeTokenInput>()], (session, postKey, input) =>
  makeToken(session, postKey, input, installationSecret()),
);

export const revokeTokenAction = action([aKey, anId], revokeToken);

export const addHelperAction = action([aKey, aForm<AddHelperInput>()], addHelper);

export const changeCurrencyAction = action([aKey, aForm<ChangeCurrencyInput>()], changeCurrency);
