import type { Sequelize } from 'sequelize';
import { defineBench } from './bench.ts';
import { defineCabinet } from './cabinet.ts';
import { defineClasses } from './classes.ts';
import { defineLabSheets } from './lab-sheets.ts';
import { defineLesson } from './lesson.ts';
import { defineLessonPlans } from './lesson-plans.ts';
import { defineNotebook } from './notebook.ts';
import { defineReports } from './reports.ts';
import { definePeople } from './people.ts';
import { defineTapes } from './tapes.ts';
import { defineResultPairs } from './result-pairs.ts';
import { defineTogether } from './together.ts';
import { defineTutor } from './tutor.ts';

/** Binds every model to a database. */
export function defineModels(sequelize: Sequelize): void {
  definePeople(sequelize);
  defineClasses(sequelize);
  defineBench(sequelize);
  defineCabinet(sequelize);
  defineNotebook(sequelize);
  defineReports(sequelize);
  defineTutor(sequelize);
  defineTapes(sequelize);
  defineLesson(sequelize);
  defineLessonPlans(sequelize);
  defineLabSheets(sequelize);
  defineResultPairs(sequelize);
  defineTogether(sequelize);
}
