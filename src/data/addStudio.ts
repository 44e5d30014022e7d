import { Op, type Model, type Sequelize, type WhereOptions } from 'sequelize';
import { currentStudio } from './context';

/** Everything that is asked, changed and taken away is of the studio of its transaction, and everything that is added belongs to it. */
export function addStudio(sequelize: Sequelize): void {
  const narrowBy = (column: string) => (options: { where?: WhereOptions }) => {
    const own = { [column]: currentStudio() };
    options.where = options.where ? { [Op.and]: [own, options.where] } : own;
  };
  const narrow = narrowBy('studioId');
  const mark = (row: Model): void => void row.set('studioId', currentStudio());
  sequelize.addHook('beforeFind', narrow);
  sequelize.addHook('beforeCount', narrow);
  sequelize.addHook('beforeBulkUpdate', narrow);
  // By then Sequelize has turned attributes into columns.
  sequelize.addHook('beforeBulkDestroy', narrowBy('studio_id'));
  sequelize.addHook('beforeValidate', mark);
  sequelize.addHook('beforeBulkCreate', (rows) => rows.forEach(mark));
}
