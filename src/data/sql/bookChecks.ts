import { IN_STOCK, TURNS } from '@/core/selling/life';
import { TAG_LETTERS } from '@/core/tag';
import { float, int, json, text, uuid, bool, big } from '../columns';
import { statement } from './statement';

/** A stock piece as it is called on its tag, in SQL over stock_pieces p. */
const TAG = `(SELECT letter FROM (VALUES ${Object.entries(TAG_LETTERS)
  .map(([ware, letter]) => `('${ware}', '${letter}')`)
  .join(', ')}) AS t(ware, letter) WHERE t.ware = p.ware) || '-' || lpad(p.number::text, 4, '0')`;

/** Postings whose movements of a kind do not sum to nothing, in cost and for some kinds in quantity too. */
const evenPosts = (kind: string, measure: string): string =>
  `SELECT studio_id AS studio, '${kind} in posting ' || post_key AS what, '0' AS kept, sum(${measure})::text AS rebuilt
     FROM movements WHERE kind = '${kind}' GROUP BY studio_id, post_key HAVING sum(${measure}) <> 0`;

/** Where an event e brings a piece, in SQL. */
const BROUGHT = `CASE e.turn ${Object.entries(TURNS)
  .map(([turn, { to }]) => `WHEN '${turn}' THEN '${to}'`)
  .join(' ')} END`;
const STOCKED = IN_STOCK.map((state) => `'${state}'`).join(', ');

