// Reads the screens' TypeScript as Angular's own compiler would have it at run time; anything else is left to the next reader.
import { readFileSync } from 'node:fs';
import { URL, fileURLToPath } from 'node:url';
import { angularJitApplicationTransform } from '@angular/compiler-cli';
import ts from 'typescript';

const DECORATED = /^@(?:Component|Directive|Pipe|Injectable|NgModule)\(/m;
/** What each file of tests does first, so that it leaves the one world they share as it found it. */
const UNDONE = `import { undoneAfterwards } from '${new URL('./undone-afterwards.ts', import.meta.url).href}'; undoneAfterwards(); `;

const options = {
  target: ts.ScriptTarget.ES2022,
  module: ts.ModuleKind.ES2022,
  experimentalDecorators: true,
  isolatedModules: true,
  inlineSourceMap: true,
  inlineSources: true,
};

/** Templates stand in the class, as the built program has them; looks are none of a test's without a screen, their lines stay. */
const withTemplate = (source, url) =>
  source
    .replace(/\btemplateUrl: '(.+?)'/, (_, file) => `template: ${JSON.stringify(readFileSync(new URL(file, url), 'utf8'))}`)
    .replace(/\b(?:styleUrls?: (?:'.+?'|\[.+?\])|styles: `.*?`),?/s, (looks) => looks.replace(/[^\n]/g, ''));

function compiled(source, file) {
  const read = ts.createSourceFile(file, source, options.target);
  const host = {
    ...ts.createCompilerHost(options),
    getSourceFile: (name) => (name === file ? read : undefined),
    fileExists: (name) => name === file,
  };
  const program = ts.createProgram([file], { ...options, noLib: true, noResolve: true }, host);
  let text = '';
  program.emit(undefined, (_, written) => (text = written), undefined, false, {
    before: [angularJitApplicationTransform(program)],
  });
  return text;
}

export async function load(url, context, next) {
  const place = url.split('?')[0];
  if (!place.startsWith('file:') || !place.endsWith('.ts') || place.includes('/node_modules/')) return next(url, context);
  const source = readFileSync(new URL(place), 'utf8');
  const head = place.endsWith('.spec.ts') ? UNDONE : '';
  if (!DECORATED.test(source)) {
    const read = await next(url, context);
    return head === '' ? read : { ...read, source: `${head}${read.source}` };
  }
  return {
    format: 'module',
    shortCircuit: true,
    source: head + compiled(withTemplate(source, place), fileURLToPath(place)),
  };
}
