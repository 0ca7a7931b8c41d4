/**
 * One process for the servers of many journeys, one after the other. Contract: told `{ id, order }` it serves that farm, told `{ id }` it
 * stops it, and answers `{ id, why }`, null where all went well; what a server says comes as `{ line }`. A journey about processes has its own.
 */
import { serve, whyNot } from '../../server/dist/serve.mjs';

const say = (line) => process.send({ line });
const serving = new Map();

async function obey({ id, port, order }) {
  if (order) serving.set(port, await serve({ ...order, passing: null, say, warn: say }));
  else {
    await serving.get(port)?.stop();
    serving.delete(port);
  }
  process.send({ id, why: null });
}

process.on('message', (told) => {
  obey(told).catch((e) => process.send({ id: told.id, why: whyNot(e, told.order?.settings ?? {}) }));
});
process.on('disconnect', () => process.exit(0));