/** Comparisons of what is kept with what the movements say; each row is a difference. */
const CHECKS: readonly string[] = [
  // Quantity, cost and what it is, on every stock piece.
  `SELECT p.studio_id AS studio, ${TAG} AS what,
          concat_ws(', ', p.quantity, p.cost_units || ' cost units', p.article_id) AS kept,
          concat_ws(', ', COALESCE(m.quantity, 0), COALESCE(m.cost, 0) || ' cost units', m.article) AS rebuilt
     FROM stock_pieces p
     LEFT JOIN (SELECT studio_id, stock_piece_id, sum(quantity) AS quantity, sum(cost_units) AS cost,
                       (array_agg(article_id ORDER BY movement_id DESC))[1] AS article FROM movements GROUP BY 1, 2) m
       USING (studio_id, stock_piece_id)
    WHERE (p.quantity, p.cost_units, p.article_id) IS DISTINCT FROM (COALESCE(m.quantity, 0), COALESCE(m.cost, 0), m.article)`,
  // Every stock piece began with its first movement.
  `SELECT p.studio_id AS studio, ${TAG} || ' at its beginning' AS what, p.initial_quantity::text AS kept, m.quantity::text AS rebuilt
     FROM stock_pieces p
     LEFT JOIN (SELECT DISTINCT ON (studio_id, stock_piece_id) studio_id, stock_piece_id, quantity FROM movements
                 ORDER BY studio_id, stock_piece_id, movement_id) m USING (studio_id, stock_piece_id)
    WHERE m.quantity IS DISTINCT FROM p.initial_quantity`,
  // Wire, scrap and spoilage of every finished piece, with what it bears of its batch’s; a making that was reversed took nothing.
  `SELECT f.studio_id AS studio, 'F-' || lpad(f.number::text, 4, '0') AS what,
          concat_ws(' / ', k.there * f.wire_cost, k.there * f.scrap_cost, k.there * f.spoilage_cost) AS kept,
          concat_ws(' / ', COALESCE(m.wire, 0), COALESCE(m.scrap, 0) + s.scrap, COALESCE(m.spoilage, 0) + s.spoilage) AS rebuilt
     FROM pieces f CROSS JOIN LATERAL (SELECT CASE WHEN f.struck_at IS NULL THEN 1 ELSE 0 END AS there) AS k
     LEFT JOIN (SELECT m.studio_id, m.piece_id,
                       -COALESCE(sum(m.cost_units) FILTER (WHERE m.kind IN ('cut', 'returned')), 0) AS wire,
                       -COALESCE(sum(m.cost_units) FILTER (WHERE m.kind = 'scrapped'), 0) AS scrap,
                       -COALESCE(sum(m.cost_units) FILTER (WHERE m.kind = 'spoiled'), 0) AS spoilage
                  FROM movements m JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id AND a.ware = 'wire'
                 WHERE m.piece_id IS NOT NULL GROUP BY 1, 2) m ON m.studio_id = f.studio_id AND m.piece_id = f.piece_id
     CROSS JOIN LATERAL (SELECT COALESCE(sum(c.scrap_share), 0)::bigint AS scrap, COALESCE(sum(c.spoilage_share), 0)::bigint AS spoilage
                           FROM batch_pieces b JOIN batch_cuts c ON c.studio_id = b.studio_id AND c.batch_id = b.batch_id AND c.line = b.line AND c.piece = b.piece
                          WHERE b.studio_id = f.studio_id AND b.piece_id = f.piece_id) AS s
    WHERE (COALESCE(m.wire, 0), COALESCE(m.scrap, 0) + s.scrap, COALESCE(m.spoilage, 0) + s.spoilage) IS DISTINCT FROM
          (k.there * f.wire_cost::numeric, k.there * f.scrap_cost::numeric, k.there * f.spoilage_cost::numeric)`,
  // Supplies that every finished piece used up.
  `SELECT f.studio_id AS studio, 'supplies of F-' || lpad(f.number::text, 4, '0') AS what,
          (CASE WHEN f.struck_at IS NULL THEN f.supplies_cost ELSE 0 END)::text AS kept, COALESCE(m.used, 0)::text AS rebuilt
     FROM pieces f
     LEFT JOIN (SELECT m.studio_id, m.piece_id, -sum(m.cost_units) AS used FROM movements m
                  JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id AND a.ware = 'supply'
                 WHERE m.kind = 'used' AND m.piece_id IS NOT NULL GROUP BY 1, 2) m ON m.studio_id = f.studio_id AND m.piece_id = f.piece_id
    WHERE COALESCE(m.used, 0) <> CASE WHEN f.struck_at IS NULL THEN f.supplies_cost ELSE 0 END`,
  // Beads, stones and findings that every finished piece took out of the drawers, with those that were lost on the way.
  `SELECT f.studio_id AS studio, 'parts of F-' || lpad(f.number::text, 4, '0') AS what,
          (CASE WHEN f.struck_at IS NULL THEN f.parts_taken ELSE 0 END)::text AS kept, COALESCE(m.used, 0)::text AS rebuilt
     FROM pieces f
     LEFT JOIN (SELECT m.studio_id, m.piece_id, -sum(m.cost_units) AS used FROM movements m
                  JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id AND a.ware IN ('bead', 'stone', 'finding')
                 WHERE m.kind IN ('used', 'spoiled') AND m.piece_id IS NOT NULL GROUP BY 1, 2) m ON m.studio_id = f.studio_id AND m.piece_id = f.piece_id
    WHERE COALESCE(m.used, 0) <> CASE WHEN f.struck_at IS NULL THEN f.parts_taken ELSE 0 END`,
  // Where every finished piece is, by the last that happened to it and was not taken back.
  `SELECT f.studio_id AS studio, 'where F-' || lpad(f.number::text, 4, '0') || ' is' AS what, f.state AS kept, COALESCE(l.state, 'on the shelf') AS rebuilt
     FROM pieces f LEFT JOIN LATERAL (
       SELECT ${BROUGHT} AS state FROM piece_events e
        WHERE e.studio_id = f.studio_id AND e.piece_id = f.piece_id AND e.undoes IS NULL
          AND NOT EXISTS (SELECT FROM piece_events u WHERE u.studio_id = e.studio_id AND u.undoes = e.event_id)
        ORDER BY e.event_id DESC LIMIT 1) AS l ON true
    WHERE f.state <> COALESCE(l.state, 'on the shelf')`,
  // What pieces that are no longer the studio’s took out of the books.
  `SELECT f.studio_id AS studio, 'F-' || lpad(f.number::text, 4, '0') || ' in the books' AS what, b.cost::text AS kept, COALESCE(e.cost, 0)::text AS rebuilt
     FROM pieces f
     CROSS JOIN LATERAL (SELECT CASE WHEN f.struck_at IS NOT NULL OR f.state IN (${STOCKED}) THEN 0
                                     ELSE -(f.wire_cost + f.parts_taken + f.supplies_cost) END AS cost) AS b
     LEFT JOIN (SELECT studio_id, piece_id, sum(cost_units) AS cost FROM piece_events GROUP BY 1, 2) e USING (studio_id, piece_id)
    WHERE b.cost <> COALESCE(e.cost, 0)`,
  // What came out of a piece that was broken up is no more than what the piece took out of the books.
  `SELECT m.studio_id AS studio, 'salvaged in posting ' || m.post_key AS what, (-e.cost_units)::text AS kept, m.cost::text AS rebuilt
     FROM (SELECT studio_id, post_key, sum(cost_units) AS cost FROM movements WHERE kind = 'salvaged' GROUP BY 1, 2) m
     LEFT JOIN piece_events e ON e.studio_id = m.studio_id AND e.post_key = m.post_key AND e.turn = 'broken up'
    WHERE e.event_id IS NULL OR m.cost NOT BETWEEN LEAST(0, -e.cost_units) AND GREATEST(0, -e.cost_units)`,
  // Shades never name more beads than a strand holds.
  `SELECT p.studio_id AS studio, ${TAG} || ' by its shades' AS what, p.quantity::text AS kept, s.named::text AS rebuilt
     FROM stock_pieces p CROSS JOIN LATERAL (SELECT COALESCE(sum((each ->> 'count')::bigint), 0) AS named
                                               FROM jsonb_array_elements(p.shades) AS each) AS s
    WHERE s.named > p.quantity`,
  // Every difference of a posted count is in the ledger, and nothing else is.
  `SELECT c.studio_id AS studio, 'count T-' || lpad(c.number::text, 4, '0') AS what, COALESCE(sum(n.counted - n.expected), 0)::text AS kept,
          COALESCE(max(m.counted), 0)::text AS rebuilt
     FROM counts c
     LEFT JOIN count_lines n ON n.studio_id = c.studio_id AND n.count_id = c.count_id AND n.counted IS NOT NULL
     LEFT JOIN (SELECT studio_id, post_key, sum(quantity) AS counted FROM movements WHERE kind = 'counted' AND reverses IS NULL
                 GROUP BY 1, 2) m ON m.studio_id = c.studio_id AND m.post_key = c.post_key
    WHERE c.posted_at IS NOT NULL GROUP BY c.studio_id, c.number
   HAVING COALESCE(sum(n.counted - n.expected), 0) <> COALESCE(max(m.counted), 0)`,
  // Every weighing that found a difference is in the ledger.
  `SELECT w.studio_id AS studio, 'weighing ' || w.weighing_id AS what, (w.after_um - w.before_um)::text AS kept, COALESCE(m.quantity, 0)::text AS rebuilt
     FROM weighings w LEFT JOIN movements m ON m.studio_id = w.studio_id AND m.post_key = w.post_key AND m.kind = 'weighed' AND m.reverses IS NULL
    WHERE w.after_um - w.before_um <> COALESCE(m.quantity, 0)`,
  // What was bought is what was received, for the price that was paid; or it was reversed whole.
  `SELECT l.studio_id AS studio, 'purchase of ' || l.bought_on AS what,
          l.quantity || ', ' || l.price * 1000 || ' cost units' AS kept, m.quantity || ', ' || m.cost || ' cost units' AS rebuilt
     FROM lots l
     JOIN (SELECT studio_id, lot_id, sum(quantity) AS quantity, sum(cost_units) AS cost FROM movements
            WHERE kind = 'received' GROUP BY 1, 2) m USING (studio_id, lot_id)
    WHERE (l.quantity, l.price * 1000) IS DISTINCT FROM (m.quantity, m.cost) AND (m.quantity <> 0 OR m.cost <> 0)`,
  `SELECT l.studio_id AS studio, 'purchase of ' || l.bought_on AS what, 'bought' AS kept, 'never came in' AS rebuilt
     FROM lots l WHERE NOT EXISTS (SELECT FROM movements m WHERE m.studio_id = l.studio_id AND m.lot_id = l.lot_id)`,
  // The lines of a delivery bear all of its postage and tax, and no more.
  `SELECT d.studio_id AS studio, 'delivery D-' || lpad(d.number::text, 4, '0') AS what, d.postage || ' postage, ' || d.tax || ' tax' AS kept,
          sum(l.postage_share) || ' postage, ' || sum(l.tax_share) || ' tax' AS rebuilt
     FROM deliveries d LEFT JOIN lots l ON l.studio_id = d.studio_id AND l.delivery_id = d.delivery_id
    GROUP BY d.studio_id, d.delivery_id, d.number, d.postage, d.tax
   HAVING (d.postage, d.tax) IS DISTINCT FROM (sum(l.postage_share), sum(l.tax_share))`,
  // What moves from one stock piece to another is neither more nor less afterwards; what is turned into something else keeps its cost.
  evenPosts('split', 'quantity'),
  evenPosts('split', 'cost_units'),
  evenPosts('twisted', 'cost_units'),
  evenPosts('relabelled', 'cost_units'),
  // What was made of wire carries what the wire cost, the hours it took and its share of a batch's waste; taken back, it gives all back.
  `SELECT t.studio_id AS studio, 'made in posting ' || t.post_key AS what, t.labour::text AS kept, t.cost::text AS rebuilt
     FROM (SELECT m.studio_id, m.post_key, sum(m.cost_units) AS cost,
                  COALESCE((SELECT l.cost_units + l.waste_units FROM made_labour l WHERE l.studio_id = m.studio_id AND l.post_key = m.post_key), 0)
                  - COALESCE((SELECT l.cost_units + l.waste_units FROM made_labour l WHERE l.studio_id = m.studio_id AND l.post_key =
                       (SELECT o.post_key FROM movements r JOIN movements o ON o.studio_id = r.studio_id AND o.movement_id = r.reverses
                         WHERE r.studio_id = m.studio_id AND r.post_key = m.post_key LIMIT 1)), 0) AS labour
             FROM movements m WHERE m.kind IN ('made', 'cut', 'returned', 'scrapped', 'spoiled', 'used')
              AND EXISTS (SELECT FROM movements o WHERE o.studio_id = m.studio_id AND o.post_key = m.post_key AND o.kind = 'made')
            GROUP BY m.studio_id, m.post_key) AS t
    WHERE t.cost <> t.labour`,
  // The jars got everything that was scrapped or spoiled, with what it cost.
  `SELECT studio_id AS studio, 'the jar of ' || metal AS what, -sum(lost)::numeric || ' cost units scrapped and spoiled' AS kept,
          sum(jarred) || ' cost units in the jar' AS rebuilt
     FROM (SELECT m.studio_id, s.metal, m.cost_units AS lost, 0 AS jarred FROM movements m
             JOIN wire_specs s ON s.studio_id = m.studio_id AND s.spec_id = m.article_id WHERE m.kind IN ('scrapped', 'spoiled')
           UNION ALL
           SELECT m.studio_id, a.identity, 0, m.cost_units FROM movements m
             JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id
            WHERE m.kind = 'jarred') AS t
    GROUP BY studio_id, metal HAVING sum(lost) + sum(jarred) <> 0`,
  // Nothing is set aside that is not there, nor for a batch that is not open.
  `SELECT p.studio_id AS studio, ${TAG} || ' set aside' AS what, p.quantity::text AS kept, sum(s.quantity)::text AS rebuilt
     FROM reservations s JOIN stock_pieces p ON p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id
    GROUP BY p.studio_id, p.stock_piece_id, p.ware, p.number, p.quantity HAVING sum(s.quantity) > p.quantity`,
  `SELECT b.studio_id AS studio, 'batch R-' || lpad(b.number::text, 4, '0') AS what, b.state AS kept, count(*) || ' set aside' AS rebuilt
     FROM batches b JOIN reservations s ON s.studio_id = b.studio_id AND s.batch_id = b.batch_id
    WHERE b.state <> 'open' GROUP BY b.studio_id, b.number, b.state`,
  // What a plan cuts from a stock piece is set aside for it.
  `SELECT b.studio_id AS studio, 'cuts of batch R-' || lpad(b.number::text, 4, '0') AS what, sum((each ->> 'length')::bigint - (each ->> 'left')::bigint)::text AS kept,
          max(COALESCE(s.quantity, 0))::text AS rebuilt
     FROM batches b JOIN cutting_plans c ON c.studio_id = b.studio_id AND c.batch_id = b.batch_id
     CROSS JOIN LATERAL jsonb_array_elements(c.plan -> 'pieces') AS each
     LEFT JOIN reservations s ON s.studio_id = b.studio_id AND s.batch_id = b.batch_id AND s.stock_piece_id = (each ->> 'id')::uuid
    WHERE b.planning = 'planned' AND NOT EXISTS (SELECT FROM reservation_losses l WHERE l.studio_id = b.studio_id AND l.batch_id = b.batch_id)
    GROUP BY b.studio_id, b.number, each ->> 'id'
   HAVING sum((each ->> 'length')::bigint - (each ->> 'left')::bigint) > max(COALESCE(s.quantity, 0))`,
  // No wire that is planned to be cut is cut already.
  `SELECT b.studio_id AS studio, 'cuts of batch R-' || lpad(b.number::text, 4, '0') AS what, 'to be cut' AS kept, 'cut already' AS rebuilt
     FROM batches b JOIN cutting_plans p ON p.studio_id = b.studio_id AND p.batch_id = b.batch_id
     CROSS JOIN LATERAL jsonb_array_elements(p.plan -> 'pieces') AS piece CROSS JOIN LATERAL jsonb_array_elements(piece -> 'cuts') AS cut
     JOIN batch_cuts c ON c.studio_id = b.studio_id AND c.batch_id = b.batch_id AND c.kind = 'cut' AND c.line = (cut ->> 'line')::int
      AND c.piece = (cut ->> 'piece')::int AND c.cut_index = (cut ->> 'cutIndex')::int AND c.copy = (cut ->> 'copy')::int`,
  // What is in a tray is what the ledger says was cut, and lies aside for its batch until its piece is made.
  `SELECT c.studio_id AS studio, ${TAG} || ' in the tray' AS what, c.length_um || ', ' || c.length_um || ' aside' AS kept,
          p.initial_quantity || ', ' || COALESCE(s.quantity, 0) || ' aside' AS rebuilt
     FROM batch_cuts c JOIN stock_pieces p ON p.studio_id = c.studio_id AND p.stock_piece_id = c.cut_id
     JOIN batches b ON b.studio_id = c.studio_id AND b.batch_id = c.batch_id
     LEFT JOIN reservations s ON s.studio_id = c.studio_id AND s.batch_id = c.batch_id AND s.stock_piece_id = c.cut_id
     LEFT JOIN batch_pieces m ON m.studio_id = c.studio_id AND m.batch_id = c.batch_id AND m.line = c.line AND m.piece = c.piece
     LEFT JOIN reservation_losses l ON l.studio_id = c.studio_id AND l.batch_id = c.batch_id
    WHERE c.kind = 'cut' AND (c.length_um <> p.initial_quantity
       OR (b.state = 'open' AND l.batch_id IS NULL AND m.piece_id IS NULL AND COALESCE(s.quantity, 0) <> p.quantity))`,
  // What is said to lie in a tray was cut for its batch, and its piece is not made.
  `SELECT p.studio_id AS studio, ${TAG} || ' aside in a tray' AS what, s.quantity::text AS kept, 'not cut for its batch, or made' AS rebuilt
     FROM reservations s JOIN stock_pieces p ON p.studio_id = s.studio_id AND p.stock_piece_id = s.stock_piece_id
    WHERE (s.purpose = 'tray') <> EXISTS (SELECT FROM batch_cuts c WHERE c.studio_id = s.studio_id AND c.batch_id = s.batch_id AND c.cut_id = s.stock_piece_id
        AND c.kind = 'cut' AND NOT EXISTS (SELECT FROM batch_pieces b WHERE b.studio_id = c.studio_id AND b.batch_id = c.batch_id AND b.line = c.line
                                              AND b.piece = c.piece))`,
  // A piece of a batch that is made stands on the shelf.
  `SELECT m.studio_id AS studio, 'piece of batch R-' || lpad(b.number::text, 4, '0') AS what, 'made' AS kept, 'taken back' AS rebuilt
     FROM batch_pieces m JOIN batches b ON b.studio_id = m.studio_id AND b.batch_id = m.batch_id
     JOIN pieces f ON f.studio_id = m.studio_id AND f.piece_id = m.piece_id WHERE f.struck_at IS NOT NULL`,
  // What left for the refiner is what the jar gave.
  `SELECT r.studio_id AS studio, 'sent to ' || r.refiner || ' on ' || r.sent_on AS what, r.mass_ug || ' µg' AS kept, -sum(m.quantity) || ' µg' AS rebuilt
     FROM refinings r LEFT JOIN movements m ON m.studio_id = r.studio_id AND m.post_key = r.post_key AND m.kind = 'refined'
    GROUP BY r.studio_id, r.refining_id, r.refiner, r.sent_on, r.mass_ug HAVING -sum(m.quantity) IS DISTINCT FROM r.mass_ug`,
  // A reversing movement is the exact opposite of the one it undoes.
  `SELECT r.studio_id AS studio, 'reversal ' || r.movement_id AS what, concat_ws(', ', -r.quantity, -r.cost_units, r.kind) AS kept,
          concat_ws(', ', m.quantity, m.cost_units, m.kind) AS rebuilt
     FROM movements r JOIN movements m ON m.studio_id = r.studio_id AND m.movement_id = r.reverses
    WHERE (r.stock_piece_id, r.kind, -r.quantity, -r.cost_units) IS DISTINCT FROM (m.stock_piece_id, m.kind, m.quantity, m.cost_units)`,
  // In stock = everything that came in, less everything that left, with every correction, for each ware of the whole studio.
  `SELECT studio_id AS studio, 'all ' || ware AS what, concat_ws(', ', sum(kept), sum(kept_cost)) AS kept, concat_ws(', ', sum(moved), sum(moved_cost)) AS rebuilt
     FROM (SELECT studio_id, ware, quantity AS kept, cost_units AS kept_cost, 0 AS moved, 0 AS moved_cost FROM stock_pieces
           UNION ALL SELECT m.studio_id, a.ware, 0, 0, m.quantity, m.cost_units FROM movements m
             JOIN articles a ON a.studio_id = m.studio_id AND a.article_id = m.article_id) AS t
    GROUP BY studio_id, ware HAVING (sum(kept), sum(kept_cost)) IS DISTINCT FROM (sum(moved), sum(moved_cost))`,
  // A month that is closed still sums to what was closed.
  `SELECT c.studio_id AS studio, 'closing of ' || c.month AS what, c.quantity || ', ' || c.cost_units || ' cost units' AS kept,
          COALESCE(sum(m.quantity), 0) || ', ' || COALESCE(sum(m.cost_units), 0) || ' cost units' AS rebuilt
     FROM closings c JOIN studios s ON s.studio_id = c.studio_id
     LEFT JOIN movements m ON m.studio_id = c.studio_id AND m.article_id = c.article_id
                          AND m.happened_at < (c.month + INTERVAL '1 month') AT TIME ZONE s.time_zone
    GROUP BY c.studio_id, c.month, c.article_id, c.quantity, c.cost_units
   HAVING (c.quantity, c.cost_units) IS DISTINCT FROM (COALESCE(sum(m.quantity), 0), COALESCE(sum(m.cost_units), 0))`,
  // No number was handed out twice or beyond its counter.
  `SELECT c.studio_id AS studio, 'the numbers of ' || c.name AS what, c.last::text AS kept, n.highest::text AS rebuilt
     FROM counters c JOIN (
       SELECT studio_id, ware AS name, max(number) AS highest FROM stock_pieces GROUP BY 1, 2
       UNION ALL SELECT studio_id, 'pattern', max(number) FROM patterns GROUP BY 1
       UNION ALL SELECT studio_id, 'piece', max(number) FROM pieces GROUP BY 1
       UNION ALL SELECT studio_id, 'order', max(number) FROM orders GROUP BY 1
       UNION ALL SELECT studio_id, 'sale', max(number) FROM sales GROUP BY 1) AS n USING (studio_id, name)
    WHERE n.highest > c.last`,
  // Receipts run without gaps, from the first to the last number that was handed out.
  `SELECT c.studio_id AS studio, 'receipts' AS what, c.last || ' numbers' AS kept, count(s.number) || ' receipts' AS rebuilt
     FROM counters c LEFT JOIN sales s ON s.studio_id = c.studio_id
    WHERE c.name = 'sale' GROUP BY c.studio_id, c.last HAVING count(s.number) <> c.last`,
  // What is paid for orders runs without gaps as well.
  `SELECT c.studio_id AS studio, 'payments' AS what, c.last || ' numbers' AS kept, count(p.number) || ' payments' AS rebuilt
     FROM counters c LEFT JOIN order_payments p ON p.studio_id = c.studio_id
    WHERE c.name = 'payment' GROUP BY c.studio_id, c.last HAVING count(p.number) <> c.last`,
  // What an order says was paid for it is what its payments come to; nothing of one that is cancelled is held any more.
  `SELECT q.studio_id AS studio, 'what was paid for Q-' || lpad(q.number::text, 4, '0') AS what, q.paid::text AS kept,
          CASE WHEN q.state = 'cancelled' THEN 0 ELSE p.paid END::text AS rebuilt
     FROM orders q CROSS JOIN LATERAL (SELECT COALESCE(sum(amount), 0) AS paid FROM order_payments p WHERE p.studio_id = q.studio_id AND p.order_id = q.order_id) AS p
    WHERE q.paid::numeric IS DISTINCT FROM p.paid OR (q.state = 'cancelled' AND p.paid <> 0)`,
  // What a sale says was paid before is what its order was paid until then, and no more is paid of an invoice than is on it.
  `SELECT s.studio_id AS studio, 'what was paid before N-' || lpad(s.number::text, 4, '0') AS what, s.paid_before::text AS kept, p.before::text AS rebuilt
     FROM sales s LEFT JOIN orders q ON q.studio_id = s.studio_id AND q.sale_id = s.sale_id
     CROSS JOIN LATERAL (SELECT COALESCE(sum(amount) FILTER (WHERE kind <> 'invoice'), 0) AS before, COALESCE(sum(amount) FILTER (WHERE kind = 'invoice'), 0) AS after
                           FROM order_payments p WHERE p.studio_id = q.studio_id AND p.order_id = q.order_id) AS p
    WHERE s.paid_before::numeric IS DISTINCT FROM p.before OR p.before + p.after > GREATEST(s.gross, 0)`,
  // Every receipt sums to what its lines do.
  `SELECT s.studio_id AS studio, 'N-' || lpad(s.number::text, 4, '0') AS what, concat_ws(', ', s.net, s.tax, s.gross, s.fees, s.sending) AS kept,
          concat_ws(', ', l.net, l.tax, l.gross, l.fees, l.sending) AS rebuilt
     FROM sales s LEFT JOIN (SELECT studio_id, sale_id, sum(net) AS net, sum(tax) AS tax, sum(gross) AS gross, sum(fees) AS fees, sum(sending) AS sending
                               FROM sale_lines GROUP BY 1, 2) l USING (studio_id, sale_id)
    WHERE (s.net::numeric, s.tax::numeric, s.gross::numeric, s.fees::numeric, s.sending::numeric)
          IS DISTINCT FROM (l.net, l.tax, l.gross, l.fees, l.sending)`,
  // What left the books with a sale is what its line says, and what came back with a return as well.
  `SELECT studio_id AS studio, 'the piece of a line of N-' || lpad(s.number::text, 4, '0') AS what, l.cost_units::text AS kept, (-e.cost_units)::text AS rebuilt
     FROM sales s
     JOIN (SELECT studio_id, sale_id, piece_id, cost_units FROM sale_lines WHERE piece_id IS NOT NULL) l USING (studio_id, sale_id)
     FULL JOIN (SELECT studio_id, sale_id, piece_id, cost_units FROM piece_events WHERE sale_id IS NOT NULL) e USING (studio_id, sale_id, piece_id)
    WHERE l.cost_units IS DISTINCT FROM -e.cost_units`,
  // A line is of the channel and the day of its receipt.
  `SELECT s.studio_id AS studio, 'the days of a line of N-' || lpad(s.number::text, 4, '0') AS what, concat_ws(', ', l.sold_on, l.stood_on) AS kept, concat_ws(', ', s.sold_on, o.sold_on) AS rebuilt
     FROM sale_lines l JOIN sales s USING (studio_id, sale_id) JOIN sales o ON o.studio_id = s.studio_id AND o.sale_id = COALESCE(s.return_of, s.sale_id)
    WHERE (l.channel_id, l.sold_on, l.stood_on) IS DISTINCT FROM (s.channel_id, s.sold_on, o.sold_on)`,
  // What the line of a piece says that it took is what its cost sheet says, or as much less than nothing.
  `SELECT l.studio_id AS studio, 'what the piece of a line of N-' || lpad(s.number::text, 4, '0') || ' took' AS what,
          concat_ws(', ', k.sign * l.materials, k.sign * l.replaced, round((k.sign * l.minutes)::numeric, 6)) AS kept, concat_ws(', ', t.materials, t.replaced, round(t.minutes::numeric, 6)) AS rebuilt
     FROM sale_lines l JOIN sales s USING (studio_id, sale_id) JOIN pieces f USING (studio_id, piece_id)
     CROSS JOIN LATERAL (SELECT CASE WHEN s.return_of IS NULL THEN 1 ELSE -1 END AS sign) AS k
     CROSS JOIN LATERAL (SELECT f.wire_cost + f.scrap_cost + f.spoilage_cost + f.parts_cost + f.supplies_cost AS materials,
                                f.wire_replacement + f.scrap_replacement + f.spoilage_replacement + f.parts_cost + f.supplies_replacement AS replaced,
                                f.minutes + f.set_up_minutes / f.shared_by AS minutes) AS t
    WHERE (l.pieces, k.sign * l.materials, k.sign * l.replaced, l.pattern_id) IS DISTINCT FROM (k.sign, t.materials, t.replaced, f.pattern_id) OR abs(k.sign * l.minutes - t.minutes) > 1e-6`,
  // A piece comes back by the sale that it left by, and no more of its price than was paid.
  `SELECT r.studio_id AS studio, 'a line of N-' || lpad(r.number::text, 4, '0') AS what, concat_ws(', ', -b.net, -b.tax, -b.gross) AS kept,
          concat_ws(', ', l.net, l.tax, l.gross) AS rebuilt
     FROM sales r JOIN sale_lines b ON b.studio_id = r.studio_id AND b.sale_id = r.sale_id
     LEFT JOIN sale_lines l ON l.studio_id = r.studio_id AND l.sale_id = r.return_of AND l.line = b.line AND l.piece_id = b.piece_id
    WHERE r.return_of IS NOT NULL AND (-b.net, -b.tax, -b.gross) IS DISTINCT FROM (l.net, l.tax, l.gross)`,
];

