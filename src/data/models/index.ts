/** All tables, so that whoever opens the database has them tied to it. */
import './articles';
import './batches';
import './books';
import './drawers';
import './lists';
import './making';
import './metal';
import './orders';
import './purchases';
import './selling';
import './sittings';
import './stock';
import './studio';
