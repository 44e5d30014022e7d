import { guardByStudio } from './0001-studio';
import type { Migration } from './migration';

/** What beads, stones, findings and supplies are besides stock; photographs; supplies used up by finished pieces. */
export const drawers: Migration = {
  name: '0004-drawers',
  statements: ({ appRole }) => [
    `CREATE TABLE photos (
       studio_id uuid NOT NULL REFERENCES studios,
       photo_id uuid NOT NULL,
       media_type text NOT NULL CHECK (media_type IN ('image/jpeg', 'image/webp', 'image/png')),
       width int NOT NULL CHECK (width BETWEEN 1 AND 4096),
       height int NOT NULL CHECK (height BETWEEN 1 AND 4096),
       bytes bytea NOT NULL CHECK (length(bytes) <= 2000000),
       taken_in timestamptz NOT NULL,
       PRIMARY KEY (studio_id, photo_id)
     )`,
    `ALTER TABLE articles ADD COLUMN photo_id uuid, ADD FOREIGN KEY (studio_id, photo_id) REFERENCES photos`,

    `CREATE TABLE beads (
       studio_id uuid NOT NULL REFERENCES studios,
       article_id uuid NOT NULL,
       material text NOT NULL CHECK (length(material) BETWEEN 1 AND 80),
       shape text NOT NULL,
       -- Size across; smallest and largest differ when the strand is graded.
       min_um int NOT NULL CHECK (min_um > 0),
       max_um int NOT NULL CHECK (max_um >= min_um),
       hole_um int NOT NULL CHECK (hole_um > 0 AND hole_um < max_um),
       PRIMARY KEY (studio_id, article_id),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    `CREATE INDEX beads_by_hole ON beads (studio_id, hole_um)`,
    // Shade groups of a strand, light to dark: [{"name": "pale", "count": 12}].
    `ALTER TABLE stock_pieces ADD COLUMN shades jsonb NOT NULL DEFAULT '[]'`,

    `CREATE TABLE stones (
       studio_id uuid NOT NULL REFERENCES studios,
       article_id uuid NOT NULL,
       material text NOT NULL CHECK (length(material) BETWEEN 1 AND 80),
       outline text NOT NULL,
       length_um int NOT NULL CHECK (length_um > 0),
       width_um int NOT NULL CHECK (width_um > 0),
       depth_um int NOT NULL CHECK (depth_um > 0),
       edge_um int NOT NULL CHECK (edge_um >= 0 AND edge_um <= depth_um),
       hole_axis text NOT NULL CHECK (hole_axis IN ('none', 'through', 'side to side')),
       hole_um int NOT NULL CHECK ((hole_um > 0) = (hole_axis <> 'none')),
       -- What it is set aside for; empty while it is free.
       set_aside_for text NOT NULL DEFAULT '' CHECK (length(set_aside_for) <= 120),
       PRIMARY KEY (studio_id, article_id),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    `CREATE TABLE findings (
       studio_id uuid NOT NULL REFERENCES studios,
       article_id uuid NOT NULL,
       finding text NOT NULL,
       material text NOT NULL CHECK (length(material) BETWEEN 1 AND 80),
       size text NOT NULL CHECK (length(size) <= 80),
       PRIMARY KEY (studio_id, article_id),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    `CREATE TABLE supplies (
       studio_id uuid NOT NULL REFERENCES studios,
       article_id uuid NOT NULL,
       unit text NOT NULL CHECK (unit IN ('piece', 'ml', 'g')),
       -- Thousandths of the unit that every finished piece uses up.
       per_piece bigint NOT NULL CHECK (per_piece >= 0),
       PRIMARY KEY (studio_id, article_id),
       FOREIGN KEY (studio_id, article_id) REFERENCES articles
     )`,
    `ALTER TABLE pieces ADD COLUMN supplies_cost bigint NOT NULL DEFAULT 0 CHECK (supplies_cost >= 0),
       ADD COLUMN supplies_replacement bigint NOT NULL DEFAULT 0 CHECK (supplies_replacement >= 0)`,

    ...['photos', 'beads', 'stones', 'findings', 'supplies'].flatMap(guardByStudio(appRole)),
    `GRANT SELECT, INSERT ON photos, beads, findings TO ${appRole}`,
    `GRANT SELECT, INSERT, UPDATE ON stones, supplies TO ${appRole}`,
  ],
};
