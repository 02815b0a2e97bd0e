/** Compiles components for Jest as the build does: script and template to one module; styles and their scopes are left out. */
import { createHash } from 'node:crypto';
import swc from '@swc/jest';
import { compileScript, parse, registerTS } from 'vue/compiler-sfc';
import ts from 'typescript';

registerTS(() => ts);

function moduleOf(source, path) {
  const { descriptor, errors } = parse(source, {
    filename: path,
    templateParseOptions: { expressionPlugins: ['typescript'] },
  });
  if (errors.length > 0) throw errors[0];
  const id = createHash('sha256').update(path).digest('hex').slice(0, 8);
  return compileScript(descriptor, { id, inlineTemplate: true, genDefaultAs: undefined }).content;
}

export default {
  createTransformer(options) {
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (source, path, ...rest) => inner.process(moduleOf(source, path), `${path}.ts`, ...rest),
      processAsync: (source, path, ...rest) => inner.processAsync(moduleOf(source, path), `${path}.ts`, ...rest),
    };
  },
};