/** The comparisons, each by itself. */
export const bookChecksSql = CHECKS.map((check) =>
  statement({
    takes: {},
    gives: { studio: uuid<'studio'>(), what: text(), kept: text(), rebuilt: text() },
    text: check,
  }),
);

/** How much there is to compare. */
export const booksInCountsSql = statement({
  takes: {},
  gives: { stockPieces: int(), movements: int(), pieces: int() },
  text: `SELECT (SELECT count(*)::int FROM stock_pieces) AS "stockPieces", (SELECT count(*)::int FROM movements) AS movements,
                (SELECT count(*)::int FROM pieces) AS pieces`,
});

/** Whether the books are to be checked now, by this copy of the application. */
export const isCheckDueSql = statement({
  takes: { hours: float() },
  gives: { due: bool() },
  text: `SELECT pg_try_advisory_xact_lock(764513) AND NOT EXISTS (
           SELECT FROM book_checks WHERE checked_at > now() - $hours * INTERVAL '1 hour' AND checked_at <= now()) AS due`,
});

/** Keeps what a check found, for each studio. */
export const keepBookCheckSql = statement({
  takes: { differences: json<readonly object[]>() },
  gives: {},
  text: `INSERT INTO book_checks (studio_id, checked_at, movements, differences, first_difference)
         SELECT s.studio_id, now(), (SELECT count(*) FROM movements m WHERE m.studio_id = s.studio_id), count(d.what),
                COALESCE((array_agg(d.what || ': ' || d.kept || ' / ' || d.rebuilt ORDER BY d.what))[1], '')
           FROM studios s LEFT JOIN jsonb_to_recordset($differences::jsonb) AS d(studio uuid, what text, kept text, rebuilt text)
             ON d.studio = s.studio_id
          GROUP BY s.studio_id`,
});

/** Forgets all but the last checks of each studio. */
export const forgetOldChecksSql = statement({
  takes: { kept: big() },
  gives: {},
  text: `DELETE FROM book_checks b WHERE checked_at < (SELECT min(t.checked_at) FROM
           (SELECT checked_at FROM book_checks WHERE studio_id = b.studio_id ORDER BY checked_at DESC LIMIT $kept) AS t)`,
});

/** Drops the month closings of every studio, and counts how many months of studios they were. */
export const dropClosingsSql = statement({
  takes: {},
  gives: { months: int() },
  text: `WITH gone AS (DELETE FROM closings RETURNING studio_id, month)
         SELECT count(DISTINCT (studio_id, month))::int AS months FROM gone`,
});
