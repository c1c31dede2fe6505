import { MOST_TAPES, tapeChange, type TapeShown } from '@green-beam/contract';
import { Router } from 'express';
import { signedIn } from '../auth/access.ts';
import { Tape } from '../models/tapes.ts';
import { notFound, Refusal } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

function shown({ id, lines, changedAt }: Tape): TapeShown {
  return { id, lines, changedAt: changedAt.toISOString() };
}

/** Tapes of the Numbers desk: everybody has their own, and nobody sees another’s. */
export function tapeRoutes(): Router {
  const routes = Router();

  routes.get('/tapes', async (request, response) => {
    const { personId } = await signedIn(request);
    const tapes = await Tape.findAll({ where: { personId }, order: [['changedAt', 'DESC']] });
    response.json(tapes.map(shown));
  });

  routes.put('/tapes/:tapeId', async (request, response) => {
    const { personId, schoolId } = await signedIn(request);
    const id = idFrom(request, 'tapeId');
    const { lines } = await validated(request, tapeChange);
    const known = await Tape.findOne({ where: { personId, id } });
    if (!known && (await Tape.count({ where: { personId } })) >= MOST_TAPES)
      throw new Refusal(
        409,
        `You have ${MOST_TAPES} tapes already. Delete one that you do not need. This one stays in your browser.`,
      );
    const [tape] = await Tape.upsert({ personId, id, schoolId, lines, changedAt: new Date() });
    response.status(known ? 200 : 201).json(shown(tape));
  });

  routes.delete('/tapes/:tapeId', async (request, response) => {
    const { personId } = await signedIn(request);
    if ((await Tape.destroy({ where: { personId, id: idFrom(request, 'tapeId') } })) === 0) throw notFound();
    response.status(204).end();
  });

  return routes;
}
