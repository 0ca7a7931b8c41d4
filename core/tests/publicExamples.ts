/** Every public function of core has an example in its docstring, which `examples.test.ts` runs. Public is what a door gives. */
import { join } from 'node:path';
import ts from 'typescript';
import { checker, CORE, DOORS, program } from './program';

const OURS = [join(CORE, 'src'), join(CORE, '..', 'words')];

/** Functions that doors give, as "file name", with the tags of their docstrings. */
function functionsOf(files: readonly string[]): Map<string, string[]> {
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
  const all = functionsOf(DOORS);
  expect(all.size).toBeGreaterThan(500);
  expect([...all].filter(([, tags]) => !tags.includes('example')).map(([name]) => name)).toEqual([]);
});
