'use server';

import { action } from '@/app/lib/action';
import { aForm, aKey, anId, orNull } from '@/studio/kernel/arguments';
import { writeChannel } from '@/studio/selling/channels';
import type { ChannelInput } from '@/studio/selling/channels.input';

export const writeChannelAction = action([aKey, orNull(anId), aForm<ChannelInput>()], writeChannel);
