import type { Migration } from './migration';

/**
 * What is wanted of a line of a batch besides its pattern is kept as what was read, not as the texts of a form: the number of its stone and
 * its metal, and the ring and the bead in the words in which they were typed. Its pattern and how many stand in columns of their own already.
 */
export const linesAsValues: Migration = {
  name: '0026-lines-as-values',
  statements: () => [
    `UPDATE batch_lines SET wanted = jsonb_build_object(
       'stone', nullif(regexp_replace(wanted ->> 'stone', '\\D', '', 'g'), '')::int,
       'ring', btrim(wanted ->> 'ring'),
       'bead', btrim(wanted ->> 'bead'),
       'metal', nullif(wanted ->> 'metal', ''))`,
  ],
};
