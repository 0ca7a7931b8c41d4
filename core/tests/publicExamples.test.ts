/** Every public function of core has an example in its docstring, which `examples.test.ts` runs. Public is what a door gives. */
import { readdirSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { programOf } from './program';

const CORE = join(__dirname, '..');
const OURS = [join(CORE, 'src'), join(CORE, '..', 'words')];
const doors = readdirSync(CORE)
  .map((d) => join(CORE, d, 'index.ts'))
  .filter((f) => existsSync(f) && !f.includes('standins'));

/** Functions that doors give, as "file name", with the tags of their docstrings. */
function functionsOf(files: readonly string[]): Map<string, string[]> {
  const program = programOf(files);
  const checker = program.getTypeChecker();
  const found = new Map<string, string[]>();
  for (const file of files) {
    const door = checker.getSymbolAtLocation(program.getSourceFile(file)!)!;
    for (const given of checker.getExportsOfModule(door)) {
      const symbol = given.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(given) : given;
      const at = symbol.valueDeclaration;
      if (!OURS.some((room) => at?.getSourceFile().fileName.startsWith(room)) || !at) continue;
      if (checker.getTypeOfSymbolAtLocation(symbol, at).getCallSignatures().length === 0) continue;
      const documented = ts.isVariableDeclaration(at) ? at.parent.parent : at;
      const name = `${at.getSourceFile().fileName.slice(CORE.length + 1)} ${symbol.name}`;
      found.set(
        name,
        ts.getJSDocTags(documented).map((t) => t.tagName.text),
      );
    }
  }
  return found;
}

test('every function that a door gives shows what it gives', () => {
  const all = functionsOf(doors);
  expect(all.size).toBeGreaterThan(500);
  expect([...all].filter(([, tags]) => !tags.includes('example')).map(([name]) => name)).toEqual([]);
}, 60_000);
