import { PATTERN_KINDS } from '@/core/pattern/pattern';
import { PATTERN_SORTINGS } from '@/studio/patterns/patterns';
import { ListFilters } from '@/ui/ListFilters';
import { narrowedBy, sortChoice } from '@/ui/listChoices';

/** Narrows and sorts the patterns, wherever they are listed. */
export const PatternFilters = ({
  action,
  chosen,
}: {
  action: string;
  chosen: Readonly<Record<string, string | undefined>>;
}) => (
  <ListFilters
    label="Patterns"
    action={action}
    placeholder="Words or a number, like P-0003"
    chosen={chosen}
    selects={[narrowedBy('kind', 'Kind', PATTERN_KINDS), sortChoice(Object.keys(PATTERN_SORTINGS))]}
  />
);
