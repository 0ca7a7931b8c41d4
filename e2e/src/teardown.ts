/** The farms that were copied are of no use after the run. */
import { rmSync } from 'node:fs';

export default function teardown(): void {
  rmSync(process.env['FOGATA_TEMPLATES']!, { recursive: true, force: true });
}
