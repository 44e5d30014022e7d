'use server';

import { action } from '@/app/lib/action';
import { aForm, aKey, anId, orNull } from '@/studio/kernel/arguments';
import { writeChannel } from '@/studio/selling/channels';
import type { ChannelInput } from '@/studio/selling/channels.input';
import { strikeStanding, writeStanding } from '@/studio/selling/standing';
import type { StandingInput } from '@/studio/selling/standing.input';

export const writeChannelAction = action([aKey, orNull(anId), aForm<ChannelInput>()], writeChannel);

export const writeStandingAction = action([aKey, aForm<StandingInput>()], writeStanding);

export const strikeStandingAction = action([aKey, anId], strikeStanding);
