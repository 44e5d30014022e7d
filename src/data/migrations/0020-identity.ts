import type { Migration } from './migration';

/** Metals by their place in the order of the rack, as it was when this step was written. */
const METALS = [
  'copper',
  'brass',
  'bronze',
  'fine-silver',
  'sterling',
  'gold-filled',
  'steel',
  'aluminium',
  'niobium',
  'titanium',
].map((metal, index) => `('${String(index).padStart(2, '0')}', '${metal}')`);

/**
 * What makes two things the same stock is told in words of its own, apart from the order that it is kept in: a metal, a shape or a finding
 * that is added between others changes the order and nothing else.
 */
export const identity: Migration = {
  name: '0020-identity',
  statements: () => [
    'ALTER TABLE articles ADD COLUMN identity text',
    `UPDATE articles a SET identity = concat_ws('|', s.metal, s.profile, s.width_um, s.height_um, s.temper, s.finish, lower(btrim(s.finish_name)),
                                                CASE WHEN s.twist > 0 THEN s.twist END)
       FROM wire_specs s WHERE s.studio_id = a.studio_id AND s.spec_id = a.article_id`,
    `UPDATE articles a SET identity = concat_ws('|', lower(btrim(b.material)), b.shape, b.min_um, b.max_um, b.hole_um)
       FROM beads b WHERE b.studio_id = a.studio_id AND b.article_id = a.article_id`,
    `UPDATE articles a SET identity = concat_ws('|', f.finding, lower(btrim(f.material)), lower(btrim(f.size)))
       FROM findings f WHERE f.studio_id = a.studio_id AND f.article_id = a.article_id`,
    `UPDATE articles SET identity = article_id::text WHERE ware = 'stone'`,
    `UPDATE articles SET identity = sort_key WHERE ware = 'supply'`,
    `UPDATE articles a SET identity = m.metal FROM (VALUES ${METALS.join(', ')}) AS m(key, metal) WHERE a.ware = 'scrap' AND a.sort_key = m.key`,
    'ALTER TABLE articles ALTER COLUMN identity SET NOT NULL',
    'ALTER TABLE articles DROP CONSTRAINT articles_same_stock',
    'ALTER TABLE articles ADD CONSTRAINT articles_same_stock UNIQUE (studio_id, ware, identity)',
  ],
};
