'use server';

import { addHelper } from '@/studio/people/helpers';
import type { AddHelperInput } from '@/studio/people/people.input';
import { changeCurrency } from '@/studio/settings/changeCurrency';
import type { ChangeCurrencyInput } from '@/studio/settings/changeCurrency.input';
import { setDevice } from '@/studio/settings/devices';
import type { SetDeviceInput } from '@/studio/settings/devices.input';
import { changeSettings } from '@/studio/settings/settings';
import type { ChangeSettingsInput } from '@/studio/settings/settings.input';
import { makeToken, revokeToken } from '@/studio/tokens/tokens';
import type { MakeTokenInput } from '@/studio/tokens/tokens.input';
import { installationSecret } from '../../lib/seal';
import { asMember } from '../../lib/member';

export async function changeSettingsAction(postKey: string, input: ChangeSettingsInput) {
  return asMember((session) => changeSettings(session, postKey, input));
}

export async function setDeviceAction(postKey: string, input: SetDeviceInput) {
  return asMember((session) => setDevice(session, postKey, input));
}

export async function makeTokenAction(postKey: string, input: MakeTokenInput) {
  return asMember((session) => makeToken(session, postKey, input, installationSecret()));
}

export async function revokeTokenAction(postKey: string, tokenId: string) {
  return asMember((session) => revokeToken(session, postKey, tokenId));
}

export async function addHelperAction(postKey: string, input: AddHelperInput) {
  return asMember((session) => addHelper(session, postKey, input));
}

export async function changeCurrencyAction(postKey: string, input: ChangeCurrencyInput) {
  return asMember((session) => changeCurrency(session, postKey, input));
}
