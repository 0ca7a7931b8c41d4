/** Core, contract and server have no words of their own: what a grower reads stands in the room `words`. Read from the code itself. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const ROOT = join(__dirname, '..', '..');

/** Who may: tables of figures by id, and the invented farm. */
const MAY = [
  /^core\/src\/climate\/townTable\.ts$/,
  /^core\/src\/crops\/tables\//,
  /^core\/src\/growth\/mildew\.ts$/,
  /^server\/src\/demo\//,
];
/** Not for a grower: programmes for a solver and a database, headers, markup, units and compass points. */
const NOT_WORDS =
  /Subject To|^select |^default-src|^[a-z]+-src |^attachment; |^trust proxy$|^query parser$|^<|Time limit reached|^degree days$|^open bed$|^fogata |^N NNE /;

const files = ['core', 'contract', 'server'].flatMap((room) =>
  readdirSync(join(ROOT, room, 'src'), { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.ts'))
    .map((f) => `${room}/src/${f.replaceAll('\\', '/')}`),
);

/** What only a developer reads: errors that are thrown, what a schema is described as, SQL. */
function forDevelopers(node: ts.Node): boolean {
  for (let p = node.parent; p; p = p.parent) {
    if (ts.isThrowStatement(p) || ts.isTaggedTemplateExpression(p)) return true;
    if (ts.isNewExpression(p) && /Error|Problem|Regex/.test(p.expression.getText())) return true;
    if (ts.isCallExpression(p) && /\.describe$|sql|\.query$/.test(p.expression.getText())) return true;
  }
  return false;
}

function sentences(file: string): string[] {
  const source = ts.createSourceFile(
    file,
    readFileSync(join(ROOT, file), 'utf8'),
    ts.ScriptTarget.Latest,
    true,
  );
  const found: string[] = [];
  const visit = (node: ts.Node) => {
    const literal = ts.isStringLiteralLike(node) || ts.isTemplateExpression(node);
    if (literal && !ts.isImportDeclaration(node.parent) && !ts.isExportDeclaration(node.parent)) {
      const text = node
        .getText()
        .slice(1, -1)
        .replace(/\$\{[^}]*\}/g, '…');
      if (/[a-z]{2,} [a-z]{2,}/i.test(text) && !NOT_WORDS.test(text.trim()) && !forDevelopers(node))
        found.push(`${file}: ${text.slice(0, 60)}`);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test('there are files to read', () => expect(files.length).toBeGreaterThan(350));

test('no room has a sentence of its own', () => {
  expect(files.filter((f) => !MAY.some((may) => may.test(f))).flatMap(sentences)).toEqual([]);
});

test('a sentence would be found', () => {
  const room = 'core/tests/ownWords.test.ts';
  expect(sentences(room)).toContain(`${room}: a sentence would be found`);
});
