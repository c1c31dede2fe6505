import { absence, admissionAnswer, lessonDay, newCover } from '@green-beam/contract';
import { Router } from 'express';
import { checkNotArchived, classKept, classTaught } from '../auth/access.ts';
import { answerAdmission } from '../lesson/admissions.ts';
import { endCover, makeCover } from '../lesson/covers.ts';
import { lessonShown } from '../lesson/lesson-shown.ts';
import { notifyLesson } from '../live/notify-lesson.ts';
import { Student } from '../models/classes.ts';
import { Absence } from '../models/lesson.ts';
import { notFound } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

/** The beginning of a lesson: who is in, who is away, who asks to be let in, and who covers the class. */
export function lessonRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/lesson/:day', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    const { day } = await lessonDay.validate({ day: request.params.day });
    response.json(await lessonShown(schoolClass, day));
  });

  routes.put('/classes/:classId/absences/:studentId', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    checkNotArchived(schoolClass);
    const { day, away } = await validated(request, absence);
    const key = { classId: schoolClass.id, personId: idFrom(request, 'studentId') };
    if ((await Student.count({ where: key })) === 0) throw notFound();
    if (away) await Absence.bulkCreate([{ ...key, day }], { ignoreDuplicates: true });
    else await Absence.destroy({ where: { ...key, day } });
    await notifyLesson(key.classId, key.personId);
    response.json(await lessonShown(schoolClass, day));
  });

  routes.post('/classes/:classId/admissions/:personId', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    checkNotArchived(schoolClass);
    const { admit } = await validated(request, admissionAnswer);
    await answerAdmission(schoolClass, idFrom(request, 'personId'), admit);
    response.status(204).end();
  });

  routes.post('/classes/:classId/covers', async (request, response) => {
    const { schoolClass } = await classKept(request);
    checkNotArchived(schoolClass);
    response.status(201).json(await makeCover(schoolClass, await validated(request, newCover)));
  });

  routes.delete('/classes/:classId/covers/:coverId', async (request, response) => {
    const { schoolClass } = await classKept(request);
    await endCover(schoolClass.id, idFrom(request, 'coverId'));
    response.status(204).end();
  });

  return routes;
}
