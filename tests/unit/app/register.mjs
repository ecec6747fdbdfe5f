import { readFileSync } from 'node:fs';
import Module, { createRequire } from 'node:module';
import { fileURLToPath } from 'node:url';
import { compileModule } from 'svelte/compiler';
import ts from 'typescript';

/** One seed, so that a run is never red by chance; another by `TIVREL_SEED`. The tests load the library as this does. */
const fc = createRequire(import.meta.url)('fast-check');
fc.configureGlobal({ seed: Number(process.env.TIVREL_SEED ?? 20261201) });

/**
 * Lets unit tests load modules with runes, compiled as the build does it, and puts plain modules that a test can move in
 * the place of the framework's `$app` modules.
 */
const APP = new Map(
  ['navigation', 'state'].map((name) => [
    `$app/${name}`,
    fileURLToPath(new URL(`./${name}.ts`, import.meta.url))
  ])
);

const resolve = Module._resolveFilename;
Module._resolveFilename = function (request, ...rest) {
  return resolve.call(this, APP.get(request) ?? request, ...rest);
};

const script = (text, filename, module) =>
  ts.transpileModule(text, {
    fileName: filename,
    compilerOptions: { target: ts.ScriptTarget.ESNext, module, useDefineForClassFields: true }
  }).outputText;

const plain = Module._extensions['.ts'];
Module._extensions['.ts'] = function (module, filename) {
  if (!filename.endsWith('.svelte.ts')) return plain.call(this, module, filename);
  const code = script(readFileSync(filename, 'utf8'), filename, ts.ModuleKind.ESNext);
  const { js } = compileModule(code, { filename, generate: 'client' });
  return module._compile(script(js.code, filename, ts.ModuleKind.CommonJS), filename);
};
