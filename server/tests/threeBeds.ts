/** Three beds of the demo under two roofs, and two kinds of sheet: enough for a planner. */
import { DEMO_BEDS, DEMO_COVERS, DEMO_FARM, DEMO_PLANTINGS, DEMO_STRUCTURES } from '../src/demo/seed';
import type { FarmData } from '../src/farm/store';

const beds = DEMO_BEDS.filter((b) => ['n1', 'n2', 's1'].includes(b.id));
export const data: FarmData = {
  farm: DEMO_FARM,
  structures: DEMO_STRUCTURES,
  beds,
  plantings: DEMO_PLANTINGS.filter((p) => beds.some((b) => b.id === p.bedId)),
  covers: DEMO_COVERS.slice(0, 2),
  records: [],
  harvestedKg: new Map(),
};
