'use server';

import { action } from '@/app/lib/action';
import { aForm, aKey, anId, orNull } from '@/studio/kernel/arguments';
import { eraseCustomer, writeCustomer } from '@/studio/selling/customers';
import type { CustomerInput } from '@/studio/selling/customers.input';

export const writeCustomerAction = action([aKey, orNull(anId), aForm<CustomerInput>()], writeCustomer);

export const eraseCustomerAction = action([aKey, anId], eraseCustomer);
