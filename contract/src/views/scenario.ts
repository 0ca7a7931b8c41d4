/** Plans of the year that were put by, each as the board would have it. */
import { z } from 'zod';
import { relayView } from './relay';

export const scenarioView = z.object({
  id: z.string(),
  name: z.string(),
  /** The day on which it was put by. */
  madeOn: z.string(),
  relay: relayView,
});
export type ScenarioView = z.infer<typeof scenarioView>;

export const scenariosView = z.object({ scenarios: z.array(scenarioView) });
export type ScenariosView = z.infer<typeof scenariosView>;
