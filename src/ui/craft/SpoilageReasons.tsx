/** What goes wrong every week (handbook of the trade, 10). */
export const REASONS = [
  'cut too short',
  'wrong wire cut',
  'marred by pliers',
  'snapped',
  'not threaded in time',
  'bent out of shape',
];

export const SPOILAGE_REASONS_ID = 'spoiled-reasons';

/** Reasons that are offered where a lost length is logged; any other can be typed. */
export function SpoilageReasons() {
  return (
    <datalist id={SPOILAGE_REASONS_ID}>
      {REASONS.map((reason) => (
        <option key={reason} value={reason} />
      ))}
    </datalist>
  );
}
