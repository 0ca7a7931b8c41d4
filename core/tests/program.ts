/** Our own code as the compiler reads it: for tests of what it promises in types and docstrings. */
import ts from 'typescript';

export function programOf(files: readonly string[]): ts.Program {
  return ts.createProgram([...files], {
    target: ts.ScriptTarget.ESNext,
    module: ts.ModuleKind.ESNext,
    moduleResolution: ts.ModuleResolutionKind.Bundler,
    strict: true,
    skipLibCheck: true,
    noEmit: true,
  });
}
