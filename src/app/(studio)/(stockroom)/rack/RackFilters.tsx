import { metalOf, type MetalId } from '@/core/wire/metal';
import type { RackFilterChoices } from '@/studio/wire/rack';
import type { RackQuery } from '@/studio/wire/rack.input';
import { ListFilters } from '@/ui/ListFilters';
import { narrowedBy } from '@/ui/listChoices';

/** Narrows the rack. */
export function RackFilters({ choices, chosen }: { choices: RackFilterChoices; chosen: RackQuery }) {
  return (
    <ListFilters
      label="The rack"
      action="/rack"
      placeholder="Words or a number, like W-0012"
      chosen={{ ...chosen }}
      selects={[
        {
          ...narrowedBy('metal', 'Metal', []),
          choices: choices.metals.map((value) => ({ value, text: metalOf(value as MetalId).name })),
        },
        narrowedBy('profile', 'Profile', choices.profiles),
        {
          ...narrowedBy('gauge', 'Gauge', []),
          choices: choices.gauges.map((value) => ({ value, text: value.replace(/ AWG$/, ' ga') })),
        },
        narrowedBy('temper', 'Temper', choices.tempers),
      ]}
    />
  );
}
