/** Our own code as the compiler reads it, for tests of what it promises in types and docstrings: core's doors and every sentence that is told. */
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

export const CORE = join(__dirname, '..');
export const TOLD = join(CORE, '..', 'words', 'en', 'told', 'index.ts');
export const DOORS = readdirSync(CORE)
  .map((d) => join(CORE, d, 'index.ts'))
  .filter((f) => existsSync(f) && !f.includes('standins'));

export const program = ts.createProgram([...DOORS, TOLD], {
  target: ts.ScriptTarget.ESNext,
  module: ts.ModuleKind.ESNext,
  moduleResolution: ts.ModuleResolutionKind.Bundler,
  strict: true,
  skipLibCheck: true,
  noEmit: true,
});
export const checker = program.getTypeChecker();
